<?php

declare(strict_types=1);

namespace FeastLadle\Words;

/** Marks every exception of the core that refuses something it was given: it says what, the value, the limit and the place. */
interface Refusal extends \Throwable
{
}
