<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/**
 * Who lifts a pot: one up to the kitchen's limit; two manage two thirds of the sum of their limits, half of that when it boils;
 * above that it is ladled out. The limit is the kitchen's own; local rules for lifting come first.
 */
enum Lifting: string
{
    case One = 'one person lifts it';
    case Two = 'two lift it together';
    case Ladle = 'too heavy to lift: ladle it out';

    /** What no kitchen may ask of one person; the usual limit of guides for lifting. */
    public const MOST_KG = 25.0;

    public const DEFAULT_LIMIT_KG = 20.0;

    public static function of(float $kg, float $limitKg = self::DEFAULT_LIMIT_KG, bool $boiling = false): self
    {
        $two = 2 / 3 * 2 * $limitKg * ($boiling ? 0.5 : 1.0);

        return match (true) {
            $kg <= $limitKg * ($boiling ? 0.5 : 1.0) => self::One,
            $kg <= $two => self::Two,
            default => self::Ladle,
        };
    }
}
