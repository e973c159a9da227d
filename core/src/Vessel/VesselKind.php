<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** What a vessel is used as. A step names the kinds that serve it; only pots and pans stand on a fire. */
enum VesselKind: string
{
    case Pot = 'pot';
    case Pan = 'pan';
    case Tray = 'tray';
    case Bowl = 'bowl';

    public function standsOnFire(): bool
    {
        return self::Pot === $this || self::Pan === $this;
    }
}
