<?php

declare(strict_types=1);

namespace FeastLadle\Portion;

/** Guests of one kind, who come to one sitting. */
final readonly class Group
{
    public const MOST_GUESTS = 100_000;

    /**
     * @param list<string> $avoids allergens, "dairy", "nuts", "gluten", or rules of the kitchen that hold for them
     * @param float        $sweet  how sweet they like it, as a multiple of the recipe
     * @param string|null  $at     the sitting they come to; null: the first
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $count,
        public float $appetite,
        public array $avoids = [],
        public float $sweet = 1.0,
        public ?string $at = null,
    ) {
    }

    public function counting(int $count): self
    {
        return new self($this->id, $this->name, $count, $this->appetite, $this->avoids, $this->sweet, $this->at);
    }
}
