<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Recipe\EatingWay;
use FeastLadle\Solving\PlannedStep;

/**
 * How loose a dish must be at the stove to be right when it is eaten: what its grain will still drink and its pot still lose in the wait.
 * The same, hot, loosens it when it is served.
 */
final readonly class StopSign
{
    /**
     * @param PlannedStep $at          after which it waits; of several rounds the one whose food waits longest
     * @param float       $waitMinutes from its end until the last who eat of it begin
     * @param float       $moreMm      how much higher than "right" it stands at the stove
     */
    public function __construct(
        public PlannedDish $dish,
        public PlannedStep $at,
        public float $waitMinutes,
        public float $drinksGrams,
        public float $losesGrams,
        public float $moreMm,
        public float $ofGrams,
    ) {
    }

    public function grams(): float
    {
        return $this->drinksGrams + $this->losesGrams;
    }

    /** As a test a cook can make: by how much too loose it must look for the wait, and how loose it is eaten. */
    public function test(): string
    {
        $share = $this->grams() / max(1.0, $this->ofGrams);
        $wait = match (true) {
            $share < 0.02 => 0,
            $share < 0.06 => 1,
            $share < 0.12 => 2,
            default => 3,
        };
        $eaten = match ($this->dish->dish->recipe->eaten) {
            EatingWay::Cut => 0,
            EatingWay::Dipped => 1,
            EatingWay::Spooned => 2,
            EatingWay::Ladled => 3,
        };

        return match (min(5, $wait + $eaten)) {
            0 => 'a spoonful keeps its edges on a cold plate',
            1 => 'a spoonful slumps a little on a cold plate and no water runs from it',
            2 => 'a spoonful on a cold plate just closes behind the finger',
            3 => 'it runs slowly off the ladle and a line stays for a breath',
            4 => 'it runs off the ladle like cream; the line closes at once',
            default => 'it runs off the ladle like thin cream and hardly coats it',
        };
    }
}
