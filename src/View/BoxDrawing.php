<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Amounts\BoxCount;

/** A gift box from the front: what it holds side by side, each as wide as it weighs. */
final class BoxDrawing
{
    private const LEFT = 24.0;
    private const WIDTH = 192.0;

    /** @return list<array{letter: string, x: float, w: float, middle: float}> */
    public function of(BoxCount $count): array
    {
        $parts = [];
        $at = self::LEFT;
        foreach ($count->contents as $part) {
            $width = $count->grams > 0 ? (self::WIDTH * $part['grams']) / $count->grams : 0.0;
            $parts[] = [
                'letter' => $part['dish']->dish->letter,
                'x' => round($at, 2),
                'w' => round($width, 2),
                'middle' => round($at + $width / 2, 2),
            ];
            $at += $width;
        }

        return $parts;
    }
}
