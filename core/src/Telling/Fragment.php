<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A piece of a sentence that says one thing. */
final readonly class Fragment
{
    /**
     * @param list<Span> $spans
     * @param int        $sentence the number of its sentence
     * @param bool       $isLead   "when it bubbles," before what is done then
     * @param bool       $isLabel  "Filling:" before what belongs to it
     */
    public function __construct(
        public FragmentKind $kind,
        public int $first,
        public int $next,
        public array $spans,
        public int $sentence,
        public bool $isLead = false,
        public bool $isLabel = false,
    ) {
    }

    public function as(FragmentKind $kind): self
    {
        return new self($kind, $this->first, $this->next, $this->spans, $this->sentence, $this->isLead, $this->isLabel);
    }

    public function of(SpanKind $kind): ?Span
    {
        foreach ($this->spans as $span) {
            if ($kind === $span->kind) {
                return $span;
            }
        }

        return null;
    }

    public function has(SpanKind ...$kinds): bool
    {
        foreach ($this->spans as $span) {
            if ($span->is(...$kinds)) {
                return true;
            }
        }

        return false;
    }
}
