<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Words\Refusal;

/** A schedule that does not hold for its problem: a fault of the program, or a kept plan whose problem has changed since. */
final class FailedAudit extends \LogicException implements Refusal
{
}
