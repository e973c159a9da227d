<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Recipe\Process;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\ToldAmount;

/** Holds what was understood against what a cook wrote down; it shares nothing with the reading. */
final class Score
{
    private const UNITS = ['kg' => ['g', 1000.0], 'l' => ['ml', 1000.0]];

    /** @var array<string, array{right: int, wrong: int, marked: int, missed: int}> */
    public array $sums = [];

    private const NOTHING = ['right' => 0, 'wrong' => 0, 'marked' => 0, 'missed' => 0];

    public int $phantoms = 0;

    public int $idleSteps = 0;

    /** @var list<string> */
    public array $faults = [];

    public function __construct()
    {
        foreach (['amounts', 'vague', 'times', 'processes', 'signs', 'streams', 'no step', 'contradictions', 'fields'] as $of) {
            $this->sums[$of] = ['right' => 0, 'wrong' => 0, 'marked' => 0, 'missed' => 0];
        }
    }

    /** @return array{string, list<array{string, string}>} the telling, and its answers by kind */
    public static function file(string $path): array
    {
        [$telling, $answers] = explode("\n---\n", (string) file_get_contents($path), 2);
        $lines = [];
        foreach (explode("\n", trim($answers)) as $line) {
            preg_match('/^(\w+):?\s+(.*)$/', $line, $match);
            $lines[] = [$match[1] ?? '', $match[2] ?? ''];
        }

        return [$telling, $lines];
    }

    /** @param list<array{string, string}> $answers */
    public function add(string $name, Heard $heard, array $answers): void
    {
        $of = static fn (string $kind): array => array_values(
            array_map(static fn (array $a): string => $a[1], array_filter($answers, static fn (array $a): bool => $a[0] === $kind)),
        );
        $this->amounts($name, $heard, $of('amount'), $of('vague'), $of('open'), $of('or'));
        $this->times($name, $heard, $of('time'));
        $this->processes($name, $heard, $of('steps'));
        foreach (['done' => 'done', 'way' => 'on-the-way', 'wrong' => 'wrong'] as $kind => $cue) {
            foreach ($of($kind) as $words) {
                $this->count('signs', $this->hasSign($heard, $cue, $words) ? 'right' : 'missed', $name.': '.$cue.' "'.$words.'"');
            }
        }
        $begun = \count(array_filter($heard->steps, static fn ($s): bool => [] === $s->sources && Process::DishUp !== $s->process));
        foreach ($of('streams') as $streams) {
            $this->count('streams', $begun === (int) $streams ? 'right' : 'wrong', $name.': '.$begun.' begun for '.$streams);
        }
        foreach ($of('no') as $words) {
            $this->count('no step', $this->isStep($heard, $words) ? 'wrong' : 'right', $name.': a step of "'.$words.'"');
        }
        foreach ($of('ask') as $what) {
            $asked = array_filter(
                $heard->contradictions,
                static fn ($c): bool => $c->about === ltrim($what, '=') || str_contains($c->about, ltrim($what, '=')),
            );
            $this->count('contradictions', [] === $asked ? 'missed' : 'right', $name.': asks about '.$what);
        }
        foreach ($heard->contradictions as $asked) {
            $isTrue = array_filter(
                $of('ask'),
                static fn (string $w): bool => $asked->about === ltrim($w, '=') || str_contains($asked->about, ltrim($w, '=')),
            );
            if ([] === $isTrue) {
                $this->count('contradictions', 'wrong', $name.': asks without need about '.$asked->about);
            }
        }
        foreach (['yield' => $heard->frame->makes, 'keeps' => $heard->frame->keeps, 'served' => $heard->frame->served] as $field => $got) {
            foreach ($of($field) as $want) {
                $this->count(
                    'fields',
                    $got === $want ? 'right' : (null === $got ? 'missed' : 'wrong'),
                    $name.': '.$field.' '.$got.' for '.$want,
                );
            }
        }
    }

