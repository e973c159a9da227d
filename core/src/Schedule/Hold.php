<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Resources kept from the first start to the last end of some activities, gaps included. */
final readonly class Hold
{
    /**
     * @param non-empty-list<string> $activities
     * @param list<Need>             $needs
     */
    public function __construct(public string $id, public array $activities, public array $needs)
    {
    }
}
