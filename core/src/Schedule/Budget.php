<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * How long the solver may improve: by schedules built, or by work. Work is counted in interval tests, never read off a
 * clock, so that the same file, seed and budget give the same answer on every machine.
 */
final readonly class Budget
{
    /** Interval tests a millisecond, measured on PHP 8.2 without JIT; the true time differs by kind of problem, machine and JIT. */
    private const WORK_PER_MS = 2000;

    private function __construct(public int $iterations, public int $work)
    {
    }

    public static function milliseconds(int $milliseconds): self
    {
        return new self(\PHP_INT_MAX, max(0, $milliseconds) * self::WORK_PER_MS);
    }

    public function times(int $factor): self
    {
        return new self(\PHP_INT_MAX === $this->iterations ? \PHP_INT_MAX : $this->iterations * $factor, \PHP_INT_MAX === $this->work ? \PHP_INT_MAX : $this->work * $factor);
    }

    public static function iterations(int $iterations): self
    {
        return new self(max(0, $iterations), \PHP_INT_MAX);
    }
}
