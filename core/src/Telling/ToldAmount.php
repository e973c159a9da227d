<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;

/** How much of what was told. */
final readonly class ToldAmount
{
    /**
     * @param Ingredient|null $thing   null when no larder knows it
     * @param string          $named   the words that name it
     * @param float|null      $from    null when no amount was told
     * @param string          $vague   words that no measure fixes: "a few", "as you like"
     * @param int             $first   token of the text where it begins
     * @param list<Guess>     $guesses what had to be supposed
     * @param list<self>      $others  other measures of the same that were told beside it
     * @param bool            $isTold  whether a number stands behind it, a vague word at least; else it is only named
     */
    public function __construct(
        public ?Ingredient $thing,
        public string $named,
        public ?float $from,
        public ?float $to,
        public ?SpokenUnit $unit,
        public string $vague,
        public int $first,
        public int $next,
        public ?float $grams = null,
        public array $guesses = [],
        public array $others = [],
        public bool $isTold = true,
    ) {
    }

    public function beside(self $other): self
    {
        return new self(
            $this->thing,
            $this->named,
            $this->from,
            $this->to,
            $this->unit,
            $this->vague,
            min($this->first, $other->first),
            max($this->next, $other->next),
            $this->grams,
            $this->guesses,
            [...$this->others, $other],
            $this->isTold,
        );
    }

    /** The same, of a list that stands outside the text. */
    public function listed(): self
    {
        return new self(
            $this->thing, $this->named, $this->from, $this->to, $this->unit, $this->vague, -1, -1, $this->grams, $this->guesses,
            $this->others, true,
        );
    }

    /** So many of it, of which nobody knows what one weighs. */
    public function counted(Span $number): self
    {
        $guesses = [new Guess('how much one weighs is not known')];

        return new self($this->thing, $this->named, $number->from, $number->to, null, '', $number->first, $this->next, null, $guesses);
    }

    /** What is left of it when some has been used. */
    public function less(float $grams): self
    {
        $left = ($this->grams ?? 0.0) - $grams;

        return new self(
            $this->thing, $this->named, $left, $left, SpokenUnit::Gram, '', $this->first, $this->next, $left, $this->guesses, [], true,
        );
    }

    public function key(): string
    {
        return $this->thing->id ?? '='.$this->named;
    }
}
