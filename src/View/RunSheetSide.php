<?php

declare(strict_types=1);

namespace App\View;

/** From which side the run sheet is looked at. */
enum RunSheetSide: string
{
    case All = 'all';
    case Fires = 'fires';
    case People = 'people';
    case Dishes = 'dishes';

    public function title(): string
    {
        return match ($this) {
            self::All => 'Everything',
            self::Fires => 'Fires only',
            self::People => 'Hands only',
            self::Dishes => 'Sweet by sweet',
        };
    }

    public function showsFires(): bool
    {
        return self::All === $this || self::Fires === $this;
    }

    public function showsPeople(): bool
    {
        return self::All === $this || self::People === $this;
    }
}
