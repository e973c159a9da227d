<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/**
 * One thing that is wrong with a document, and where.
 *
 * The template is plain English with {placeholders}; the application hands it to its translator as the message id.
 */
final readonly class Fault
{
    /** @param array<string, string|int|float> $values keyed by placeholder, without braces */
    public function __construct(
        public string $pointer,
        public string $template,
        public array $values = [],
    ) {
    }

    /** @return array<string, string> keyed "{placeholder}", ready for strtr() or a translator */
    public function placeholders(): array
    {
        return Placeholders::of($this->values);
    }

    public function message(): string
    {
        return strtr($this->template, $this->placeholders());
    }

    public function __toString(): string
    {
        return ('' === $this->pointer ? '(whole document)' : $this->pointer).': '.$this->message();
    }
}
