<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What was understood of a telling. */
final readonly class Heard
{
    /**
     * @param list<Fragment>                $fragments
     * @param list<ToldStep>                $steps
     * @param list<ToldAmount>              $amounts        as they were told, things without an amount among them
     * @param list<ToldAmount>              $unused         told, and never said where they go
     * @param list<ToldAmount>              $alternatives
     * @param list<array{Fragment, string}> $setAside       what is no step, and why
     * @param list<Contradiction>           $contradictions
     * @param list<string>                  $claims         what it is said to do for the body
     */
    public function __construct(
        public Text $text,
        public array $fragments,
        public array $steps,
        public array $amounts,
        public array $unused,
        public array $alternatives,
        public array $setAside,
        public array $contradictions,
        public Frame $frame,
        public array $claims = [],
    ) {
    }

    /** What is said of a step: from where it begins to where the next one of its sentences does. */
    public function say(int $number): string
    {
        $step = $this->steps[$number];
        [$from, $to] = $this->text->sentences[min($step->sentence, \count($this->text->sentences) - 1)];
        $first = min($step->first, $from);
        $others = 0;
        foreach ($this->steps as $k => $other) {
            if ($other->sentence === $step->sentence && $k !== $number) {
                ++$others;
                if ($other->first > $step->first) {
                    $to = min($to, $other->first);
                }
                if ($k < $number) {
                    $first = max($first, $step->first);
                }
            }
        }
        $said = HealthClaims::setAside(self::line($this->text->words($first, max($to, $step->next))));
        $say = self::bared($said['stays']);
        foreach ($step->cautions as $caution) {
            $line = self::line($caution);
            $say = str_contains($say, $line) ? $say : rtrim($say, '.').'. '.ucfirst($line);
        }

        return '' === $say ? '' : ucfirst($say).(1 === preg_match('/[.!?]$/', $say) ? '' : '.');
    }

    /** The piece of it that says what is done, where it is short enough to stand over it. */
    public function title(int $number): ?string
    {
        $step = $this->steps[$number];
        foreach ($this->fragments as $piece) {
            if (FragmentKind::Work !== $piece->kind || $piece->first < $step->first || $piece->first >= $step->next) {
                continue;
            }
            $words = self::line($this->text->words($piece->first, $piece->next));
            $words = (string) preg_replace(
                '/^(?:(?:and|so|now|then|next|after that|meanwhile|first|finally|you|we|i|she|he|have to|need to|must)\b[ ,]*)+/i',
                '',
                $words,
            );
            if (mb_strlen($words) >= 4 && mb_strlen($words) <= 56 && 1 !== preg_match('/^(?:it|they|this) /i', $words)) {
                return ucfirst($words);
            }
        }

        return null;
    }

    /** Without what only joins it to its neighbours; by characters, or half of a quotation mark would stay. */
    private static function bared(string $words): string
    {
        return (string) preg_replace('/^[\s,;:\-–]+|[\s,;:\-–]+$/u', '', $words);
    }

    private static function line(string $words): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $words));
    }
}
