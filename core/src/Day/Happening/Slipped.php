<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** Something went wrong at a step; what each kind of slip says beside it is told by the format. */
final readonly class Slipped implements OfStep
{
    /**
     * @param \DateTimeImmutable|null $since when it went wrong, if before it was said
     * @param int|null                $bowl  number in the step's takes, from 1
     * @param list<string>            $near  other open vessels
     */
    public function __construct(
        public string $step,
        public SlipKind $slip,
        public ?\DateTimeImmutable $since,
        public ?int $bowl = null,
        public ?string $ingredient = null,
        public ?int $before = null,
        public ?float $grams = null,
        public ?float $celsius = null,
        public ?string $stage = null,
        public ?float $share = null,
        public ?string $what = null,
        public array $near = [],
    ) {
    }

    public function step(): string
    {
        return $this->step;
    }
}
