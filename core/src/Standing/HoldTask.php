<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

/** Something to be done to a dish that is held. */
final readonly class HoldTask
{
    public const REHEAT_CELSIUS = 74.0;

    /**
     * @param float       $minute     of the plan, at the latest
     * @param string|null $ingredient that goes in, hot
     */
    private function __construct(
        public HoldTaskKind $kind,
        public float $minute,
        public ?string $ingredient = null,
        public ?float $grams = null,
    ) {
    }

    public static function reheat(float $minute): self
    {
        return new self(HoldTaskKind::Reheat, $minute);
    }

    public static function loosen(float $minute, string $ingredient, float $grams): self
    {
        return new self(HoldTaskKind::Loosen, $minute, $ingredient, $grams);
    }
}