    /**
     * @param list<string> $amounts
     * @param list<string> $vague
     * @param list<string> $open
     * @param list<string> $or
     */
    private function amounts(string $name, Heard $heard, array $amounts, array $vague, array $open, array $or): void
    {
        $got = array_values(array_filter($heard->amounts, static fn (ToldAmount $a): bool => null !== $a->from));
        $wanted = [];
        foreach ($amounts as $line) {
            preg_match('/^(=[^0-9]+|\S+)\s+([\d.]+)(?:-([\d.]+))?\s+(\S+)$/', $line, $m);
            $wanted[] = [trim($m[1] ?? ''), (float) ($m[2] ?? 0), (float) ('' === ($m[3] ?? '') ? ($m[2] ?? 0) : $m[3]), $m[4] ?? ''];
        }
        $left = [];
        foreach ($wanted as $want) {
            $hit = null;
            foreach ($got as $k => $amount) {
                if (self::isSame($amount, $want)) {
                    $hit = $k;
                    break;
                }
            }
            if (null === $hit) {
                $left[] = $want;
            } else {
                unset($got[$hit]);
                $this->count('amounts', 'right', '');
            }
        }
        foreach ($left as $want) {
            $text = $name.': '.$want[0].' '.$want[1].'-'.$want[2].' '.$want[3];
            $other = array_values(array_filter($got, static fn (ToldAmount $a): bool => self::isThing($a, $want[0])));
            $isNamed = [] !== array_filter($heard->amounts, static fn (ToldAmount $a): bool => self::isThing($a, $want[0]));
            if ([] !== $other) {
                $isMarked = [] !== $other[0]->guesses || [] !== $other[0]->others;
                $this->count('amounts', $isMarked ? 'marked' : 'wrong', $text.', read '.$other[0]->from.' '.($other[0]->unit->value ?? ''));
                unset($got[array_search($other[0], $got, true)]);
            } else {
                $this->count('amounts', $isNamed ? 'marked' : 'missed', $text);
            }
        }
        $known = [
            ...array_column($wanted, 0),
            ...array_map(static fn (string $v): string => explode(':', $v)[0], $vague),
            ...$open,
            ...$or,
        ];
        foreach ([...array_map(static fn (string $v): string => explode(':', $v)[0], $vague), ...$open] as $thing) {
            $isNamed = [] !== array_filter($heard->amounts, static fn (ToldAmount $a): bool => self::isThing($a, $thing));
            $this->count('vague', $isNamed ? 'right' : 'missed', $name.': names '.$thing);
        }
        foreach ($heard->steps as $step) {
            foreach ($step->amounts as $amount) {
                if ([] === array_filter($known, static fn (string $k): bool => self::isThing($amount, $k))) {
                    ++$this->phantoms;
                    $this->faults[] = $name.': phantom '.$amount->key();
                }
            }
        }
    }

    /** @param array{string, float, float, string} $want */
    private static function isSame(ToldAmount $amount, array $want): bool
    {
        [$unit, $times] = self::UNITS[$want[3]] ?? [$want[3], 1.0];
        [$own, $ownTimes] = self::UNITS[$amount->unit->value ?? ''] ?? [$amount->unit->value ?? '', 1.0];

        return self::isThing($amount, $want[0])
            && $unit === $own
            && abs($times * $want[1] - $ownTimes * ($amount->from ?? 0.0)) <= 0.02 * $times * $want[1]
            && abs($times * $want[2] - $ownTimes * ($amount->to ?? 0.0)) <= 0.02 * $times * $want[2];
    }

    private static function isThing(ToldAmount $amount, string $thing): bool
    {
        $bare = static fn (string $id): string => str_replace(['cardamom-pods', 'cashew-pieces'], ['cardamom', 'cashews'], $id);
        if (str_starts_with($thing, '=')) {
            $name = ltrim($thing, '=');

            return null === $amount->thing
                ? str_contains(mb_strtolower($amount->named), $name)
                : str_contains(mb_strtolower($amount->thing->name.' '.implode(' ', $amount->thing->names)), $name);
        }

        return null !== $amount->thing && $bare($amount->thing->id) === $bare($thing);
    }

    /** @param list<string> $times */
    private function times(string $name, Heard $heard, array $times): void
    {
        $got = array_values(array_filter($heard->steps, static fn ($s): bool => null !== $s->minutes));
        foreach ($times as $line) {
            preg_match('/^(\S+)\s+([\d.]+)(?:-([\d.]+))?$/', $line, $m);
            $processes = explode('/', $m[1] ?? '');
            [$from, $to] = [(float) ($m[2] ?? 0), (float) ('' === ($m[3] ?? '') ? ($m[2] ?? 0) : $m[3])];
            $hit = $close = null;
            foreach ($got as $k => $step) {
                $isTime = abs(($step->minutes[0] ?? 0) - $from) <= 0.02 * $from + 0.01
                    && abs(($step->minutes[1] ?? 0) - $to) <= 0.02 * $to + 0.01;
                $hit = $isTime && \in_array($step->process->value, $processes, true) ? $hit ?? $k : $hit;
                $close = $isTime ? $close ?? $k : $close;
            }
            $this->count(
                'times',
                null !== $hit ? 'right' : (null !== $close ? 'wrong' : 'missed'),
                $name.': '.$line.(null === $close ? '' : ', of '.$got[$close]->process->value),
            );
            if (null !== $hit) {
                unset($got[$hit]);
            }
        }
    }

