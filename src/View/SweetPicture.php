<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Glance\Sweet;
use FeastLadle\Glance\Tint;

/**
 * A sweet as a small drawing: its shape, its own colour, the darker edge of it, and what lies on top.
 *
 * @phpstan-type Drawn array{shape: string, fill: string, edge: string, shade: string, dots: list<array{x: int, y: int, fill: string}>}
 */
final class SweetPicture
{
    private const EDGE = '2b1a10';

    /** Where what is on top lies, from the middle of the drawing. */
    private const DOTS = [[-7, -9], [6, -12], [1, -4], [12, -5], [-14, -4]];

    /** @return Drawn */
    public static function of(Sweet $sweet): array
    {
        $dark = Tint::hex(self::EDGE);
        $dots = [];
        foreach ([] === $sweet->garnish ? [] : self::DOTS as $n => [$x, $y]) {
            $dots[] = ['x' => $x, 'y' => $y, 'fill' => $sweet->garnish[$n % \count($sweet->garnish)]->asHex()];
        }

        return [
            'shape' => $sweet->shape->value,
            'fill' => $sweet->tint->asHex(),
            'edge' => $sweet->tint->towards($dark, 0.45)->asHex(),
            'shade' => $sweet->tint->towards($dark, 0.18)->asHex(),
            'dots' => $dots,
        ];
    }
}
