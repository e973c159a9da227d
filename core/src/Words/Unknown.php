<?php

declare(strict_types=1);

namespace FeastLadle\Words;

/** Something is asked for by a name that is not there; the message says which name, and where it was looked for. */
final class Unknown extends \OutOfBoundsException implements Refusal
{
}
