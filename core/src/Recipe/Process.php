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
    case Drain = 'drain';
    case Rinse = 'rinse';
    case Sieve = 'sieve';
    case Grind = 'grind';
    case Mash = 'mash';
    case Press = 'press';
    case Strain = 'strain';
    case Knead = 'knead';
    case Rest = 'rest';
    case Dry = 'dry';
    case Roast = 'roast';
    case Parch = 'parch';
    case Bloom = 'bloom';
    case Infuse = 'infuse';
    case FryGarnish = 'fry-garnish';
    case Boil = 'boil';
    case Simmer = 'simmer';
    case Reduce = 'reduce';
    case Syrup = 'syrup';
    case Pressure = 'pressure';
    case Steam = 'steam';
    case DeepFry = 'deep-fry';
    case Griddle = 'griddle';
    case Dunk = 'dunk';
    case Steep = 'steep';
    case Merge = 'merge';
    case HotFat = 'hot-fat';
    case StirToBall = 'stir-to-ball';
    case Test = 'test';
    case Cool = 'cool';
    case MixIn = 'mix-in';
    case Chill = 'chill';
    case Shape = 'shape';
    case Set = 'set';
    case Score = 'score';
    case Cut = 'cut';
    case Part = 'part';
    case TurnOut = 'turn-out';
    case Garnish = 'garnish';
    case Portion = 'portion';
    case DishUp = 'dish-up';

    public function fillLimit(): FillLimit
    {
        return match ($this) {
            self::Syrup => FillLimit::Syrup,
            self::Boil, self::Simmer, self::Reduce, self::Infuse => FillLimit::MilkOrStarchBoil,
            self::Roast, self::Parch, self::StirToBall, self::Knead, self::Mash => FillLimit::StiffStirred,
            self::DeepFry => FillLimit::DeepFat,
            self::Merge => FillLimit::HotOntoHot,
            self::HotFat => FillLimit::FrothingFat,
            self::Pressure => FillLimit::Pressure,
            self::Soak => FillLimit::Soaking,
            default => FillLimit::Rest,
        };
    }

    public function heatCap(): HeatCap
    {
        return match ($this) {
            self::Boil, self::Reduce => HeatCap::Milk,
            self::Simmer => HeatCap::ThinPudding,
            self::Roast, self::Parch, self::Bloom, self::Griddle => HeatCap::Roast,
            self::FryGarnish, self::DeepFry => HeatCap::Syrup,
            self::Syrup => HeatCap::Syrup,
            self::Merge, self::HotFat, self::StirToBall => HeatCap::ThickPudding,
            default => HeatCap::Water,
        };
    }

    /** K by which a pan stands above what is in it, a kitchen estimate; null where it does not matter that it goes on. */
    public function panExcessK(): ?float
    {
        return match ($this) {
            self::Roast, self::Parch => 50.0,
            self::StirToBall, self::HotFat => 30.0,
            self::Syrup, self::Reduce => 10.0,
            default => null,
        };
    }

    /** Whether its contents get hotter than boiling water. */
    public function browns(): bool
    {
        return \in_array($this, [self::Roast, self::Parch, self::Bloom, self::FryGarnish, self::DeepFry, self::Griddle], true);
    }

    /** Whether what is done is work of knife, hand or tool, after which things are as warm as the room. */
    public function ends(): bool
    {
        return \in_array(
            $this,
            [self::Rest, self::Dry, self::Set, self::Soak, self::Rinse, self::Shape, self::Cut, self::Part, self::Score, self::Sieve],
            true,
        );
    }

    /** Whether grain or pulse gets soft in it, where there is water enough. */
    public function softens(): bool
    {
        return \in_array($this, [self::Boil, self::Simmer, self::Reduce, self::Pressure, self::Steep], true);
    }

    /** Whether what was raw is cooked after it, so that nothing in it has to get soft any more. */
    public function cooksThrough(): bool
    {
        return \in_array($this, [self::Pressure, self::Steam, self::DeepFry, self::Griddle], true);
    }
}
