<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** How high the fire is set, as a share of the burner's power. */
enum Flame: string
{
    case None = 'none';
    case Low = 'low';
    case Medium = 'medium';
    case High = 'high';

    /** The next higher one; null above high, and for no flame. */
    public function raised(): ?self
    {
        return match ($this) {
            self::Low => self::Medium,
            self::Medium => self::High,
            default => null,
        };
    }

    public function share(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::Low => 0.25,
            self::Medium => 0.5,
            self::High => 1.0,
        };
    }
}
