<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

/** What a telling leaves open, gathered while the draft is made. */
final class OpenPoints
{
    /** @var list<OpenPoint> */
    private array $questions = [];

    /** @var list<OpenPoint> */
    private array $guesses = [];

    /** @see OpenPoint::question() */
    public function ask(string $place, float $weight, string $template, string|int|float ...$values): void
    {
        $this->questions[] = OpenPoint::question($place, $weight, $template, ...$values);
    }

    /** @see OpenPoint::guess() */
    public function guess(string $place, string $template, string|int|float ...$values): void
    {
        $this->guesses[] = OpenPoint::guess($place, $template, ...$values);
    }

    public function add(OpenPoint $point): void
    {
        if ($point->isQuestion) {
            $this->questions[] = $point;
        } else {
            $this->guesses[] = $point;
        }
    }

    /** @return list<OpenPoint> the most consequential first */
    public function questions(int $most): array
    {
        $sorted = $this->questions;
        usort($sorted, static fn (OpenPoint $a, OpenPoint $b): int => $b->weight <=> $a->weight);

        return \array_slice($sorted, 0, $most);
    }

    /** @return list<OpenPoint> */
    public function guesses(): array
    {
        return $this->guesses;
    }
}
