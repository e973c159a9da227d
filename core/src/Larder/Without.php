<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What a guest must do without. */
enum Without: string
{
    case Dairy = 'dairy';
    case Nuts = 'nuts';
    case Gluten = 'gluten';

    /**
     * The allergens that must then not be in the dish, as the larder names them.
     *
     * @return non-empty-list<string>
     */
    public function allergens(): array
    {
        return match ($this) {
            self::Dairy => ['milk'],
            self::Nuts => ['almond', 'cashew', 'pistachio', 'walnut', 'peanut', 'pine nut', 'chironji', 'hazelnut'],
            self::Gluten => ['wheat', 'oats', 'barley', 'rye'],
        };
    }
}
