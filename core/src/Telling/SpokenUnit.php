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
    case Pack = 'packet';
    case Piece = 'piece';
    case Glass = 'glass';
    case Katori = 'katori';
    case Mug = 'mug';
    case Pint = 'pint';
    case Measure = 'measure';
    case Ladle = 'ladle';
    case Spoon = 'spoon';
    case Tin = 'tin';
    case Leaf = 'leaf';
    case Sheet = 'sheet';
    case Slice = 'slice';
    case Clove = 'clove';
    case Stick = 'stick';
    case Blade = 'blade';
    case Block = 'block';
    case Lump = 'lump';
    case Bunch = 'bunch';
    case Sprig = 'sprig';
    case Dash = 'dash';

    private const NAMES = [
        'g' => 'g|gm|gms|gram|grams|gramme|grammes|gr',
        'kg' => 'kg|kgs|kilo|kilos|kilogram|kilograms',
        'oz' => 'oz|ounce|ounces',
        'lb' => 'lb|lbs|pound|pounds',
        'tola' => 'tola|tolas',
        'seer' => 'seer|seers|ser',
        'ml' => 'ml|millilitre|millilitres|milliliter|milliliters',
        'l' => 'l|litre|litres|liter|liters|ltr|ltrs|lt',
        'tsp' => 'tsp|tsps|teaspoon|teaspoons|teaspoonful|teaspoonfuls|tea spoon|tea spoons|small spoon|small spoons|t',
        'tbsp' => 'tbsp|tbsps|tablespoon|tablespoons|tablespoonful|tablespoonfuls|table spoon|table spoons|big spoon|big spoons',
        'cup' => 'cup|cups|cupful|cupfuls|c|tea cup|tea cups|teacup|teacups',
        'glass' => 'glass|glasses|glassful|glassfuls|tumbler|tumblers',
        'katori' => 'katori|katoris|vati|vatis',
        'mug' => 'mug|mugs|mugful',
        'pint' => 'pint|pints',
        'measure' => 'measure|measures',
        'ladle' => 'ladle|ladles|ladleful|ladlefuls',
        'spoon' => 'spoon|spoons|spoonful|spoonfuls',
        'dash' => 'dash|dashes|splash|splashes|squirt',
        'pinch' => 'pinch|pinches',
        'handful' => 'handful|handfuls|fistful|fistfuls|fist|fists',
        'thread' => 'thread|threads|strand|strands',
        'pod' => 'pod|pods',
        'clove' => 'clove|cloves',
        'blade' => 'blade|blades',
        'stick' => 'stick|sticks',
        'leaf' => 'leaf|leaves',
        'sheet' => 'sheet|sheets',
        'slice' => 'slice|slices',
        'drop' => 'drop|drops',
        'tin' => 'tin|tins|can|cans',
        'packet' => 'pack|packs|packet|packets|sachet|sachets|carton|cartons|bag|bags|bottle|bottles',
        'block' => 'block|blocks|cake|cakes',
        'lump' => 'lump|lumps',
        'bunch' => 'bunch|bunches',
        'sprig' => 'sprig|sprigs',
        'piece' => 'piece|pieces|whole',
    ];

    /** @return array<string, self> every word or two words for a unit */
    public static function words(): array
    {
        /** @var array<string, self>|null $words */
        static $words = null;
        if (null === $words) {
            $words = [];
            foreach (self::NAMES as $unit => $names) {
                foreach (explode('|', $names) as $name) {
                    $words[$name] = self::from($unit);
                }
            }
        }

        return $words;
    }

    /** @return array{self, int}|null the unit that stands at a token, and the one behind it */
    public static function in(Text $text, int $i): ?array
    {
        $first = $text->at($i)->word ?? '';
        $second = $text->at($i + 1)->word ?? '';
        $unit = self::words()[$first.' '.$second] ?? null;
        if (null !== $unit) {
            return [$unit, $i + 2];
        }
        // A large T is a tablespoon.
        if ('t' === $first && 'T' === substr($text->text, $text->at($i)->start ?? 0, 1)) {
            return [self::Tablespoon, self::behind($text, $i + 1)];
        }
        $unit = self::words()[$first] ?? null;

        return null === $unit ? null : [$unit, self::behind($text, $i + 1)];
    }

    /** "tbsp." in the middle of a line. */
    private static function behind(Text $text, int $i): int
    {
        $next = $text->at($i + 1);

        return $text->is($i, '.')
            && null !== $next
            && \strlen($text->at($i - 1)->word ?? '') <= 5
            && 1 === preg_match('/^[\p{Ll}\d]/u', substr($text->text, $next->start, 4)) ? $i + 1 : $i;
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

    /** Whether it has a size only where it is asked: this kitchen's cup stands for it until somebody says. */
    public function isLoose(): bool
    {
        return match ($this) {
            self::Glass, self::Katori, self::Measure, self::Mug, self::Ladle, self::Spoon, self::Dash, self::Handful, self::Tin, self::Pack,
            self::Block, self::Lump, self::Bunch, self::Sprig => true,
            default => false,
        };
    }

    /** Millilitres of one, for units of volume; a mug, a ladle, a spoon, a dash are kitchen estimates. */
    public function millilitres(float $cupMl): ?float
    {
        return match ($this) {
            self::Millilitre => 1.0,
            self::Litre => 1000.0,
            self::Teaspoon => 5.0,
            self::Tablespoon => 15.0,
            self::Cup, self::Glass, self::Katori, self::Measure => $cupMl,
            self::Mug => 300.0,
            self::Pint => 568.0,
            self::Ladle => 120.0,
            self::Spoon => 15.0,
            self::Dash => 4.0,
            // A closed hand of dry grain or nuts: a quarter of a metric cup, as a kitchen estimate.
            self::Handful => 60.0,
            default => null,
        };
    }
}
