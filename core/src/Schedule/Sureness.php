<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What a chance of being in time is called; kitchen estimates, the same on every page and in every document. */
enum Sureness: string
{
    case Sure = 'as good as sure';
    case Likely = 'likely';
    case Open = 'may go either way';
    case Late = 'count on it being late';

    /** @param float $chance from 0 to 1 */
    public static function of(float $chance): self
    {
        return match (true) {
            $chance >= Risk::SURE => self::Sure,
            $chance >= Risk::LIKELY => self::Likely,
            $chance >= 0.4 => self::Open,
            default => self::Late,
        };
    }
}
