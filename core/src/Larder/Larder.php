<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

use FeastLadle\Words\Unknown;

/** The ingredients a kitchen knows, by id. */
final class Larder
{
    /**
     * @var array<string, list<array{string, string}>>|null by id: names in plain spelling, and as they are written; made
     *                                                      when first asked
     */
    private ?array $spellings = null;

    /** @param array<string, Ingredient> $ingredients */
    public function __construct(private readonly array $ingredients)
    {
    }

    /**
     * The same with what a recipe, a feast or a kitchen brings; what is known already stays as it is known.
     *
     * @param list<Ingredient> $brought
     */
    public function with(array $brought): self
    {
        $ingredients = $this->ingredients;
        foreach ($brought as $ingredient) {
            $ingredients[$ingredient->id] ??= $ingredient;
        }

        return new self($ingredients);
    }

    public function knows(string $id): bool
    {
        return isset($this->ingredients[$id]);
    }

    /** @throws \OutOfBoundsException for an id that is not in the larder */
    public function get(string $id): Ingredient
    {
        return $this->ingredients[$id] ?? throw new Unknown(\sprintf('The larder holds no "%s".', $id));
    }

    /**
     * What goes by a name, or by part of one: the exact names first, then beginnings, then parts. Every ingredient that
     * answers is given, as one name may mean two things.
     *
     * @return list<Found>
     */
    public function search(string $asked): array
    {
        $wanted = self::plain($asked);
        if ('' === $wanted) {
            return [];
        }
        $found = [];
        foreach ($this->ingredients as $ingredient) {
            $best = 4;
            $by = '';
            foreach ($this->spellings()[$ingredient->id] as [$plain, $name]) {
                $rank = match (true) {
                    $plain === $wanted => 1,
                    str_starts_with($plain, $wanted) => 2,
                    str_contains($plain, $wanted) => 3,
                    default => 4,
                };
                if ($rank < $best) {
                    [$best, $by] = [$rank, $name];
                }
            }
            if ($best < 4) {
                $found[] = [$best, $ingredient->name, new Found($ingredient, $by)];
            }
        }
        usort($found, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_column($found, 2);
    }

    /** @return array<string, list<array{string, string}>> */
    private function spellings(): array
    {
        return $this->spellings ??= array_map(
            static fn (Ingredient $i): array => array_map(static fn (string $name): array => [self::plain($name), $name], [
                $i->name,
                $i->id,
                ...$i->names,
            ]),
            $this->ingredients,
        );
    }

    /** Lower case, hyphens and doubled letters evened out, so that "Suji" finds "sooji" and "khoa" finds "khoya". */
    private static function plain(string $name): string
    {
        $plain = mb_strtolower(trim($name));
        $plain = strtr($plain, ['-' => ' ', '_' => ' ', 'oo' => 'u', 'ee' => 'i', 'aa' => 'a', 'w' => 'v']);

        return (string) preg_replace(['/([a-z])\1+/', '/\s+/'], ['$1', ' '], $plain);
    }

    /** @return array<string, Ingredient> */
    public function all(): array
    {
        return $this->ingredients;
    }
}
