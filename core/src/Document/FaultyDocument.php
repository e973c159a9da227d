<?php

declare(strict_types=1);

namespace FeastLadle\Document;

use FeastLadle\Words\Refusal;

/** A document that cannot be used, with every fault that was found in it. */
final class FaultyDocument extends \RuntimeException implements Refusal
{
    /** @param non-empty-list<Fault> $faults */
    public function __construct(public readonly string $document, public readonly array $faults)
    {
        parent::__construct($document.': '.implode('; ', array_map(strval(...), $faults)));
    }

    /** @param array<string, string|int|float> $values */
    public static function because(string $document, string $template, array $values = []): self
    {
        return new self($document, [new Fault('', $template, $values)]);
    }

    /** The same faults as they are seen from one part of the document; what is wrong elsewhere keeps its place. */
    public function under(string $pointer): self
    {
        return new self(
            $this->document,
            array_map(
                static fn (Fault $fault): Fault => str_starts_with($fault->pointer.'/', $pointer.'/')
                    ? $fault->at(substr($fault->pointer, \strlen($pointer)))
                    : $fault,
                $this->faults,
            ),
        );
    }
}
