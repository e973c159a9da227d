<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Larder\Danger;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\VesselKind;

/** What is known of one process: a row of ProcessTable. */
final readonly class ProcessFacts
{
    /**
     * @param string                     $label        what a cook calls it
     * @param list<VesselKind>           $vessels      that serve it, the usual first
     * @param non-empty-list<Growth>     $growths      ways to tell its time, the usual first
     * @param array{float, float, float} $minutes      least, likely, most, with which a new step begins
     * @param Flame                      $flame        with which a new step begins
     * @param list<TargetKind>           $targets      by which it may end
     * @param list<Question>             $questions    that it raises beside vessel, flame, target and marks
     * @param FillLimit                  $fill         how full its vessel may be
     * @param HeatCap                    $cap          what its contents stand of heat at the base
     * @param float|null                 $panExcessK   K by which the pan stands above what is in it; null: that it goes on does not matter
     * @param bool                       $browns       its contents get hotter than boiling water
     * @param bool                       $coolsToRoom  work of knife, hand or tool, after which things are as warm as the room
     * @param bool                       $softens      grain or pulse gets soft in it, where there is water enough
     * @param bool                       $cooksThrough what was raw is cooked after it: nothing in it has to get soft any more
     * @param Danger|null                $danger       what can hurt in it
     * @param bool                       $standsReady  all that follows must stand there before it begins, flame or not
     * @param bool                       $leavesWhole  what goes in stays whole on the plate
     * @param bool                       $neverAlone   nobody may turn away from it
     * @param int                        $leastPeople  that it takes
     * @param bool                       $hotHands     no work for a child, though no flame burns under it
     * @param bool                       $begins       it usually begins with things of its own
     * @param bool                       $joins        it puts one thing into another
     * @param bool                       $isShared     by the piece or by mass it can be dealt out: each takes a part, side by side
     * @param bool                       $pieceByPiece one piece is done after the other, however its minutes grow
     * @param list<string>               $becomes      words by which what it gives is named later
     */
    public function __construct(
        public string $label,
        public Stretch $stretch,
        public array $vessels,
        public array $growths,
        public AttentionKind $attention,
        public array $minutes,
        public Flame $flame = Flame::None,
        public array $targets = [],
        public array $questions = [],
        public FillLimit $fill = FillLimit::Rest,
        public HeatCap $cap = HeatCap::Water,
        public ?float $panExcessK = null,
        public bool $browns = false,
        public bool $coolsToRoom = false,
        public bool $softens = false,
        public bool $cooksThrough = false,
        public ?Danger $danger = null,
        public bool $standsReady = false,
        public bool $leavesWhole = false,
        public bool $neverAlone = false,
        public int $leastPeople = 1,
        public bool $hotHands = false,
        public bool $begins = false,
        public bool $joins = false,
        public bool $isShared = false,
        public bool $pieceByPiece = false,
        public array $becomes = [],
    ) {
    }

    /** Whether it is done in a thin liquid: what splits when it boils does so here, not in a crust or a stiff mass. */
    public function isThin(): bool
    {
        return HeatCap::Milk === $this->cap || HeatCap::ThinPudding === $this->cap;
    }
}
