<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** The ingredients a kitchen knows, by id. */
final readonly class Larder
{
    /** @param array<string, Ingredient> $ingredients */
    public function __construct(private array $ingredients)
    {
    }

    public function knows(string $id): bool
    {
        return isset($this->ingredients[$id]);
    }

    /** @throws \OutOfBoundsException for an id that is not in the larder */
    public function get(string $id): Ingredient
    {
        return $this->ingredients[$id] ?? throw new \OutOfBoundsException(\sprintf('The larder holds no "%s".', $id));
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        return $this->ingredients;
    }
}
