<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Words\Sentence;

/** What is to be said of a slip: the hazard first, then what it changes, then ways on in order of least harm. */
final readonly class SlipAnswer
{
    /**
     * @param list<Sentence> $first     before grams, minutes or blame
     * @param list<Sentence> $changes   what is in the pot now, and what that does
     * @param list<Way>      $ways
     * @param Sentence|null  $noWayBack why what was meant can't be had from this pot
     */
    public function __construct(
        public array $first,
        public array $changes,
        public bool $isForNobody,
        public array $ways,
        public ?Sentence $noWayBack,
    ) {
    }

    public static function nothing(): self
    {
        return new self([], [], false, [], null);
    }

    public function saying(Sentence ...$first): self
    {
        return new self([...$this->first, ...array_values($first)], $this->changes, $this->isForNobody, $this->ways, $this->noWayBack);
    }

    public function because(Sentence ...$changes): self
    {
        return new self($this->first, [...$this->changes, ...array_values($changes)], $this->isForNobody, $this->ways, $this->noWayBack);
    }

    public function with(Way ...$ways): self
    {
        return new self($this->first, $this->changes, $this->isForNobody, [...$this->ways, ...array_values($ways)], $this->noWayBack);
    }

    public function forNobody(): self
    {
        return new self($this->first, $this->changes, true, $this->ways, $this->noWayBack);
    }

    public function noWay(Sentence $why): self
    {
        return new self($this->first, $this->changes, $this->isForNobody, $this->ways, $why);
    }

    /** Each kind of way where it belongs: nobody eats it first, then by the harm it does. */
    public function ordered(): self
    {
        $rank = array_flip(array_map(static fn (WayKind $k): string => $k->value, WayKind::cases()));
        $ways = $this->ways;
        usort($ways, static fn (Way $a, Way $b): int => $rank[$a->kind->value] <=> $rank[$b->kind->value]);

        return new self($this->first, $this->changes, $this->isForNobody, $ways, $this->noWayBack);
    }
}
