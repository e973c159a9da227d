<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** A plan was put in force. */
final readonly class Replanned implements Happening
{
    /** @param list<Move> $moves */
    public function __construct(public string $fingerprint, public array $moves, public string $because)
    {
    }
}
