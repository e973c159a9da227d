<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** A recipe as a flow of steps, in an order in which every step stands after those it takes from. */
final readonly class Recipe
{
    /**
     * @param array<string, Step> $steps       by id, in flow order
     * @param string              $lastStep    the one whose output is the dish
     * @param Portion             $portion     a usual portion for a grown-up
     * @param int                 $keepMinutes how long the finished dish may wait for its guests
     */
    public function __construct(
        public string $slug,
        public string $name,
        public string $summary,
        public ServingWay $serving,
        public Portion $portion,
        public int $keepMinutes,
        public array $steps,
        public string $lastStep,
    ) {
    }

    public function step(string $id): Step
    {
        return $this->steps[$id] ?? throw new \OutOfBoundsException(\sprintf('The recipe "%s" has no step "%s".', $this->slug, $id));
    }
}
