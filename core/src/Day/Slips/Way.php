<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Words\Sentence;

/** A way on after a slip. */
final readonly class Way
{
    /**
     * @param string      $id        of its kind among the ways of one slip, in words
     * @param list<Added> $adds
     * @param int         $minutes   it takes beyond what was planned
     * @param string|null $asWritten the recipe's own words, where it is the recipe's rescue
     */
    public function __construct(
        public string $id,
        public WayKind $kind,
        public Sentence $does,
        public array $adds = [],
        public int $minutes = 0,
        public ?Sentence $loses = null,
        public ?string $asWritten = null,
    ) {
    }
}
