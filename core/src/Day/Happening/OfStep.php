<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What is said of one step. */
interface OfStep extends Happening
{
    public function step(): string;
}
