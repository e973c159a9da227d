<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Words\Sentence;

/** By what an answer changes a sweet. */
enum Aspect
{
    case Sugar;
    case Water;
    case Grams;
    case Minutes;

    /** What nobody would notice: of shares as they are, of grams by the gram made, of minutes by the minute. Kitchen estimates. */
    public function unnoticed(float $usual): float
    {
        return match ($this) {
            self::Sugar => 0.02,
            self::Water => 0.03,
            self::Grams => 0.08 * $usual,
            self::Minutes => max(10.0, 0.1 * $usual),
        };
    }

    public function says(string $from, string $to, float $low, float $high): Sentence
    {
        $values = match ($this) {
            self::Sugar, self::Water => ['from' => $from, 'to' => $to, 'low' => round(100 * $low), 'high' => round(100 * $high)],
            default => ['from' => $from, 'to' => $to, 'low' => $this->rounded($low), 'high' => $this->rounded($high)],
        };

        return match ($this) {
            self::Sugar => new Sentence('Between {from} and {to}, sugar goes from {low} to {high} % of the sweet.', $values),
            self::Water => new Sentence(
                'Between {from} and {to}, water goes from {low} to {high} % of it: so firm or so soft it gets.',
                $values,
            ),
            self::Grams => new Sentence('Between {from} and {to}, it makes {low} to {high} g.', $values),
            self::Minutes => new Sentence('Between {from} and {to}, it takes {low} to {high} min.', $values),
        };
    }

    private function rounded(float $value): float
    {
        return round($value, $value >= 1000 ? -2 : ($value >= 100 ? -1 : 0));
    }
}
