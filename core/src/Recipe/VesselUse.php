<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Vessel\VesselKind;

/** The vessel of a step: fresh, of a kind; or the one a former step used, its contents still in it. */
final readonly class VesselUse
{
    /** @param float|null $mostGrams no more than this is cooked in one of them, whatever it holds */
    private function __construct(public VesselKind $kind, public ?string $continues, public ?float $mostGrams)
    {
    }

    public static function fresh(VesselKind $kind, ?float $mostGrams = null): self
    {
        return new self($kind, null, $mostGrams);
    }

    public static function continued(VesselKind $kind, string $step, ?float $mostGrams = null): self
    {
        return new self($kind, $step, $mostGrams);
    }
}
