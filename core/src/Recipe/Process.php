<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\HeatCap;
use FeastLadle\Vessel\FillLimit;

/** What is done in a step. The process knows how full its vessel may be and what its contents stand of heat. */
enum Process: string
{
    case Prepare = 'prepare';
    case Soak = 'soak';
    case Sieve = 'sieve';
    case Grind = 'grind';
    case Mash = 'mash';
    case Knead = 'knead';
    case Rest = 'rest';
    case Roast = 'roast';
    case Bloom = 'bloom';
    case FryGarnish = 'fry-garnish';
    case Boil = 'boil';
    case Simmer = 'simmer';
    case Reduce = 'reduce';
    case Syrup = 'syrup';
    case DeepFry = 'deep-fry';
    case Steep = 'steep';
    case Merge = 'merge';
    case StirToBall = 'stir-to-ball';
    case Cool = 'cool';
    case MixIn = 'mix-in';
    case Chill = 'chill';
    case Shape = 'shape';
    case Set = 'set';
    case Score = 'score';
    case Cut = 'cut';
    case Garnish = 'garnish';
    case DishUp = 'dish-up';

    public function fillLimit(): FillLimit
    {
        return match ($this) {
            self::Syrup => FillLimit::Syrup,
            self::Boil, self::Simmer, self::Reduce => FillLimit::MilkOrStarchBoil,
            self::Roast, self::StirToBall, self::Knead, self::Mash => FillLimit::StiffStirred,
            self::DeepFry => FillLimit::DeepFat,
            self::Merge => FillLimit::HotOntoHot,
            self::Soak => FillLimit::Soaking,
            default => FillLimit::Rest,
        };
    }

    public function heatCap(): HeatCap
    {
        return match ($this) {
            self::Boil, self::Reduce => HeatCap::Milk,
            self::Simmer => HeatCap::ThinPudding,
            self::Roast, self::Bloom => HeatCap::Roast,
            self::FryGarnish, self::DeepFry => HeatCap::Syrup,
            self::Syrup => HeatCap::Syrup,
            self::Merge, self::StirToBall => HeatCap::ThickPudding,
            default => HeatCap::Water,
        };
    }

    /** The caution that belongs to the process itself, or null. */
    public function caution(): ?string
    {
        return match ($this) {
            self::Syrup => 'Boiling sugar burns deep and sticks. Dry tools, long handle, cold water within reach.',
            self::DeepFry, self::FryGarnish => 'Hot fat: nothing wet goes in, nobody reaches over the pan, keep a lid at hand and never water.',
            self::Merge => 'Hot liquid onto hot grain spits. Long sleeve, pour low and in parts, keep children away.',
            self::Reduce, self::Boil => 'Milk climbs fast. Leave headroom and do not turn away once it simmers.',
            self::StirToBall => 'The thick mass spits. Cover the arm, use a long spoon.',
            self::Cool, self::Chill => 'Milk and starch must not stand lukewarm: through 60 to 21 °C within two hours, cold within four more. Local food rules come first.',
            default => null,
        };
    }
}
