<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** An answer of the solver. */
final readonly class Solution
{
    /**
     * @param array<string, Placement>          $activities
     * @param array<string, list<list<string>>> $holds      by hold, by need
     * @param list<Conflict>                    $conflicts
     */
    public function __construct(
        public SolutionStatus $status,
        public ?int $objective,
        public ?int $bound,
        public array $activities,
        public array $holds,
        public int $seed,
        public array $conflicts,
        public int $iterations,
    ) {
    }

    /** The same with what it costs. */
    public function costing(int $objective): self
    {
        return $this->with($objective, $this->activities);
    }

    /** @param array<string, Placement> $activities */
    public function placing(array $activities): self
    {
        return $this->with($this->objective, $activities);
    }

    /** @param array<string, Placement> $activities */
    private function with(?int $objective, array $activities): self
    {
        return new self(
            $this->status,
            $objective,
            $this->bound,
            $activities,
            $this->holds,
            $this->seed,
            $this->conflicts,
            $this->iterations,
        );
    }

    /** Everything so much later, where units are counted from an earlier beginning. */
    public function shifted(int $units): self
    {
        return new self(
            $this->status,
            $this->objective,
            $this->bound,
            array_map(
                static fn (Placement $p): Placement => new Placement($p->start + $units, $p->end + $units, $p->uses),
                $this->activities,
            ),
            $this->holds,
            $this->seed,
            $this->conflicts,
            $this->iterations,
        );
    }

    /** @param list<Conflict> $conflicts */
    public static function none(SolutionStatus $status, int $seed, array $conflicts, ?int $bound = null, int $iterations = 0): self
    {
        return new self($status, null, $bound, [], [], $seed, $conflicts, $iterations);
    }
}
