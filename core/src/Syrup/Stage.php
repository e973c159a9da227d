<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

/** The stages a syrup passes, by how far it boils above water (K, at sea level). Kitchen estimates. */
enum Stage: string
{
    case JustClear = 'just-clear';
    case Tacky = 'tacky';
    case Heavy = 'heavy';
    case OneString = 'one-string';
    case TwoStrings = 'two-strings';
    case ThreeStrings = 'three-strings';
    case SoftBall = 'soft-ball';
    case FirmBall = 'firm-ball';
    case HardBall = 'hard-ball';
    case SoftCrack = 'soft-crack';
    case HardCrack = 'hard-crack';

    /** The middle of the stage, at which a recipe aims. */
    public function aimRise(): float
    {
        [$low, $high] = $this->band();

        // One string is aimed at a little below the middle: it goes on cooking in the pot.
        return self::OneString === $this ? 5.0 : ($low + $high) / 2;
    }

    /** @return array{float, float} lower edge in, upper edge out */
    public function band(): array
    {
        return match ($this) {
            self::JustClear => [0.5, 1.5],
            self::Tacky => [1.5, 3.0],
            self::Heavy => [3.0, 4.5],
            self::OneString => [4.5, 6.0],
            self::TwoStrings => [7.0, 9.0],
            self::ThreeStrings => [10.0, 12.0],
            self::SoftBall => [13.0, 16.0],
            self::FirmBall => [18.0, 21.0],
            self::HardBall => [21.0, 30.0],
            self::SoftCrack => [32.0, 43.0],
            self::HardCrack => [49.0, 54.0],
        };
    }
}
