<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** Collects faults in the order they are met, so that one reading reports them all. */
final class Faults
{
    /** More than this helps nobody and would let a bad file fill the memory. */
    public const MOST = 200;

    /** @var list<Fault> */
    private array $faults = [];

    public function add(Fault $fault): void
    {
        if (\count($this->faults) < self::MOST) {
            $this->faults[] = $fault;
        }
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return $this->faults;
    }

    public function isEmpty(): bool
    {
        return [] === $this->faults;
    }

    /** @throws FaultyDocument when anything was collected */
    public function throwIfAny(string $document): void
    {
        if ([] !== $this->faults) {
            throw new FaultyDocument($document, $this->faults);
        }
    }
}
