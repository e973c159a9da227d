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

    public function suffices(self $wanted): bool
    {
        return self::Cook === $this || self::AnyHands === $wanted;
    }
}
