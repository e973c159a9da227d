<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** In how many of a hundred steps something goes wrong on a simulated day. */
enum SlipRate: string
{
    case None = 'none';
    case Usual = 'usual';
    case Many = 'many';

    public function of100(): int
    {
        return match ($this) {
            self::None => 0,
            self::Usual => 2,
            self::Many => 8,
        };
    }
}
