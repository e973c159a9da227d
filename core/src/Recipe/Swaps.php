<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Without;
use FeastLadle\Schools\Exchange;

/** Finds what stands in for ingredients that somebody must do without, and keeps account of it. */
final class Swaps
{
    /** @var list<Swap> */
    private array $made = [];

    /**
     * @param list<Without>  $without
     * @param list<Exchange> $instead
     */
    public function __construct(private readonly Larder $larder, private readonly array $without, private readonly array $instead = [])
    {
    }

    /** @return array{string, float} the ingredient to use, and grams of it for a gram of the one that is written */
    public function of(string $ingredient, string $step): array
    {
        $ratio = 1.0;
        foreach ($this->instead as $exchange) {
            // What the larder does not know is told where the choice is read.
            if ($exchange->for === $ingredient && $this->larder->knows($exchange->ingredient)) {
                [$ingredient, $ratio] = [$exchange->ingredient, $ratio * $exchange->ratio];
                break;
            }
        }
        foreach ($this->without as $without) {
            if (
                !$this->larder->knows($ingredient)
                || [] === array_intersect($this->larder->get($ingredient)->caveats->allergens, $without->allergens())
            ) {
                continue;
            }
            $by = $this->larder->get($ingredient)->substitute($without);
            $this->made[] = new Swap($without, $step, $ingredient, $by);
            if (null !== $by && $this->larder->knows($by->ingredient)) {
                [$ingredient, $ratio] = [$by->ingredient, $ratio * $by->ratio];
            }
        }

        return [$ingredient, $ratio];
    }

    /** @return list<Swap> */
    public function made(): array
    {
        return $this->made;
    }
}
