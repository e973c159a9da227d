<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\Round;

/** Which bowl, counted from 1 as it enters, of which round of which step of which dish. */
final readonly class BowlKey
{
    public function __construct(public string $dish, public Round $round, public string $step, public int $number)
    {
    }

    /** dish/round/step/number, as "basundi/0/sweeten/2". */
    public function id(): string
    {
        return $this->dish.'/'.$this->round->id().'/'.$this->step.'/'.$this->number;
    }

    /** Whether an id is that of a bowl, and not of a step. */
    public static function isOne(string $id): bool
    {
        return 3 === substr_count($id, '/');
    }
}
