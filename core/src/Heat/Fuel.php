<?php

declare(strict_types=1);

namespace FeastLadle\Heat;

/** What feeds a burner, with the share of its power that reaches the pot (kitchen estimates, ±20 %). */
enum Fuel: string
{
    case Gas = 'gas';
    case Induction = 'induction';
    case Wood = 'wood';

    public function efficiency(): float
    {
        return match ($this) {
            self::Gas => 0.45,
            self::Induction => 0.85,
            self::Wood => 0.2,
        };
    }

    /** A flame goes up round a pan that is round below; a coil heats what lies over it. */
    public function wraps(): bool
    {
        return self::Induction !== $this;
    }
}
