<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Kitchen\Kitchen;

/** All vessels of a kitchen, drawn to one scale. */
final class VesselShelf
{
    /** @return list<array{name: string, kind: string, litres: float, kg: float, width: float, height: float, outline: string}> */
    public function of(Kitchen $kitchen): array
    {
        $drawn = [];
        foreach ($kitchen->vessels as $vessel) {
            $drawn[] = [
                'name' => $vessel->name,
                'kind' => $vessel->kind->value,
                'litres' => $vessel->shape->brimfulMl(),
                'kg' => 1000 * $vessel->emptyKg,
                'width' => SectionDrawing::widest($vessel->shape),
                'height' => SectionDrawing::SCALE * $vessel->shape->heightMm(),
                'outline' => SectionDrawing::profile($vessel->shape, $vessel->shape->heightMm()),
            ];
        }

        return $drawn;
    }
}
