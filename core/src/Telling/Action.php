<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What a verb of a telling means; which process that is follows from where it is said. */
enum Action: string
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
    case Fry = 'fry';
    case DeepFry = 'deep-fry';
    case ShallowFry = 'shallow-fry';
    case Bloom = 'bloom';
    case Infuse = 'infuse';
    case Boil = 'boil';
    case Simmer = 'simmer';
    case Reduce = 'reduce';
    case Melt = 'melt';
    case Syrup = 'syrup';
    case Pressure = 'pressure';
    case Steam = 'steam';
    case Griddle = 'griddle';
    case Dip = 'dip';
    case Stir = 'stir';
    case Add = 'add';
    case Cool = 'cool';
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
    case Leave = 'leave';
    case Serve = 'serve';
    case Off = 'off';
    case Test = 'test';
    case Grease = 'grease';
    case Weigh = 'weigh';
}