    /** @param list<string> $lines */
    private function processes(string $name, Heard $heard, array $lines): void
    {
        $want = array_map(static fn (string $s): array => explode('/', $s), preg_split('/\s+/', implode(' ', $lines)) ?: []);
        $got = array_values(
            array_filter(
                array_map(static fn ($s): string => $s->process->value, $heard->steps),
                static fn (string $p): bool => 'dish-up' !== $p,
            ),
        );
        $best = array_fill(0, \count($want) + 1, array_fill(0, \count($got) + 1, 0));
        foreach ($want as $i => $any) {
            foreach ($got as $j => $process) {
                $best[$i + 1][$j + 1] = \in_array($process, $any, true) ? $best[$i][$j] + 1 : max($best[$i][$j + 1], $best[$i + 1][$j]);
            }
        }
        $right = $best[\count($want)][\count($got)];
        $sum = $this->sums['processes'] ?? self::NOTHING;
        $this->sums['processes'] = [...$sum, 'right' => $sum['right'] + $right, 'missed' => $sum['missed'] + \count($want) - $right];
        $this->idleSteps += \count($got) - $right;
        $this->faults[] = $name.': '.$right.' of '.\count($want)."\n      want ".implode(' ', $lines)."\n      got  ".implode(' ', $got);
    }

    private function hasSign(Heard $heard, string $kind, string $words): bool
    {
        $content = self::content($words);
        foreach ($heard->steps as $step) {
            foreach ($step->signs as $sign) {
                $found = array_intersect($content, self::content($sign->words.' '.$sign->rescue));
                if ($sign->kind->value === $kind && 2 * \count($found) >= \count($content)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function content(string $words): array
    {
        $all = preg_split('/[^\p{L}]+/u', mb_strtolower($words), -1, \PREG_SPLIT_NO_EMPTY) ?: [];

        return array_values(
            array_unique(
                array_diff($all, ['a', 'the', 'it', 'is', 'and', 'of', 'in', 'to', 'they', 'are', 'on', 'with', 'or', 'that', 'be']),
            ),
        );
    }

    private function isStep(Heard $heard, string $words): bool
    {
        $pattern = '/'.implode('\s+', array_map(static fn (string $w): string => preg_quote($w, '/'), explode(' ', $words))).'/iu';
        if (1 !== preg_match($pattern, $heard->text->text, $match, \PREG_OFFSET_CAPTURE)) {
            throw new \LogicException('The telling does not say "'.$words.'".');
        }
        [$from, $to] = [$match[0][1], $match[0][1] + \strlen($match[0][0])];
        foreach ($heard->steps as $step) {
            $start = $heard->text->tokens[$step->first]->start;
            $end = $heard->text->tokens[max($step->first, $step->next - 1)]->end;
            if ($start >= $from && $end <= $to + 1) {
                return true;
            }
        }

        return false;
    }

    /** @param 'right'|'wrong'|'marked'|'missed' $how */
    private function count(string $of, string $how, string $fault): void
    {
        $sum = $this->sums[$of] ?? self::NOTHING;
        ++$sum[$how];
        $this->sums[$of] = $sum;
        if ('right' !== $how) {
            $this->faults[] = '  '.$of.' '.$how.': '.$fault;
        }
    }

    public function report(): string
    {
        $lines = [];
        foreach ($this->sums as $of => $sum) {
            $all = max(1, array_sum($sum));
            $lines[] = \sprintf(
                '%-14s %5.1f %% of %3d right; wrong unmarked %4.1f %%, marked %4.1f %%, missed %4.1f %%',
                $of,
                100 * $sum['right'] / $all,
                $all,
                100 * $sum['wrong'] / $all,
                100 * $sum['marked'] / $all,
                100 * $sum['missed'] / $all,
            );
        }
        $lines[] = $this->phantoms.' phantom bowls, '.$this->idleSteps.' steps nobody told';

        return implode("\n", $lines);
    }

    /** Whether a line of a list was read as it was written down. */
    public static function isLine(?ToldAmount $amount, string $thing, string $told, string $unit): bool
    {
        if (null === $amount || !self::isThing($amount, $thing)) {
            return false;
        }
        if ('open' === $told) {
            return null === $amount->from;
        }
        [$from, $to] = [...explode('-', $told), $told];

        return self::isSame($amount, [$thing, (float) $from, (float) $to, $unit]);
    }
}
