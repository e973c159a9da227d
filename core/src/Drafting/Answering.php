<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Syrup\Stage;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\QuantityReader;

/** Puts the answer to a question of a draft where it belongs: "2 cups" into a bowl, "10 to 12" into minutes, a stage into a target. */
final readonly class Answering
{
    private const LARGEST_PORTION = 2000;

    public function __construct(private LineReader $lines)
    {
    }

    /**
     * @param string $pointer the place that was asked about
     *
     * @return Draft|null null where the answer says nothing for that place
     */
    public function answered(Draft $draft, string $pointer, string $answer): ?Draft
    {
        $answer = trim($answer);
        if ('/portion/grams' === $pointer) {
            return $this->portion($draft, $answer);
        }
        if (1 !== preg_match('#^/steps/(\d+)(?:/takes/(\d+)/(grams)|/(time)/minutes|/(target))$#', $pointer, $match)) {
            return null;
        }
        $index = (int) $match[1];
        $step = $draft->step($index);
        if (null === $step || '' === $answer) {
            return null;
        }
        $step = match (true) {
            'grams' === ($match[3] ?? '') => $this->bowl($step, (int) ($match[2] ?? 0), $answer),
            'time' === ($match[4] ?? '') => $this->minutes($step, $answer),
            default => $this->target($step, $answer),
        };

        return null === $step ? null : $draft->withStepAt($index, $step);
    }

    /**
     * @param array<array-key, mixed> $step
     *
     * @return array<array-key, mixed>|null
     */
    private function bowl(array $step, int $place, string $answer): ?array
    {
        $takes = Draft::rows($step, 'takes');
        $id = $takes[$place]['ingredient'] ?? null;
        if (!\is_string($id)) {
            return null;
        }
        $grams = is_numeric($answer) ? (float) $answer : null;
        if ($this->lines->larder->knows($id)) {
            $grams ??= $this->lines->read($answer.' '.explode(',', $this->lines->larder->get($id)->name)[0])->grams;
        }
        if (null === $grams || $grams <= 0) {
            return null;
        }
        $takes[$place]['grams'] = round($grams, 2);

        return [...$step, 'takes' => $takes];
    }

    /**
     * @param array<array-key, mixed> $step
     *
     * @return array<array-key, mixed>|null
     */
    private function minutes(array $step, string $answer): ?array
    {
        $read = (new QuantityReader())->read($answer);
        if (null === $read || 1 !== preg_match('/^(?:min.*|hours?|h)?$/i', trim($read[1]))) {
            return null;
        }
        $times = 1 === preg_match('/^h/i', trim($read[1])) ? 60 : 1;
        [$from, $to] = [$times * $read[0]->from, $times * $read[0]->to];
        $time = \is_array($step['time'] ?? null) ? $step['time'] : [];
        [$least, $most] = $from < $to ? [$from, $to] : [0.8 * $from, 1.3 * $to];
        $time['minutes'] = [round($least, 2), round(($from + $to) / 2, 2), round($most, 2)];

        return [...$step, 'time' => $time];
    }

    /**
     * @param array<array-key, mixed> $step
     *
     * @return array<array-key, mixed>|null
     */
    private function target(array $step, string $answer): ?array
    {
        $target = \is_array($step['target'] ?? null) ? $step['target'] : [];
        $stage = str_replace(' ', '-', mb_strtolower($answer));
        if ('stage' === ($target['kind'] ?? '')) {
            return null === Stage::tryFrom($stage) ? null : [...$step, 'target' => [...$target, 'stage' => $stage]];
        }
        $read = (new QuantityReader())->read($answer);
        $share = null === $read ? null : $read[0]->from / (str_starts_with(trim($read[1]), '%') ? 100 : 1);

        return null === $share || $share <= 0 || $share >= 1 ? null : [...$step, 'target' => [...$target, 'value' => round($share, 3)]];
    }

    private function portion(Draft $draft, string $answer): ?Draft
    {
        $read = (new QuantityReader())->read($answer);
        if (null === $read || 1 !== preg_match('/^(?:g|grams?)?$/i', trim($read[1])) || $read[0]->middle() > self::LARGEST_PORTION) {
            return null;
        }

        return $draft->withHead(['portion' => ['grams' => round($read[0]->middle(), 1)]]);
    }
}
