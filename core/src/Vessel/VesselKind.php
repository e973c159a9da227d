<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** What a vessel is used as. A step names the kinds that serve it; trays and bowls stand on no fire. */
enum VesselKind: string
{
    case Pot = 'pot';
    case Pan = 'pan';
    case Tray = 'tray';
    case Bowl = 'bowl';
    /** A pot that is closed under pressure. */
    case Cooker = 'cooker';
    /** A pot with tiers over water. */
    case Steamer = 'steamer';
    case Griddle = 'griddle';
    /** What a dish is carried out and served from; nothing is cooked in it. */
    case Serving = 'serving';

    public function standsOnFire(): bool
    {
        return self::Tray !== $this && self::Bowl !== $this && self::Serving !== $this;
    }
}
