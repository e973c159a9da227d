<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\VesselKind;

/** Fire, vessel, hands and time as a sentence tells them, for the steps that it is about. */
final class Manner
{
    /** From so many minutes on a boil is a simmer. */
    private const BOILS_LONG = 25.0;

    public ?Flame $flame = null;

    public ?VesselKind $vessel = null;

    public ?AttentionKind $attention = null;

    /** the sentence that told of a griddle last */
    public int $griddleIn = -9;

    /** @var array{float, float, int, int}|null a time said before the step it is of, and its tokens */
    private ?array $time = null;

    public function saysTime(Span $time): void
    {
        $this->time = [$time->from ?? 0.0, $time->to ?? 0.0, $time->first, $time->next];
    }

    public function timeSaidBefore(): ?Span
    {
        $time = $this->time;
        $this->time = null;

        return null === $time ? null : new Span(SpanKind::Time, $time[2], $time[3], $time[0], $time[1]);
    }

    /** A new sentence says it anew. */
    public function begin(): void
    {
        [$this->flame, $this->vessel, $this->attention, $this->time] = [null, null, null, null];
    }

    /** The time of a piece that says how long, not when: "after", "within" and "every" say when. */
    public function timeOf(Text $text, Fragment $piece, ?ToldStep $last): ?Span
    {
        foreach ($piece->spans as $span) {
            if ($span->is(SpanKind::Time) && !$text->is($span->first - 1, 'within', 'every', 'each', 'than', 'last', 'half')
                && (!$text->is($span->first - 1, 'in') || $text->is($piece->first, 'it', 'they'))) {
                $isAfter = $text->is($span->first - 1, 'after');
                if (
                    !$isAfter
                    || (
                        null !== $last
                        && null === $last->minutes
                        && \in_array($last->process, [Process::Set, Process::Cool, Process::Chill, Process::Steam], true)
                    )
                ) {
                    return $span;
                }
            }
        }

        return null;
    }

    public function lasts(Text $text, ToldStep $step, Span $time): void
    {
        $sides = $text->is($time->next, 'each', 'a', 'per', 'on', 'every') && $text->is($time->next + 1, 'side', 'each', 'every') ? 2 : 1;
        $step->minutes ??= [$sides * ($time->from ?? 0.0), $sides * ($time->to ?? $time->from ?? 0.0)];
        $step->timeAt ??= [$time->first, $time->next];
        // What boils for so long simmers.
        $solid = array_filter($step->amounts, static fn (ToldAmount $a): bool => !\in_array($a->key(), ['water', 'milk', 'salt'], true));
        if (Process::Boil === $step->process && $step->minutes[0] >= self::BOILS_LONG && [] !== $solid) {
            $step->process = Process::Simmer;
        }
    }

    public function targets(Fragment $piece, ToldStep $step): void
    {
        foreach ($piece->spans as $span) {
            match ($span->kind) {
                SpanKind::Stage => $step->stage ??= $span->stage,
                SpanKind::Celsius => $step->celsius ??= $span->from,
                SpanKind::Releases => $step->releases ??= $span->from,
                default => null,
            };
        }
    }

    /** Fire, vessel and hands of a piece are those of the next step of its sentence. */
    public function manner(Text $text, Fragment $piece): void
    {
        foreach ($piece->spans as $span) {
            match ($span->kind) {
                SpanKind::Fire => $this->flame = $span->flame,
                SpanKind::FlameOff => $this->flame = Flame::None,
                SpanKind::Constant => $this->attention = AttentionKind::Constant,
                SpanKind::Watch => $this->attention = AttentionKind::Watch,
                SpanKind::Vessel => $this->vessel = $span->vessel,
                default => null,
            };
        }
        $this->griddleIn = VesselKind::Griddle === $this->vessel ? $piece->sentence : $this->griddleIn;
    }

    public function mannerTo(ToldStep $step): void
    {
        $step->flame ??= $this->flame;
        $step->vessel ??= $this->vessel;
        $step->attention ??= $this->attention;
    }
}
