<?php

declare(strict_types=1);

namespace FeastLadle\Tray;

/** Between which temperatures a slab is scored, cut or parted. Kitchen estimates: brittle kinds are cut warm, soft kinds cold. */
enum CutWindow: string
{
    case Score = 'Score the lines';
    case Warm = 'Cut through warm';
    case Cold = 'Cut cold, part what was scored';

    /** From this temperature on it may be done. */
    public function fromCelsius(): float
    {
        return match ($this) {
            self::Score => 70.0,
            self::Warm => 50.0,
            self::Cold => 34.0,
        };
    }

    /** Below this it is too late; null: never. */
    public function toCelsius(): ?float
    {
        return match ($this) {
            self::Score => 55.0,
            self::Warm => 40.0,
            self::Cold => null,
        };
    }
}
