<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Who may do a step. */
enum Skill: string
{
    /** Someone who judges colour, string and flame. */
    case Cook = 'cook';
    /** Any pair of grown-up hands. */
    case AnyHands = 'any';
    /** Peeling, rolling, garnishing; never by fat, syrup or flame. */
    case Child = 'child';

    public function suffices(self $wanted): bool
    {
        return $this->rank() >= $wanted->rank();
    }

    private function rank(): int
    {
        return match ($this) {
            self::Cook => 3,
            self::AnyHands => 2,
            self::Child => 1,
        };
    }
}
