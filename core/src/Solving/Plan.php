<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Schedule\Objective;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;

/** A feast, planned: quantities, and who does what when. */
final readonly class Plan
{
    /**
     * @param list<PlannedStep>         $steps         by start
     * @param array<string, DishTiming> $timings       by dish id
     * @param list<PlannedJob>          $jobs          work beside the recipes, by start
     * @param list<Obstacle>            $obstacles     dishes that can't be cooked or placed at all, and why
     * @param list<Obstacle>            $clocks        dishes that are planned and may not be served so: too long neither hot nor cold
     * @param list<Overrun>             $overruns      windows that are overrun, as nothing else was found
     * @param bool                      $isToTheMinute there was no room to be ready before the moments, as was wished
     * @param array<string, KeptHot>    $kept          what is kept hot when it is ready, by the activity that finishes it
     * @param array<string, int>        $margins       minutes by which what must meet a moment is planned before it, by activity
     */
    public function __construct(
        public Quantities $quantities,
        public Problem $problem,
        public Solution $solution,
        public \DateTimeImmutable $origin,
        public array $steps,
        public array $timings,
        public array $obstacles,
        public bool $isScheduled = true,
        public array $jobs = [],
        public array $margins = [],
        public bool $isToTheMinute = false,
        public array $clocks = [],
        public array $kept = [],
        public array $overruns = [],
    ) {
    }

    /** Amounts, pots and stores only; when and by whom is still to be found. */
    public static function unscheduled(Quantities $quantities): self
    {
        return new self(
            $quantities,
            new Problem(0, 1, 60, [], [], [], [], Objective::justInTime()),
            Solution::none(SolutionStatus::Unknown, 0, []),
            new \DateTimeImmutable('@0'),
            [],
            [],
            [],
            false,
        );
    }

    /** Whether everything is there, and in time. */
    public function isOnTime(): bool
    {
        return [] === $this->obstacles && [] === $this->clocks && [] === $this->overruns && !$this->isLate();
    }

    /** Whether a dish that is planned misses its moment. */
    public function isLate(): bool
    {
        foreach ($this->timings as $timing) {
            if ($timing->lateMinutes > 0) {
                return true;
            }
        }

        return false;
    }

    public function toTheMinute(): self
    {
        return $this->with(isToTheMinute: true);
    }

    /** Minutes that people stand with their hands in it, those of two counted twice. */
    public function handMinutes(): int
    {
        return array_sum(
            array_map(
                static fn (PlannedStep $s): int => AttentionKind::Constant === $s->step->work->attention->kind
                    ? $s->minutes() * \count($s->people)
                    : 0,
                $this->steps,
            ),
        );
    }

    /** @param array<string, DishTiming> $timings */
    public function withTimings(array $timings): self
    {
        return $this->with(timings: $timings);
    }

    /** @param list<Obstacle> $obstacles */
    public function withObstacles(array $obstacles): self
    {
        return $this->with(obstacles: $obstacles);
    }

    /**
     * @param list<Obstacle>         $clocks
     * @param array<string, KeptHot> $kept
     */
    public function withClocks(array $clocks, array $kept): self
    {
        return $this->with(clocks: $clocks, kept: $kept);
    }

    /** @param list<PlannedStep> $steps the same, with what really stands in their pots */
    public function withSteps(array $steps): self
    {
        return $this->with(steps: $steps);
    }

    /**
     * @param array<string, DishTiming>|null $timings
     * @param list<Obstacle>|null            $obstacles
     * @param list<Obstacle>|null            $clocks
     * @param array<string, KeptHot>|null    $kept
     * @param list<PlannedStep>|null         $steps
     */
    private function with(
        ?array $timings = null,
        ?array $obstacles = null,
        ?bool $isToTheMinute = null,
        ?array $clocks = null,
        ?array $kept = null,
        ?array $steps = null,
    ): self {
        return new self(
            $this->quantities,
            $this->problem,
            $this->solution,
            $this->origin,
            $steps ?? $this->steps,
            $timings ?? $this->timings,
            $obstacles ?? $this->obstacles,
            $this->isScheduled,
            $this->jobs,
            $this->margins,
            $isToTheMinute ?? $this->isToTheMinute,
            $clocks ?? $this->clocks,
            $kept ?? $this->kept,
            $this->overruns,
        );
    }
}
