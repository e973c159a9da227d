<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Words\Sentence;

/** All vessels of a kitchen, drawn to one scale. */
final class VesselShelf
{
    private const WIDEST = 190.0;
    private const HIGHEST = 124.0;

    /** Around each, for the thickness of the line. */
    private const ROOM = 12.0;

    /**
     * @return array<string, array{name: string, kind: string, litres: float, kg: float, size: Sentence, view: string,
     *     shownWidth: float, shownHeight: float, outline: string}> by id
     */
    public function of(Kitchen $kitchen): array
    {
        $drawn = [];
        $widest = $highest = 1.0;
        foreach ($kitchen->vessels as $vessel) {
            $widest = max($widest, SectionDrawing::widest($vessel->shape) + self::ROOM);
            $highest = max($highest, SectionDrawing::SCALE * $vessel->shape->heightMm() + self::ROOM);
        }
        $scale = min(1.0, self::WIDEST / $widest, self::HIGHEST / $highest);
        foreach ($kitchen->vessels as $vessel) {
            $drawn[$vessel->id] = [
                'name' => $vessel->name,
                'kind' => $vessel->kind->value,
                'litres' => $vessel->shape->brimfulMl(),
                'kg' => 1000 * $vessel->emptyKg,
                'size' => new Sentence('{across} × {height} mm', [
                    'across' => round(2 * $vessel->shape->radiusMm($vessel->shape->heightMm())),
                    'height' => round($vessel->shape->heightMm()),
                ]),
                'view' => \sprintf(
                    '%.1f %.1f %.1f %.1f',
                    -SectionDrawing::widest($vessel->shape) / 2 - self::ROOM / 2,
                    -self::ROOM / 2,
                    SectionDrawing::widest($vessel->shape) + self::ROOM,
                    SectionDrawing::SCALE * $vessel->shape->heightMm() + self::ROOM,
                ),
                'shownWidth' => round($scale * (SectionDrawing::widest($vessel->shape) + self::ROOM), 1),
                'shownHeight' => round($scale * (SectionDrawing::SCALE * $vessel->shape->heightMm() + self::ROOM), 1),
                'outline' => SectionDrawing::profile($vessel->shape, $vessel->shape->heightMm()),
            ];
        }

        return $drawn;
    }
}
