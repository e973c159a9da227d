<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** Where a thing is usually got. */
enum BuyingPlace: string
{
    case Dairy = 'dairy';
    case Market = 'market';
    case Nuts = 'nuts';
    case Spices = 'spices';
    case Grocer = 'grocer';
    /** Water from the tap, and what is made on the way. */
    case House = 'house';

    public function label(): string
    {
        return match ($this) {
            self::Dairy => 'The dairy',
            self::Market => 'The market, fresh',
            self::Nuts => 'Nuts, seeds and dried fruit',
            self::Spices => 'Spices and scents',
            self::Grocer => 'The grocer',
            self::House => 'In the house',
        };
    }

    /** Days before the feast on which it is fetched, where nothing else is known. */
    public function usualDays(): int
    {
        return match ($this) {
            self::Dairy, self::Market => 1,
            self::House => 0,
            default => 3,
        };
    }
}
