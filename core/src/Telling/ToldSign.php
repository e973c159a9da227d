<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\CueKind;

/** By what a cook sees that it is done, that it is on its way, or that it goes wrong, with what helps then. */
final readonly class ToldSign
{
    public function __construct(public CueKind $kind, public string $words, public string $rescue, public int $first, public int $next)
    {
    }
}
