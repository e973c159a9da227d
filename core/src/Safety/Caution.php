<?php

declare(strict_types=1);

namespace FeastLadle\Safety;

use FeastLadle\Larder\Danger;
use FeastLadle\Words\Sentence;

/** One thing that can hurt somebody, and what to do about it. */
final readonly class Caution
{
    public Sentence $sentence;

    /** @param array<string, string|int|float|Sentence> $values */
    public function __construct(public Danger $danger, string $message, array $values = [])
    {
        $this->sentence = new Sentence($message, $values);
    }
}
