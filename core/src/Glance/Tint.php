<?php

declare(strict_types=1);

namespace FeastLadle\Glance;

/** The colour that something gives a sweet, as red, green and blue of 0 to 255. */
final readonly class Tint
{
    public function __construct(public int $red, public int $green, public int $blue)
    {
    }

    public static function hex(string $hex): self
    {
        return new self((int) hexdec(substr($hex, 0, 2)), (int) hexdec(substr($hex, 2, 2)), (int) hexdec(substr($hex, 4, 2)));
    }

    /**
     * As paints mix that lie over each other: each colour counts by its weight.
     *
     * @param list<array{self, float}> $parts colour and weight, at least one above 0
     */
    public static function mixed(array $parts): self
    {
        $sum = max(1e-9, array_sum(array_column($parts, 1)));
        $red = $green = $blue = 0.0;
        foreach ($parts as [$tint, $weight]) {
            $red += $weight * $tint->red;
            $green += $weight * $tint->green;
            $blue += $weight * $tint->blue;
        }

        return new self((int) round($red / $sum), (int) round($green / $sum), (int) round($blue / $sum));
    }

    /** So much of the way to another colour, 0 to 1. */
    public function towards(self $other, float $share): self
    {
        return self::mixed([[$this, 1.0 - $share], [$other, $share]]);
    }

    public function asHex(): string
    {
        return \sprintf('#%02x%02x%02x', $this->red, $this->green, $this->blue);
    }

    /** From 0, black, to 1, white, as an eye weighs the three (ITU-R BT.601). */
    public function lightness(): float
    {
        return (0.299 * $this->red + 0.587 * $this->green + 0.114 * $this->blue) / 255;
    }
}
