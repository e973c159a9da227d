<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** A document that cannot be used, with every fault that was found in it. */
final class FaultyDocument extends \RuntimeException
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
}
