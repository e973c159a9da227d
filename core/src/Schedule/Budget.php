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

    /** @param int $patience how many times the work, as long as nothing is found or something is late */
    private function __construct(public int $iterations, public int $work, public int $patience = 1)
    {
    }

    public static function milliseconds(int $milliseconds): self
    {
        return new self(\PHP_INT_MAX, max(0, $milliseconds) * self::WORK_PER_MS);
    }

    /** The same, and so many times more as long as nothing is found or something is late. */
    public function patient(int $times): self
    {
        return new self($this->iterations, $this->work, max(1, $times));
    }

    /** A part of it, without patience. */
    public function share(float $share): self
    {
        return new self(
            \PHP_INT_MAX === $this->iterations ? \PHP_INT_MAX : (int) ($share * $this->iterations),
            \PHP_INT_MAX === $this->work ? \PHP_INT_MAX : (int) ($share * $this->work),
        );
    }

    public function patientWork(): int
    {
        return $this->work > intdiv(\PHP_INT_MAX, $this->patience) ? \PHP_INT_MAX : $this->work * $this->patience;
    }

    /** The work, or what so many iterations of this work come to. */
    public function workOr(int $each): int
    {
        return $this->iterations < intdiv($this->patientWork(), $each) ? $this->iterations * $each : $this->patientWork();
    }

    /** As much work as is done in about so many milliseconds; infinite where iterations are counted. */
    public function inMilliseconds(): float
    {
        return \PHP_INT_MAX === $this->work ? \INF : $this->patientWork() / self::WORK_PER_MS;
    }

    public static function iterations(int $iterations): self
    {
        return new self(max(0, $iterations), \PHP_INT_MAX);
    }
}
