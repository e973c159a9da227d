<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Moment;

/** How sure it is that everything a moment wants is there: the share of futures, and what it is called. */
final readonly class MomentChance
{
    /**
     * @param float|null  $chance from 0 to 1; null where nothing is eaten then, or nothing was planned
     * @param string|null $least  the sweet that is least sure, by its id
     */
    public function __construct(public Moment $moment, public Word $word, public ?float $chance, public ?string $least)
    {
    }

    /** Of a hundred futures, those in which everything is there, in whole ones and never rounded up. */
    public function of100(): int
    {
        return (int) floor(100 * ($this->chance ?? 0.0) + 1e-9);
    }

    public function isShort(): bool
    {
        return null !== $this->chance && $this->chance < $this->moment->wish();
    }
}
