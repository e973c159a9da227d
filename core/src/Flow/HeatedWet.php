<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Flame;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;

/**
 * Which steps of a recipe give something that was heated wet, is not dry, sweet or fat enough to keep, and is not chilled:
 * its clock runs.
 */
final readonly class HeatedWet
{
    /** @var array<string, true> by step, those that give something whose clock runs */
    private array $running;

    public function __construct(Recipe $recipe, Ledger $ledger, Larder $larder)
    {
        $heated = $running = [];
        foreach ($recipe->steps as $step) {
            $flow = $ledger->flow($step->id);
            $wet = $flow->taken->waterGrams($larder) > Exemption::DRY_TO * $flow->taken->massGrams();
            $here = $wet && Flame::None !== $step->work->flame && $flow->gives->celsius >= TwoClocks::HOT_CELSIUS;
            foreach ($step->sources() as $source) {
                $here = $here || isset($heated[$source]);
            }
            if (!$here) {
                continue;
            }
            $heated[$step->id] = true;
            if (null === Exemption::byItself($flow->gives, $larder) && Process::Chill !== $step->process) {
                $running[$step->id] = true;
            }
        }
        $this->running = $running;
    }

    public function clockRuns(string $step): bool
    {
        return isset($this->running[$step]);
    }
}
