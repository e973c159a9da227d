<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** What guests and cooks want more or less of. */
enum DialKind: string
{
    case Sweet = 'sweet';
    case Rich = 'rich';
    case Firm = 'firm';
    case Roast = 'roast';

    /** What it is called, and what less and more of it mean. */
    public function label(): string
    {
        return match ($this) {
            self::Sweet => 'Sweetness',
            self::Rich => 'Richness',
            self::Firm => 'Loose to firm',
            self::Roast => 'Pale to dark roast',
        };
    }

    public function less(): string
    {
        return match ($this) {
            self::Sweet => 'less sweet',
            self::Rich => 'lighter',
            self::Firm => 'looser',
            self::Roast => 'paler',
        };
    }

    public function more(): string
    {
        return match ($this) {
            self::Sweet => 'sweeter',
            self::Rich => 'richer',
            self::Firm => 'firmer',
            self::Roast => 'darker',
        };
    }
}
