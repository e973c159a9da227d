<?php

declare(strict_types=1);

namespace FeastLadle\Safety;

enum Danger: string
{
    case HotSugar = 'hot-sugar';
    case HotFat = 'hot-fat';
    case BoilOver = 'boil-over';
    case Splash = 'splash';
    case Steam = 'steam';
    case Pressure = 'pressure';
    case Lifting = 'lifting';
    case Lukewarm = 'lukewarm';
    case Choking = 'choking';
    case Honey = 'honey';
    case Law = 'law';
    case Grade = 'grade';
}
