<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How a bowl goes in. */
final readonly class Manner
{
    /**
     * @param int      $parts      in so many parts, by degrees; 1 is all at once
     * @param int|null $atMinute   minutes after the step has begun; null: at once
     * @param string   $decides    what decides how much of the reserve goes in
     * @param bool     $straightOn each load goes on as it comes out, while the step it comes from still runs
     */
    public function __construct(
        public int $parts,
        public ?int $atMinute,
        public string $decides,
        public ?Warmth $wants,
        public bool $straightOn,
    ) {
    }

    public static function plain(): self
    {
        return new self(1, null, '', null, false);
    }
}
