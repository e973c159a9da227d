<?php

declare(strict_types=1);

namespace FeastLadle\Day\Happening;

/** What an event says. Each kind is a class of its own; steps are named dish/batch/step, as on the run sheet. */
interface Happening
{
}
