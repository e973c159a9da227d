<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What is eaten with a sweet comes late. */
final readonly class CompanionLate implements Happening
{
    public function __construct(public string $companion, public int $lateMinutes)
    {
    }
}
