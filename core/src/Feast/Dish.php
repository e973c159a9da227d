<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Recipe\Recipe;

/** One sweet of the menu, or a base that sweets of the menu take from. */
final readonly class Dish
{
    public const MOST_EARLIER = 1440;

    /**
     * @param float|null            $portion      own portion for a grown-up, in the recipe's way of counting; null: the recipe's
     * @param array<string, string> $pots         run id → vessel id, where the cook chose
     * @param int                   $readyEarlier minutes by which it is planned to be ready before its moment, on top of what holds for all
     */
    public function __construct(
        public string $id,
        public string $letter,
        public Recipe $recipe,
        public ?float $portion,
        public float $uptake,
        public array $pots,
        public bool $isBase = false,
        public int $readyEarlier = 0,
    ) {
    }

    /** A base in the plan of a feast, made once for all dishes that take from it. */
    public static function base(Recipe $recipe, string $letter): self
    {
        return new self('base-'.$recipe->slug, $letter, $recipe, null, 1.0, [], true);
    }

    public function atTheMinute(): self
    {
        return new self($this->id, $this->letter, $this->recipe, $this->portion, $this->uptake, $this->pots, $this->isBase);
    }
}
