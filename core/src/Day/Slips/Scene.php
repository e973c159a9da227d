<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Cue;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\Take;
use FeastLadle\Words\Sentence;

/** Where something went wrong: the step, its pot, the kitchen around it. */
final readonly class Scene
{
    /** Words by which a sign of a recipe, or what it says against it, is of one kind of slip. */
    private const SPEAKS_OF = [
        'caught' => '/scrap|bottom|catch|caught|burn|brown|smell/i',
        'went-past' => '/past|glass|thick|string|hard|water|dry|clean pot|too far|over/i',
        'too-wet' => '/wet|sticky|stick|loose|runny|thin|soft|flow|drain|oil|butter|rest the jar|spread/i',
        'too-dry' => '/dry|crumb|crack|hard|stiff|spoon of|teaspoon|ladle|tear/i',
        'too-hot' => '/hot|dark|smok|brown|split|curdl|grain|flame|warm|spread/i',
        'too-cold' => '/cold|pale|lump|late|crumb|hard|warm|flat/i',
    ];

    /** What the smallest fire gives a pot that is set on it to be mended. */
    private const LEAST_KW = 0.2;

    public StepFlow $flow;

    /**
     * @param float $kw           what the pot gets, net; 0 off the fire
     * @param int   $spentMinutes from the first step of this batch until it went wrong: what beginning anew costs
     */
    public function __construct(
        public Slipped $slip,
        public PlannedDish $dish,
        public Step $step,
        public Kitchen $kitchen,
        public Larder $larder,
        public \DateTimeImmutable $now,
        public float $kw = 1.0,
        public int $spentMinutes = 0,
    ) {
        $this->flow = $dish->batchPlan->ledger->flow($step->id);
    }

    /** What was to stand in the pot in this step. */
    public function pot(): Contents
    {
        return $this->flow->taken;
    }

    /** The bowl that was meant, by its number in the recipe's document. */
    public function take(?int $number): ?Take
    {
        return $this->step->bowl($number);
    }

    /** The thing in a bowl; null where the bowl holds what another step gave. */
    public function thing(?int $number): ?Ingredient
    {
        $take = $this->take($number);

        return null === $take?->ingredient ? null : $this->larder->get($take->ingredient);
    }

    /** Grams that were to be in a bowl, for this batch. */
    public function grams(?int $number): float
    {
        $take = $this->take($number);

        return null === $take ? 0.0 : $this->flow->bowlOf($take)->grams ?? 0.0;
    }

    public function is(Process ...$processes): bool
    {
        return \in_array($this->step->process, $processes, true);
    }

    /** Minutes in which so many grams of water come to the boil in this pot. */
    public function warmingMinutes(float $grams): int
    {
        $kj = ($grams / 1000) * SpecificHeat::WATER * ($this->kitchen->climate->boilingCelsius() - $this->kitchen->climate->roomCelsius);

        return $this->kw <= 0 ? 0 : (int) ceil($kj / max(self::LEAST_KW, $this->kw) / 60);
    }

    /** Minutes in which so many grams of water go off as steam, once it boils. */
    public function boilingOffMinutes(float $grams): int
    {
        return (int) ceil(BoilOff::minutes($grams / 1000, max(self::LEAST_KW, $this->kw)) ?? 0.0);
    }

    /** Hours since it went wrong. */
    public function hours(): float
    {
        return null === $this->slip->since ? 0.0 : ($this->now->getTimestamp() - $this->slip->since->getTimestamp()) / 3600;
    }

    /** @return list<Way> what the recipe itself says against what is wrong here, where it speaks of that */
    public function rescues(): array
    {
        $ways = [];
        $of = self::SPEAKS_OF[$this->slip->slip->value] ?? '/^$/';
        foreach ($this->step->words->cues as $k => $cue) {
            if (CueKind::Wrong === $cue->kind && '' !== $cue->rescue && 1 === preg_match($of, $cue->sign.' '.$cue->rescue)) {
                $ways[] = self::rescue($cue, $k);
            }
        }

        return $ways;
    }

    private static function rescue(Cue $cue, int $k): Way
    {
        return new Way(
            'recipe-'.$k,
            WayKind::Recipe,
            new Sentence('The recipe, when "{sign}":', ['sign' => $cue->sign]),
            asWritten: $cue->rescue,
        );
    }

    /** The first of these things that the pot already holds, else the first that the larder knows. */
    public function oneOf(string ...$ids): ?Ingredient
    {
        foreach ($ids as $id) {
            if (isset($this->pot()->grams[$id])) {
                return $this->larder->get($id);
            }
        }
        foreach ($ids as $id) {
            if ($this->larder->knows($id)) {
                return $this->larder->get($id);
            }
        }

        return null;
    }
}
