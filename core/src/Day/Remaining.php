<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Schedule\DurationRange;

/** Minutes that a running step still takes: least, likely, most; never none while it runs. */
final readonly class Remaining
{
    /** Of its likely minutes, what one that has outrun all that was thought of still takes; kitchen estimates. */
    private const OVERRUN_LIKELY = 0.1;
    private const OVERRUN_MOST = 0.3;

    private function __construct(public int $least, public int $likely, public int $most)
    {
    }

    /**
     * Its triangle, given the minutes already gone: until its least it is as was planned, from then on the middle of the futures
     * that are left; whole minutes rounded up.
     *
     * @param DurationRange $range minutes on the fire it stands on
     * @param float         $gone  since it began
     */
    public static function after(DurationRange $range, float $gone): self
    {
        [$a, $c, $b] = [$range->min, $range->likely, $range->max];
        if ($gone >= $b) {
            return self::of(1.0, self::OVERRUN_LIKELY * $c, self::OVERRUN_MOST * $c);
        }

        $middle = $gone <= $a ? (float) $c : $range->quantile((1 + $range->shareWithin($gone)) / 2);

        return self::of($a - $gone, $middle - $gone, $b - $gone);
    }

    /** As a law has it from the last reading. */
    public static function of(float $least, float $likely, float $most): self
    {
        $whole = static fn (float $minutes): int => max(1, (int) ceil($minutes - 1e-6));

        return new self(min($whole($least), $whole($likely)), $whole($likely), max($whole($likely), $whole($most)));
    }

    public function range(): DurationRange
    {
        return new DurationRange($this->least, $this->likely, $this->most);
    }
}
