<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Syrup\WaterActivity;

/** Why a food needs no clock; usual levels of food codes, the local code comes first. */
enum Exemption: string
{
    case NeverHeated = 'never heated';
    case Fat = 'hot fat';
    case Dry = 'dry';
    case Sweet = 'sweet enough';
    /** Nobody has measured it: the recipe says so. */
    case Claim = 'the recipe\'s claim';

    private const FAT_FROM = 0.8;

    /** Share of water up to which a thing is dry. */
    public const DRY_TO = 0.12;

    public static function of(Contents $food, Recipe $recipe, bool $heatedWet, Larder $larder): ?self
    {
        return match (true) {
            !$heatedWet => self::NeverHeated,
            null !== ($own = self::byItself($food, $larder)) => $own,
            $recipe->keepMinutes > TwoClocks::STOP_MINUTES => self::Claim,
            default => null,
        };
    }

    /** By what it is, whoever heated it: fat, dry or sweet enough. */
    public static function byItself(Contents $food, Larder $larder): ?self
    {
        $grams = max(1e-9, $food->massGrams());

        return match (true) {
            $food->fatGrams($larder) / $grams >= self::FAT_FROM => self::Fat,
            $food->waterGrams($larder) / $grams <= self::DRY_TO => self::Dry,
            WaterActivity::of(self::sugarPercent($food, $larder)) <= WaterActivity::DRY_ENOUGH => self::Sweet,
            default => null,
        };
    }

    /** Of sugar and water alone. */
    private static function sugarPercent(Contents $food, Larder $larder): float
    {
        $sugar = $food->sugarGrams($larder);

        return (100 * $sugar) / max(1e-9, $sugar + $food->waterGrams($larder));
    }
}
