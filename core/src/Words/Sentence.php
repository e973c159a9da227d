<?php

declare(strict_types=1);

namespace FeastLadle\Words;

/**
 * Something to be told: a message with its values. The message is its own id; the application's translator puts it, its plurals and its
 * numbers into the reader's language, and the command line says it as it stands.
 */
final readonly class Sentence
{
    /** @param array<string, string|int|float|self> $values by placeholder, without braces; an amount is a sentence of its own */
    public function __construct(public string $id, public array $values = [])
    {
    }

    public function text(): string
    {
        return strtr(
            $this->id,
            array_map(
                static fn (string|int|float|self $v): string => $v instanceof self ? $v->text() : (string) $v,
                $this->placeholders(),
            ),
        );
    }

    /** @return array<string, string|int|float|self> the values by placeholder, in braces as they stand in the message */
    public function placeholders(): array
    {
        $placeholders = [];
        foreach ($this->values as $name => $value) {
            $placeholders['{'.$name.'}'] = $value;
        }

        return $placeholders;
    }
}
