<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** What has been begun on its own, which of them the telling is about, and which a piece of it comes back to. */
final class Streams
{
    private const BEGINS = [Process::Soak, Process::Rinse, Process::Roast, Process::Parch, Process::Syrup, Process::Boil, Process::Prepare,
        Process::Grind, Process::Press, Process::Sieve, Process::Steam, Process::Simmer, Process::Reduce, Process::Knead, Process::Strain,
        Process::MixIn, Process::Mash, Process::Pressure, Process::DeepFry];

    private const COOKS = [Process::Simmer, Process::Boil, Process::Reduce, Process::Mash, Process::Pressure, Process::Syrup];

    /** @var list<Stream> */
    public array $all = [];

    private int $current = 0;

    public bool $beginsNext = true;

    /** @var list<string> names for what begins next */
    public array $label = [];

    public function current(): Stream
    {
        if ([] === $this->all) {
            $this->begin();
        }

        return $this->all[$this->current];
    }

    public function begin(): Stream
    {
        $stream = new Stream(\count($this->all), $this->label);
        $this->all[] = $stream;
        $this->current = $stream->id;
        $this->beginsNext = false;
        $this->label = [];

        return $stream;
    }

    public function goOnWith(Stream $stream): void
    {
        $this->current = $stream->id;
    }

    /** @return list<Stream> with something in them, that nothing has taken up */
    public function open(): array
    {
        return array_values(array_filter($this->all, static fn (Stream $s): bool => $s->isOpen && null !== $s->last));
    }

    /**
     * Whether a step begins something of its own.
     *
     * @param list<string> $own  things that come in with it
     * @param bool         $isIt whether it speaks of "it" before it names anything
     */
    public function isOwn(Process $process, array $own, bool $isIt): bool
    {
        if ([] === $this->all || $this->beginsNext) {
            return true;
        }
        $stream = $this->current();
        if (\in_array($process, [Process::FryGarnish, Process::Infuse], true)) {
            return true;
        }
        $own = array_values(array_diff($own, ['water', 'ghee', 'salt', 'frying-oil', 'cardamom', 'milk'])) ?: $own;
        $new = array_diff($own, $stream->holds);
        $onlyFat = [] !== $own && [] === array_filter($own, static fn (string $id): bool => !ProcessOf::isFat($id));
        if ($isIt || $onlyFat || [] === $new || !\in_array($process, self::BEGINS, true) || null === $stream->last) {
            return false;
        }
        if (Process::Syrup === $process) {
            return true;
        }
        // Milk poured to the grain that cooks goes on with it; milk that is boiled after the grain was washed is another pot.
        if (\in_array($process, self::COOKS, true)) {
            return $stream->isSolid || (\count($new) === \count($own) && !$stream->isHot && [] === array_intersect($own, $stream->holds));
        }

        return [] === array_intersect($own, $stream->holds);
    }

    /**
     * The other things that were begun and are named here.
     *
     * @param list<string> $ids
     *
     * @return list<Stream>
     */
    public function named(string $words, array $ids, bool $everything): array
    {
        $found = [];
        foreach ($this->open() as $stream) {
            if ($stream->id === $this->current()->id) {
                continue;
            }
            $isNamed = [] !== array_intersect($stream->holds, array_diff($ids, ['water', 'ghee', 'milk', 'sugar', 'cardamom', 'salt']))
                || ([] !== $ids && 1 === \count($stream->holds) && \in_array($stream->holds[0], $ids, true));
            // "the second milk" is that of the coconut that was pressed.
            $isNamed = $isNamed || (\in_array('coconut', $stream->holds, true)
                && 1 === preg_match('/\b(?:first|second|third|thick|thin) (?:milk|extract|one|pressing)\b/i', $words));
            foreach ($stream->names as $name) {
                $isNamed = $isNamed || 1 === preg_match('/\b'.preg_quote($name, '/').'\b/iu', $words);
            }
            if ($isNamed || $everything) {
                $found[] = $stream;
            }
        }

        return $found;
    }

    /** Whether what is told under this heading becomes a dough. */
    public function isOfDough(): bool
    {
        return [] !== array_intersect(['dough', 'doughs'], $this->label);
    }
}
