<?php

declare(strict_types=1);

namespace FeastLadle\Measure;

/** Units of recipes from everywhere, in grams or millilitres of one. Cups and spoons by the standards of their regions. */
enum Unit: string
{
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';
    case Tola = 'tola';
    case Seer = 'seer';
    case Maund = 'maund';
    case Millilitre = 'ml';
    case Litre = 'l';
    case Teaspoon = 'tsp';
    case Tablespoon = 'tbsp';
    case TablespoonTwenty = 'tbsp-20';
    case CupTwoHundred = 'cup-200';
    case CupCustomary = 'cup-236.588';
    case CupTwoForty = 'cup-240';
    case CupMetric = 'cup-250';
    case CupImperial = 'cup-284.131';
    case FluidOunceCustomary = 'floz-29.5735';
    case FluidOunceImperial = 'floz-28.4131';

    /** Grams of one; null for a unit of volume. */
    public function grams(): ?float
    {
        return match ($this) {
            self::Gram => 1.0,
            self::Kilogram => 1000.0,
            self::Ounce => 28.3495,
            self::Pound => 453.592,
            self::Tola => 11.6638,
            self::Seer => 80 * 11.6638,
            self::Maund => 40 * 80 * 11.6638,
            default => null,
        };
    }

    /** Millilitres of one; null for a unit of weight. */
    public function millilitres(): ?float
    {
        return match ($this) {
            self::Millilitre => 1.0,
            self::Litre => 1000.0,
            self::Teaspoon => 5.0,
            self::Tablespoon => 15.0,
            self::TablespoonTwenty => 20.0,
            self::CupTwoHundred => 200.0,
            self::CupCustomary => 236.588,
            self::CupTwoForty => 240.0,
            self::CupMetric => 250.0,
            self::CupImperial => 284.131,
            self::FluidOunceCustomary => 29.5735,
            self::FluidOunceImperial => 28.4131,
            default => null,
        };
    }

    /** Grams of so many of it, of a thing that has this bulk density. */
    public function gramsOf(float $amount, float $bulkDensity): float
    {
        return $amount * ($this->grams() ?? (float) $this->millilitres() * $bulkDensity);
    }
}
