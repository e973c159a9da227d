<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Words\Sentence;

/** Something that would make less late, planned from this minute. */
final readonly class Mend
{
    /**
     * @param array<string, string|int|bool> $said        the event that makes it so, without id and time
     * @param int                            $lateMinutes that are left then, over all moments
     */
    public function __construct(public Sentence $does, public array $said, public int $lateMinutes)
    {
    }
}
