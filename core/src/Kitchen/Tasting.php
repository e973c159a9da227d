<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

/** Whether this house tastes while it cooks. Houses differ; where nobody said, nothing is tasted before it was offered. */
enum Tasting: string
{
    case Always = 'always';
    case AfterTheOffering = 'after-the-offering';
    case Never = 'never';

    /** @param bool $awaitsOffering whether something is still to be offered */
    public function isAllowed(bool $awaitsOffering): bool
    {
        return self::Always === $this || (self::AfterTheOffering === $this && !$awaitsOffering);
    }
}
