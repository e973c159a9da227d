<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

use FeastLadle\Larder\Without;

/** What somebody chose for a dish: schools, dials, what it must do without, and which bases are bought. Silence means as written. */
final readonly class Choices
{
    /**
     * @param array<string, string> $schools school id → option id
     * @param array<string, float>  $dials   dial → value, 1 is as written
     * @param list<Without>         $without
     * @param list<string>          $bought  slugs of bases that are bought, not made
     * @param list<string>          $leftOut ids of steps that are left out
     * @param list<Exchange>        $instead things that go in for others
     */
    public function __construct(
        public array $schools = [],
        public array $dials = [],
        public array $without = [],
        public array $bought = [],
        public array $leftOut = [],
        public array $instead = [],
    ) {
    }

    public static function asWritten(): self
    {
        return new self();
    }

    public function isAsWritten(): bool
    {
        return [] === $this->schools
            && [] === array_filter($this->dials, static fn (float $v): bool => 1.0 !== $v)
            && [] === $this->without
            && [] === $this->bought
            && [] === $this->leftOut
            && [] === $this->instead;
    }

    /** @param array<string, string> $schools */
    public function withSchools(array $schools): self
    {
        return new self($schools, $this->dials, $this->without, $this->bought, $this->leftOut, $this->instead);
    }

    /** @param list<string> $leftOut */
    public function leaving(array $leftOut): self
    {
        return new self($this->schools, $this->dials, $this->without, $this->bought, $leftOut, $this->instead);
    }

    public function dial(DialKind $kind): float
    {
        return $this->dials[$kind->value] ?? 1.0;
    }
}
