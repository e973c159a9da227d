<?php

declare(strict_types=1);

namespace FeastLadle\Document;

use FeastLadle\Words\Sentence;

/** One thing that is wrong with a document, and where. */
final readonly class Fault
{
    public Sentence $sentence;

    /** @param array<string, string|int|float|Sentence> $values by placeholder, without braces */
    public function __construct(public string $pointer, string $message, array $values = [])
    {
        $this->sentence = new Sentence($message, $values);
    }

    /** The same fault at another place. */
    public function at(string $pointer): self
    {
        return new self($pointer, $this->sentence->id, $this->sentence->values);
    }

    public function message(): string
    {
        return $this->sentence->text();
    }

    public function __toString(): string
    {
        return ('' === $this->pointer ? '(whole document)' : $this->pointer).': '.$this->message();
    }
}
