<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Where a step ends, when it is not a time. */
enum TargetKind: string
{
    case None = 'none';
    /** The volume falls to this share of what it was. */
    case VolumeTo = 'volume-to';
    /** The volume falls by this share of what it was. */
    case VolumeBy = 'volume-by';
    /** A syrup stage. */
    case Stage = 'stage';
    /** A temperature. */
    case Celsius = 'celsius';
    /** So many grams of water are gone for each kilogram in the vessel. */
    case WaterOff = 'water-off';
    /** It lies so many millimetres deep. */
    case Depth = 'depth';
    /** The cooker has let off steam so many times. */
    case Releases = 'releases';
    /** Its done signs: any of them, or all. */
    case Cues = 'cues';
}
