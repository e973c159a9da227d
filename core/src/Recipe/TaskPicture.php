<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

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
        return match (true) {
            Process::Rinse === $step->process, Process::Soak === $step->process, Process::Drain === $step->process => self::Wash,
            Process::Sieve === $step->process, Process::Strain === $step->process => self::Sieve,
            Process::Prepare === $step->process, Process::Cut === $step->process, Process::Score === $step->process => self::Peel,
            Process::Knead === $step->process, Process::Mash === $step->process, Process::Press === $step->process => self::Knead,
            Process::Shape === $step->process, Process::Part === $step->process => self::Roll,
            Process::Garnish === $step->process, Process::Coat === $step->process => self::Sprinkle,
            Process::DishUp === $step->process, Process::Portion === $step->process => self::DishUp,
            'none' !== $step->work->flame->value => self::Fire,
            AttentionKind::None === $step->work->attention->kind => self::Wait,
            default => self::Stir,
        };
    }
}
