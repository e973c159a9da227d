<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What can hurt somebody, in what is done or in a thing itself. */
enum Danger: string
{
    case HotSugar = 'hot-sugar';
    case HotFat = 'hot-fat';
    case BoilOver = 'boil-over';
    case Splash = 'splash';
    case Spatter = 'spatter';
    case Steam = 'steam';
    case Pressure = 'pressure';
    case Lifting = 'lifting';
    case Lukewarm = 'lukewarm';
    case HotDough = 'hot-dough';
    case Curdles = 'curdles';
    case Choking = 'choking';
    case Honey = 'honey';
    case Law = 'law';
    case Grade = 'grade';
    /** nobody said what is in it */
    case Unknown = 'unknown';

    /** Those that lie in a thing itself, as the larder says. */
    public const OF_THINGS = [self::Choking, self::Honey, self::Law, self::Grade, self::Unknown];
}
