<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Telling\IngredientLine;
use FeastLadle\Telling\ToldSentence;

/** What the told steps have given and nobody has taken up yet, and the words by which later sentences name it. */
final class LooseEnds
{
    /** @var array<string, list<string>> words by step id, oldest first */
    private array $streams = [];

    /** @param list<IngredientLine> $mentioned */
    public function begin(string $id, ToldSentence $sentence, array $mentioned): void
    {
        $this->streams[$id] = $this->words($sentence, $mentioned);
    }

    public function beginUnnamed(string $id): void
    {
        $this->streams[$id] = [];
    }

    /** @return list<string> */
    public function open(): array
    {
        return array_keys($this->streams);
    }

    /** @param list<mixed> $ids */
    public function takeLastOf(array $ids): ?string
    {
        $last = array_key_last(
            array_filter($this->streams, static fn (string $id): bool => \in_array($id, $ids, true), \ARRAY_FILTER_USE_KEY),
        );
        if (null !== $last) {
            unset($this->streams[$last]);
        }

        return $last;
    }

    /**
     * Takes up the streams a sentence goes on with: those it names, and the last one unless it begins something of its own.
     *
     * @param list<IngredientLine> $mentioned
     *
     * @return list<string>
     */
    public function takenUp(ToldSentence $sentence, array $mentioned): array
    {
        $plain = ' '.preg_replace('/[^a-z]+/', ' ', mb_strtolower($sentence->text)).' ';
        $named = [];
        foreach ($this->streams as $id => $words) {
            foreach ($words as $word) {
                if (str_contains($plain, ' '.$word.' ')) {
                    $named[] = $id;
                    break;
                }
            }
        }
        $isBeginning = $sentence->process->facts()->begins;
        $isOwn = $sentence->apart || ($isBeginning && [] !== $mentioned && !$this->beginsWithWhatStands($sentence, $mentioned));
        $others = array_values(array_diff(array_keys($this->streams), $named));
        $last = [] === $others ? null : $others[\count($others) - 1];
        if ($isOwn) {
            return $this->take($named);
        }
        $joins = $sentence->process->facts()->joins || 1 === preg_match('/ (?:add|pour|into|stir in|mix in) /', $plain);
        // What is named goes into what stands; where nothing is named, what stands goes on.
        if (null !== $last && ([] === $named || ($joins && !$isBeginning))) {
            $named[] = $last;
        }

        // What stands longest is poured into first.
        return $this->take(
            array_values(array_filter(array_keys($this->streams), static fn (string $id): bool => \in_array($id, $named, true))),
        );
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function take(array $ids): array
    {
        $this->streams = array_diff_key($this->streams, array_flip($ids));

        return $ids;
    }

    /**
     * Whether "it" or "the mixture" is said before anything new is named: then it goes on with what stands.
     *
     * @param list<IngredientLine> $mentioned
     */
    private function beginsWithWhatStands(ToldSentence $sentence, array $mentioned): bool
    {
        $plain = mb_strtolower($sentence->text);
        if (1 !== preg_match('/\b(?:it|this|that|them|these|the mixture|everything)\b/', $plain, $match, \PREG_OFFSET_CAPTURE)) {
            return false;
        }
        $first = \PHP_INT_MAX;
        foreach ($mentioned as $line) {
            foreach (array_filter([mb_strtolower($line->named), mb_strtolower(explode(',', $line->ingredient->name ?? '')[0])]) as $name) {
                foreach (explode(' ', $name) as $word) {
                    $at = mb_strlen($word) > 2 ? strpos($plain, $word) : false;
                    $first = false === $at ? $first : min($first, $at);
                }
            }
        }

        return $match[0][1] < $first;
    }

    /**
     * @param list<IngredientLine> $mentioned
     *
     * @return list<string> words by which what a step gives is named later
     */
    private function words(ToldSentence $sentence, array $mentioned): array
    {
        $words = $sentence->process->facts()->becomes;
        foreach ($mentioned as $line) {
            $name = mb_strtolower(explode(',', $line->ingredient->name ?? '')[0]);
            $parts = explode(' ', $name);
            $word = $parts[array_key_last($parts)];
            if (mb_strlen($word) > 3 && !\in_array($word, ['ghee', 'water', 'sugar'], true)) {
                $words[] = $word;
            }
            if ('' !== $line->named) {
                $words[] = mb_strtolower($line->named);
            }
        }

        return array_values(array_unique(array_filter($words)));
    }
}
