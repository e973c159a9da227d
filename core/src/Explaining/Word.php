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

    /** As it is said, with the number of a hundred futures. */
    public function says(): string
    {
        return match ($this) {
            self::Sure => 'sure: {count} of 100',
            self::Likely => 'likely: {count} of 100',
            self::AtRisk => 'at risk: {count} of 100',
            self::NotInTime => 'not in time',
        };
    }

    public static function ofChance(float $chance): self
    {
        return match (true) {
            $chance >= Risk::SURE => self::Sure,
            $chance >= Risk::LIKELY => self::Likely,
            default => self::AtRisk,
        };
    }
}
