<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What a cook sees, hears or feels; for a wrong sign also what helps. */
final readonly class Cue
{
    public function __construct(public CueKind $kind, public string $sign, public string $rescue, public bool $tasting)
    {
    }
}
