<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Syrup\Stage;

/** The target of a step. */
final readonly class Target
{
    private function __construct(public TargetKind $kind, public float $value, public ?Stage $stage)
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
}
