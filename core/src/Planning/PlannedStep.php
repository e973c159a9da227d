<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Recipe\Step;

/** A step with its place in the plan. */
final readonly class PlannedStep
{
    /**
     * @param string|null        $burner  burner id
     * @param list<string>       $vessels vessel ids
     * @param list<string>       $people  person ids
     * @param list<MeasuredBowl> $bowls
     */
    public function __construct(
        public StepKey $key,
        public PlannedDish $dish,
        public Step $step,
        public int $startMinute,
        public int $endMinute,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public int $minMinutes,
        public int $maxMinutes,
        public ?string $burner,
        public array $vessels,
        public array $people,
        public array $bowls,
    ) {
    }

    public function minutes(): int
    {
        return $this->endMinute - $this->startMinute;
    }
}
