<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Vessel\VesselKind;

/** The vessel of a step: fresh, of a kind; or the one a former step used, its contents still in it. */
final readonly class VesselUse
{
    private function __construct(public VesselKind $kind, public ?string $continues)
    {
    }

    public static function fresh(VesselKind $kind): self
    {
        return new self($kind, null);
    }

    public static function continued(VesselKind $kind, string $step): self
    {
        return new self($kind, $step);
    }
}
