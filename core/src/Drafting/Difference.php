<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

/** One thing in which two documents of a recipe differ. */
final readonly class Difference
{
    /**
     * @param string $where  title of the step; empty: the dish itself
     * @param string $what   a field, or what stands in a bowl
     * @param string $before empty when it was not there
     * @param string $after  empty when it is gone
     */
    public function __construct(public string $where, public string $what, public string $before, public string $after)
    {
    }
}
