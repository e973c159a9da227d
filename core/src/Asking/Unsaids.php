<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Drafting\Draft;
use FeastLadle\Drafting\OpenPoint;
use FeastLadle\Drafting\ToldDraft;
use FeastLadle\Recipe\Process;
use FeastLadle\Syrup\Stage;
use FeastLadle\Telling\SpokenUnit;
use FeastLadle\Telling\ToldAmount;

/** Between what the answers to a draft's questions lie: by the book, by the process, by how large a cup may be. */
final readonly class Unsaids
{
    /** Beyond what the book takes, and where it takes none: times what was supposed. */
    private const BEYOND = [0.7, 1.4];
    private const SAME = 0.02;
    private const ANYTHING = [0.4, 2.5];

    /** From a small cup to a large one, times this kitchen's own. */
    private const CUPS = [0.8, 1.15];

    /** A bowl that the book takes in any amount is laid within so many times what was supposed. */
    private const WIDEST = [0.1, 8.0];

    public function __construct(private BookShares $book, private float $cupMl)
    {
    }

    /** @return list<Unsaid> */
    public function in(ToldDraft $told): array
    {
        $document = $told->draft->document();
        $found = [];
        foreach ($told->questions as $point) {
            $unsaid = $this->one($point, $told, $document);
            if (null !== $unsaid) {
                $found[] = $unsaid;
            }
        }

        return $found;
    }

    /** @param array<string, mixed> $document */
    private function one(OpenPoint $point, ToldDraft $told, array $document): ?Unsaid
    {
        if (null !== $point->either) {
            $grams = self::number($document, $point->place);

            return null === $grams || $grams <= 0
                ? null
                : Unsaid::either($point, $point->place, $grams, [$point->either[0] / $grams, $point->either[1] / $grams]);
        }
        if (1 === preg_match('#^/steps/\d+/takes/\d+/grams$#', $point->place)) {
            $grams = self::number($document, $point->place);

            return null === $grams ? null : $this->bowl($point, $document, $grams);
        }
        if (1 === preg_match('#^(/steps/\d+)/target$#', $point->place, $match)) {
            return $this->target($point, $document, $match[1]);
        }
        if (1 === preg_match('#^/steps/\d+/time/minutes$#', $point->place)) {
            $minutes = self::number($document, $point->place.'/1');

            return null === $minutes || $minutes <= 0 ? null : Unsaid::range($point, [$point->place.'/1'], [$minutes], 0.6, 1.8, 'min');
        }

        return '' === $point->place && str_contains($point->sentence->id, 'cup') ? $this->cups($point, $told, $document) : null;
    }

    /** @param array<string, mixed> $document */
    private function bowl(OpenPoint $point, array $document, float $grams): Unsaid
    {
        $id = self::at($document, substr($point->place, 0, -6).'/ingredient');
        $share = $this->book->range(\is_string($id) ? $id : '');
        if (null === $share || $grams <= 0) {
            return Unsaid::range($point, [$point->place], [$grams], ...[...self::ANYTHING, 'g']);
        }
        $rest = max(1.0, self::total($document) - $grams);
        // So much beside the rest that it is the share that the book knows.
        $of = static fn (float $part): float => $rest * $part / max(0.05, 1 - $part) / $grams;
        $least = max(self::WIDEST[0], self::BEYOND[0] * $of($share[0]));
        $most = min(self::WIDEST[1], self::BEYOND[1] * $of($share[1]));

        return Unsaid::range($point, [$point->place], [$grams], min($least, $most), max($least, $most), 'g');
    }

    /** @param array<string, mixed> $document */
    private function target(OpenPoint $point, array $document, string $step): ?Unsaid
    {
        if (Process::Syrup->value === self::at($document, $step.'/process')) {
            return Unsaid::stage($point, $step.'/target/stage', [Stage::Tacky, Stage::OneString, Stage::TwoStrings]);
        }
        $share = self::number($document, $step.'/target/value');

        return null === $share || $share <= 0 ? null : Unsaid::range($point, [$step.'/target/value'], [$share], 0.5, 1.5, '');
    }

    /** @param array<string, mixed> $document */
    private function cups(OpenPoint $point, ToldDraft $told, array $document): ?Unsaid
    {
        $cups = array_filter($told->heard->amounts, static fn (ToldAmount $a): bool => SpokenUnit::Cup === $a->unit && null !== $a->grams);
        $places = $written = [];
        foreach ($told->draft->steps() as $s => $step) {
            foreach (Draft::rows($step, 'takes') as $t => $take) {
                $grams = self::number($document, '/steps/'.$s.'/takes/'.$t.'/grams');
                foreach ($cups as $cup) {
                    $isIt = ($take['ingredient'] ?? null) === $cup->thing?->id;
                    if (null !== $grams && $isIt && abs($grams - ($cup->grams ?? 0.0)) < self::SAME) {
                        $places[] = '/steps/'.$s.'/takes/'.$t.'/grams';
                        $written[] = $grams;
                        break;
                    }
                }
            }
        }

        return [] === $places ? null : Unsaid::range($point, $places, $written, self::CUPS[0], self::CUPS[1], 'g')->from(
            round(self::CUPS[0] * $this->cupMl, -1).' ml',
            round(self::CUPS[1] * $this->cupMl, -1).' ml',
        );
    }

    /** @param array<string, mixed> $document */
    private static function total(array $document): float
    {
        $total = 0.0;
        foreach (Draft::of($document)->steps() as $step) {
            foreach (Draft::rows($step, 'takes') as $take) {
                $grams = $take['grams'] ?? 0;
                $total += \is_int($grams) || \is_float($grams) ? $grams : 0;
            }
        }

        return $total;
    }

    /** @param array<string, mixed> $document */
    private static function number(array $document, string $pointer): ?float
    {
        $value = self::at($document, $pointer);

        return \is_int($value) || \is_float($value) ? (float) $value : null;
    }

    /** @param array<string, mixed> $document */
    private static function at(array $document, string $pointer): mixed
    {
        $value = $document;
        foreach (\array_slice(explode('/', $pointer), 1) as $key) {
            $value = \is_array($value) ? $value[$key] ?? null : null;
        }

        return $value;
    }
}
