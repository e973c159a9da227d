<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Moment;

/** Batches of a dish that are wanted by one moment. */
final readonly class Wave
{
    /**
     * @param Moment             $moment  by which they are ready
     * @param \DateTimeImmutable $until   the last moment at which somebody eats of them
     * @param list<int>          $batches
     */
    public function __construct(public Moment $moment, public \DateTimeImmutable $until, public array $batches)
    {
    }
}
