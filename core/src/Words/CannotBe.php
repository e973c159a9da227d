<?php

declare(strict_types=1);

namespace FeastLadle\Words;

/** Values that can't be together, or for which a law has no answer; the message says which, their limit and where. */
final class CannotBe extends \DomainException implements Refusal
{
}
