<?php

declare(strict_types=1);

namespace App\Command;

/** A command that reads or writes the book of recipes, so that there must be one. */
interface UsesTheBook
{
}
