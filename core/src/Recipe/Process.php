<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What is done in a step. What is known of each stands in ProcessTable. */
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
    case ShallowFry = 'shallow-fry';
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
    case Coat = 'coat';
    case Garnish = 'garnish';
    case Portion = 'portion';
    case DishUp = 'dish-up';

    /** What stands in hot fat: nothing wet goes in, nobody reaches over it, no child comes near. */
    public const IN_HOT_FAT = [self::DeepFry, self::ShallowFry, self::FryGarnish, self::HotFat];

    /** Whether pieces are fried in fat that stands in the pan, deep or a finger's breadth. */
    public function friesInFat(): bool
    {
        return self::DeepFry === $this || self::ShallowFry === $this;
    }

    /** All that is known of it. */
    public function facts(): ProcessFacts
    {
        return ProcessTable::of($this);
    }
}
