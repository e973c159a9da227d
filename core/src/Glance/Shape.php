<?php

declare(strict_types=1);

namespace FeastLadle\Glance;

use FeastLadle\Recipe\EatingWay;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;

/** How a portion lies there. */
enum Shape: string
{
    /** spooned into a bowl */
    case Bowl = 'bowl';
    /** ladled: it runs */
    case Drink = 'drink';
    case Ball = 'ball';
    case Square = 'square';
    case Diamond = 'diamond';
    /** flat and round, from a griddle or a mould */
    case Disc = 'disc';
    /** squeezed round and round into fat */
    case Coil = 'coil';
    /** a filling in a dough or a leaf */
    case Parcel = 'parcel';
    /** cut off a roll */
    case Slice = 'slice';

    /** By what is done with it last, and by what a piece of it is called. */
    public static function of(Recipe $recipe): self
    {
        if (!$recipe->portion->countsPieces) {
            return EatingWay::Ladled === $recipe->eaten ? self::Drink : self::Bowl;
        }
        $named = mb_strtolower($recipe->portion->pieceName);
        $processes = array_map(static fn (Step $s): Process => $s->process, array_values($recipe->steps));
        $did = static fn (Process ...$any): bool => [] !== array_filter(
            $processes,
            static fn (Process $p): bool => \in_array($p, $any, true),
        );

        return match (true) {
            1 === preg_match('/coil|spiral|ring/', $named) => self::Coil,
            1 === preg_match('/diamond|lozenge/', $named) => self::Diamond,
            1 === preg_match('/parcel|dumpling|shell/', $named) => self::Parcel,
            1 === preg_match('/slice|coin|finger|stick/', $named), $did(Process::Cut) && $did(Process::Shape) => self::Slice,
            1 === preg_match('/bread|cake|cup|mould|disc|leaf/', $named), $did(Process::TurnOut) => self::Disc,
            $did(Process::Cut, Process::Part, Process::Score, Process::Set, Process::Griddle) && !$did(Process::Shape) => self::Square,
            default => self::Ball,
        };
    }
}
