<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Syrup\Stage;

/** The target of a step. */
final readonly class Target
{
    /** @param bool $every for cues: all of them, not any */
    private function __construct(public TargetKind $kind, public float $value, public ?Stage $stage, public bool $every = false)
    {
    }

    public static function none(): self
    {
        return new self(TargetKind::None, 0.0, null);
    }

    public static function of(TargetKind $kind, float $value): self
    {
        return new self($kind, $value, null);
    }

    public static function stage(Stage $stage): self
    {
        return new self(TargetKind::Stage, 0.0, $stage);
    }

    public static function cues(bool $every): self
    {
        return new self(TargetKind::Cues, 0.0, null, $every);
    }

    /** The share of its volume to which it falls; null when the target is no volume. */
    public function volumeShare(): ?float
    {
        return match ($this->kind) {
            TargetKind::VolumeTo => $this->value,
            TargetKind::VolumeBy => 1 - $this->value,
            default => null,
        };
    }

    public function boilsOff(): bool
    {
        return \in_array($this->kind, [TargetKind::VolumeTo, TargetKind::VolumeBy, TargetKind::Stage, TargetKind::WaterOff], true);
    }
}
