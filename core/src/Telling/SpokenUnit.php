<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Measure\Unit;

/** A unit as people say it: of weight, of volume, or a small word that an ingredient gives its own grams. */
enum SpokenUnit: string
{
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';
    case Tola = 'tola';
    case Seer = 'seer';
    case Millilitre = 'ml';
    case Litre = 'l';
    case Teaspoon = 'tsp';
    case Tablespoon = 'tbsp';
    case Cup = 'cup';
    case Pinch = 'pinch';
    case Handful = 'handful';
    case Thread = 'thread';
    case Pod = 'pod';
    case Drop = 'drop';
    case Pack = 'pack';
    case Piece = 'piece';

    private const NAMES = [
        'g' => 'g|gm|gms|gram|grams|gramme|grammes',
        'kg' => 'kg|kgs|kilo|kilos|kilogram|kilograms',
        'oz' => 'oz|ounce|ounces',
        'lb' => 'lb|lbs|pound|pounds',
        'tola' => 'tola|tolas',
        'seer' => 'seer|seers|ser',
        'ml' => 'ml|millilitre|millilitres|milliliter|milliliters',
        'l' => 'l|litre|litres|liter|liters|ltr',
        'tsp' => 'tsp|tsps|teaspoon|teaspoons|tea spoon|small spoon|small spoons',
        'tbsp' => 'tbsp|tbsps|tablespoon|tablespoons|table spoon|big spoon|big spoons',
        'cup' => 'cup|cups|katori|katoris|tumbler|tumblers|glass|glasses',
        'pinch' => 'pinch|pinches',
        'handful' => 'handful|handfuls|fistful|fistfuls',
        'thread' => 'thread|threads|strand|strands',
        'pod' => 'pod|pods|clove|cloves|blade|blades|stick|sticks',
        'drop' => 'drop|drops',
        'pack' => 'pack|packs|packet|packets|tin|tins|can|cans|carton|cartons|bag|bags|bottle|bottles|jar|jars',
        'piece' => 'piece|pieces|whole',
    ];

    /** @return array{self, string}|null the unit at the beginning of a text, and the rest */
    public static function at(string $text): ?array
    {
        foreach (self::NAMES as $unit => $names) {
            if (
                1 ===
                preg_match(
                    '/^(?:level\s+|heaped\s+|full\s+|small\s+|large\s+|big\s+)?(?:'.$names.')\b\.?(?:\s+of\b)?\s*(.*)$/isu',
                    $text,
                    $m,
                )
            ) {
                return [self::from($unit), $m[1]];
            }
        }

        return null;
    }

    /** Grams of one, for units of weight. */
    public function grams(): ?float
    {
        return match ($this) {
            self::Gram => 1.0,
            self::Kilogram => 1000.0,
            self::Ounce => Unit::Ounce->grams(),
            self::Pound => Unit::Pound->grams(),
            self::Tola => Unit::Tola->grams(),
            self::Seer => Unit::Seer->grams(),
            default => null,
        };
    }

    /** Millilitres of one, for units of volume. */
    public function millilitres(float $cupMl): ?float
    {
        return match ($this) {
            self::Millilitre => 1.0,
            self::Litre => 1000.0,
            self::Teaspoon => 5.0,
            self::Tablespoon => 15.0,
            self::Cup => $cupMl,
            // A closed hand of dry grain or nuts: a quarter of a metric cup, as a kitchen estimate.
            self::Handful => 60.0,
            default => null,
        };
    }
}
