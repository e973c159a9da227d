<?php

declare(strict_types=1);

namespace FeastLadle\Tray;

/** How a slab is cut, by straight cuts through its whole length and width. */
enum Cut: string
{
    case Squares = 'squares';
    case HalvedSquares = 'halved-squares';
    case Triangles = 'triangles';
    case CrossedDiamonds = 'crossed-diamonds';
    case SlantedDiamonds = 'slanted-diamonds';

    /**
     * Whole pieces out of a slab. Lengths in mm. Squares: side a. Triangles: base a, rows of height b. Crossed diamonds: diagonals a and b.
     * Slanted diamonds: strips a wide, cut at an angle.
     */
    public function pieces(float $length, float $width, float $a, float $b = 0.0, float $degrees = 60.0): int
    {
        $fit = static fn (float $size, float $piece, float $less = 0.0): int => max(0, (int) floor($size / $piece - $less + 1e-9));

        return match ($this) {
            self::Squares => $fit($length, $a) * $fit($width, $a),
            self::HalvedSquares => 2 * $fit($length, $a) * $fit($width, $a),
            self::Triangles => $fit($width, $b) * ($fit($length, $a) + $fit($length, $a, 0.5)),
            self::CrossedDiamonds => $fit($length, $a) * $fit($width, $b) + $fit($length, $a, 0.5) * $fit($width, $b, 0.5),
            self::SlantedDiamonds => self::slanted($length, $width, $a, $degrees),
        };
    }

    /** What one piece covers, in mm². */
    public function pieceMm2(float $a, float $b = 0.0, float $degrees = 60.0): float
    {
        return match ($this) {
            self::Squares => $a * $a,
            self::HalvedSquares => $a * $a / 2,
            self::Triangles, self::CrossedDiamonds => $a * $b / 2,
            self::SlantedDiamonds => $a * $a / sin(deg2rad($degrees)),
        };
    }

    public function needsSecond(): bool
    {
        return self::Triangles === $this || self::CrossedDiamonds === $this;
    }

    /** Row i holds whole j with j·s + i·p·cot θ ≥ 0 and (j+1)s + (i+1)p·cot θ ≤ L, s = p/sin θ. */
    private static function slanted(float $length, float $width, float $strip, float $degrees): int
    {
        $side = $strip / sin(deg2rad($degrees));
        $shift = $strip / tan(deg2rad($degrees));
        $pieces = 0;
        for ($i = 0; $i < (int) floor($width / $strip + 1e-9); ++$i) {
            $first = (int) ceil(-$i * $shift / $side - 1e-9);
            $last = (int) floor(($length - ($i + 1) * $shift) / $side - 1 + 1e-9);
            $pieces += max(0, $last - $first + 1);
        }

        return $pieces;
    }
}
