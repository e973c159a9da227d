<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Explaining\MomentChance;

/** A moment as it looks from this minute. */
final readonly class MomentNow
{
    /** @param list<string> $risk ids of the steps that carry most of it, at most three */
    public function __construct(public MomentChance $chance, public int $lateMinutes, public array $risk)
    {
    }
}
