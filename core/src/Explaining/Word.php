<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Schedule\Risk;

/** The word for a moment, and of a feast: its least sure moment's. */
enum Word: string
{
    case Sure = 'sure';
    case Likely = 'likely';
    case AtRisk = 'at-risk';
    case NotInTime = 'not-in-time';

    public static function ofChance(float $chance): self
    {
        return match (true) {
            $chance >= Risk::SURE => self::Sure,
            $chance >= Risk::LIKELY => self::Likely,
            default => self::AtRisk,
        };
    }
}
