<?php

declare(strict_types=1);

namespace FeastLadle\Words;

/** A number that can't be. */
final class OutOfRange extends \DomainException implements Refusal
{
    private function __construct(
        public readonly string $what,
        public readonly float $value,
        public readonly float $least,
        public readonly float $most,
    ) {
        parent::__construct(\sprintf('%s must lie from %g to %g, not at %g.', $what, $least, $most, $value));
    }

    /**
     * The number, when it lies between its limits.
     *
     * @param string $what place and unit, as in "burner ring, mm"
     *
     * @throws self also for what is no number
     */
    public static function check(string $what, float $value, float $least, float $most): float
    {
        return $value >= $least && $value <= $most ? $value : throw new self($what, $value, $least, $most);
    }
}
