<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Target;
use FeastLadle\Vessel\VesselKind;

/** What a sentence of a told recipe says to do, as far as it is understood; what it did not say and had to be supposed is named. */
final readonly class ToldSentence
{
    /**
     * @param array{float, float}|null $minutes  least and most that were said
     * @param list<string>             $supposed process, attention, vessel, flame: fields that were not said
     * @param list<IngredientLine>     $amounts  said inside it
     * @param bool                     $apart    it begins something of its own ("meanwhile, in another pan")
     */
    public function __construct(
        public string $text,
        public Process $process,
        public AttentionKind $attention,
        public ?VesselKind $vessel,
        public Flame $flame,
        public ?array $minutes,
        public Target $target,
        public array $supposed,
        public array $amounts,
        public bool $apart,
    ) {
    }
}
