<?php

declare(strict_types=1);

namespace FeastLadle\Syrup;

/**
 * What is boiled to a stage. Jaggery keeps 0.935 of its mass as solids after straining, brings 0.05 water, and rises 1.15
 * times as far as sugar.
 */
enum Sweetener: string
{
    case Sugar = 'sugar';
    case Jaggery = 'jaggery';

    public function solidsShare(): float
    {
        return self::Sugar === $this ? 1.0 : 0.935;
    }

    public function ownWaterShare(): float
    {
        return self::Sugar === $this ? 0.0 : 0.05;
    }

    public function riseFactor(): float
    {
        return self::Sugar === $this ? 1.0 : 1.15;
    }
}
