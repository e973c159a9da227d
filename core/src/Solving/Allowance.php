<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;

/**
 * How much may still be tried for one plan. Counted in what the tries are allowed to cost, not by a clock, so that a feast has the same
 * plan on every machine.
 */
final class Allowance
{
    /** What ends at once (a plan as good as its bound, or a proof) costs about so much; where nothing is found, a few orders were tried. */
    private const MS_OF_AN_ACTIVITY = 0.3;
    private const MS_OF_AN_ACTIVITY_IN_VAIN = 1.2;

    private float $spent = 0.0;

    private function __construct(private float $milliseconds, private readonly ?self $whole = null)
    {
    }

    public static function milliseconds(int $milliseconds): self
    {
        return new self($milliseconds);
    }

    public static function boundless(): self
    {
        return new self(\INF);
    }

    /** No more than a share of it; what is spent of the part is spent of the whole. */
    public function part(float $share): self
    {
        return new self($share * $this->milliseconds, $this);
    }

    /** No more than so much in all, from now on. */
    public function limit(int $milliseconds): void
    {
        $this->milliseconds = min($this->milliseconds, $milliseconds);
    }

    /** @phpstan-impure */
    public function isSpent(): bool
    {
        return $this->spent >= $this->milliseconds || true === $this->whole?->isSpent();
    }

    public function spend(Budget $budget, Problem $problem, Solution $solution): void
    {
        $count = \count($problem->activities);
        $atOnce = self::MS_OF_AN_ACTIVITY * $count;
        $this->add(match (true) {
            SolutionStatus::Unknown === $solution->status => self::MS_OF_AN_ACTIVITY_IN_VAIN * $count + $budget->inMilliseconds(),
            SolutionStatus::Infeasible === $solution->status, $solution->objective === $solution->bound => $atOnce,
            // Patience is for what is late; most of what is found is not.
            default => $atOnce + $budget->inMilliseconds() / $budget->patience,
        });
    }

    private function add(float $milliseconds): void
    {
        $this->spent += $milliseconds;
        $this->whole?->add($milliseconds);
    }
}
