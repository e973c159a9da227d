<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\MeasuredBowl;

/** A bowl with its number: they stand in a row in the order in which they enter the pot. */
final readonly class CardBowl
{
    public function __construct(public int $number, public MeasuredBowl $bowl)
    {
    }
}
