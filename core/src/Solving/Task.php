<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;

/** What is to be planned: a feast in a kitchen, its amounts, from when on, and without which dishes. */
final readonly class Task
{
    /**
     * @param \DateTimeImmutable|null $notBefore nothing may start earlier, when the day has begun
     * @param list<string>            $without   dishes to leave out, by id
     */
    public function __construct(
        public Feast $feast,
        public Kitchen $kitchen,
        public Quantities $quantities,
        public ?\DateTimeImmutable $notBefore = null,
        public array $without = [],
    ) {
    }

    /** The same amounts for a feast that differs in when and by whom only. */
    public function by(Feast $feast, ?Kitchen $kitchen = null): self
    {
        return new self($feast, $kitchen ?? $this->kitchen, $this->quantities->wishedAs($feast), $this->notBefore, $this->without);
    }

    public function ofAmounts(Quantities $quantities): self
    {
        return new self($this->feast, $this->kitchen, $quantities, $this->notBefore, $this->without);
    }

    /** @param list<string> $dishes */
    public function without(array $dishes): self
    {
        return new self($this->feast, $this->kitchen, $this->quantities, $this->notBefore, $dishes);
    }
}
