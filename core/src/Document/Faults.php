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

    /** @var array<string, true> what was said already; a document may be read in several ways */
    private array $said = [];

    public function add(Fault $fault): void
    {
        $key = $fault->pointer."\0".$fault->sentence->id;
        if (\count($this->faults) < self::MOST && !isset($this->said[$key])) {
            $this->said[$key] = true;
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
