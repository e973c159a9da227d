<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;

/** What hands do in a step, as a picture shows it: for a child, and for whoever reads no words. */
enum TaskPicture: string
{
    case Wash = 'wash';
    case Sieve = 'sieve';
    case Peel = 'peel';
    case Stir = 'stir';
    case Knead = 'knead';
    case Roll = 'roll';
    case Sprinkle = 'sprinkle';
    case DishUp = 'dish-up';
    case Wait = 'wait';
    case Fire = 'fire';

    public static function of(Step $step): self
    {
        return match ($step->process) {
            Process::Rinse, Process::Soak, Process::Drain => self::Wash,
            Process::Sieve, Process::Strain => self::Sieve,
            Process::Prepare, Process::Cut, Process::Score => self::Peel,
            Process::Knead, Process::Mash, Process::Press => self::Knead,
            Process::Shape, Process::Part => self::Roll,
            Process::Garnish, Process::Coat => self::Sprinkle,
            Process::DishUp, Process::Portion => self::DishUp,
            default => match (true) {
                Flame::None !== $step->work->flame => self::Fire,
                AttentionKind::None === $step->work->attention->kind => self::Wait,
                default => self::Stir,
            },
        };
    }
}
