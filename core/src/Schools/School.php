<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

/** A question on which cooks disagree, with the ways of doing it; the first is the recipe's own. */
final readonly class School
{
    /**
     * @param array<string, SchoolOption> $options by id, never empty
     * @param array<string, list<string>> $when    under which choices of other schools the question arises
     */
    public function __construct(public string $id, public string $question, public array $options, public array $when)
    {
    }

    public function usual(): string
    {
        return (string) array_key_first($this->options);
    }
}
