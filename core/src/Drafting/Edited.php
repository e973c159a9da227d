<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Words\Sentence;

/** A draft after something was done to it, which step is open now, and what could not be done. */
final readonly class Edited
{
    public ?Sentence $refusal;

    /** @param array<string, string|int|float> $values of the refusal */
    public function __construct(public Draft $draft, public int $open, string $refusal = '', array $values = [])
    {
        $this->refusal = '' === $refusal ? null : new Sentence($refusal, $values);
    }
}
