<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/**
 * How full a vessel may be, as a share of brimful, for contents as they are at that moment (hot, foaming).
 * Kitchen estimates; a kitchen may set its own.
 */
enum FillLimit: string
{
    case Rest = 'rest';
    case Syrup = 'syrup';
    case MilkOrStarchBoil = 'milk-or-starch-boil';
    case StiffStirred = 'stiff-stirred';
    case DeepFat = 'deep-fat';
    case FrothingFat = 'frothing-fat';
    case HotOntoHot = 'hot-onto-hot';
    case Pressure = 'pressure';
    case FrothingPressure = 'frothing-pressure';
    case Soaking = 'soaking';

    public function share(): float
    {
        return match ($this) {
            self::Rest => 0.85,
            self::Syrup => 0.50,
            self::MilkOrStarchBoil, self::StiffStirred => 0.60,
            self::DeepFat => 0.45,
            self::FrothingFat => 0.35,
            self::HotOntoHot, self::FrothingPressure => 0.50,
            self::Pressure => 0.66,
            self::Soaking => 0.75,
        };
    }

    /** Whether a kitchen's own limit may only be lower: above the usual one hot fat or steam comes out. */
    public function isOfSafety(): bool
    {
        return \in_array($this, [self::DeepFat, self::FrothingFat, self::Pressure, self::FrothingPressure], true);
    }

    public function reason(): string
    {
        return match ($this) {
            self::Rest => 'resting or warm contents',
            self::Syrup => 'boiling syrup climbs',
            self::MilkOrStarchBoil => 'boiling milk and starch foam up',
            self::StiffStirred => 'room to stir a stiff mass',
            self::DeepFat => 'hot fat with pieces in it rises',
            self::FrothingFat => 'fat froths in sugar',
            self::HotOntoHot => 'hot liquid onto hot grain splashes',
            self::Pressure => 'the vent must stay free',
            self::FrothingPressure => 'rice and pulse froth into the vent',
            self::Soaking => 'what soaks swells',
        };
    }
}
