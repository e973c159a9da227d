<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** "Leave it for an hour": whether it soaks, rests, cools, steeps or cooks on, by what stands there. */
final readonly class LeftAlone
{
    public function __construct(private Pots $pots)
    {
    }

    /** @param bool $isTold whether a time or a sign stands in the piece, $isTimed behind it */
    public function leave(string $words, Fragment $piece, bool $isTold, bool $isTimed): ?Process
    {
        $stream = $this->pots->streams->current();
        $last = null === $stream->last ? null : $this->pots->steps[$stream->last]->process;
        // "keep it bubbling for half an hour", "keep it moving"
        if (1 === preg_match('/\bkeep (?:it |them |the pot )?(?:bubbling|boiling|simmering|cooking|going|seething'
            .'|on the boil)\b/i', $words)) {
            return $isTold || $isTimed ? Process::Simmer : null;
        }
        if (1 === preg_match('/\bkeep (?:it |them |the \p{L}+ )?(?:moving|shaking|tossing|turning|stirring|rolling)\b/iu', $words)) {
            return null;
        }
        if (1 === preg_match('/\b(?:on|in|over) ice\b|\bice box\b/i', $words)) {
            return Process::Chill;
        }
        // "keep it on the lowest flame for five minutes"
        if ($isTold && $stream->isHot && !$stream->isOff && $piece->has(SpanKind::Fire) && !$piece->has(SpanKind::FlameOff)) {
            return Process::Simmer;
        }
        // What is under pressure comes down by itself.
        if (!$isTold || Process::Pressure === $last) {
            return null;
        }

        if (1 === preg_match('/\b(?:dough|batter)\b/i', $words)) {
            return Process::Rest;
        }
        if (!$stream->isHot && 1 === preg_match('/\bin (?:\p{L}+ )?water\b/iu', $words)) {
            return Process::Soak;
        }
        if (1 === preg_match('/\b(?:cold|lukewarm|cool|bear|hold your)\b/i', $words) && $stream->isHot) {
            return Process::Cool;
        }
        if (null === $stream->last) {
            return match (true) {
                [] === $this->pots->counter->waiting => null,
                $this->pots->streams->isOfDough() => Process::Rest,
                $this->pots->isScalded => Process::Steep,
                $this->isUnderWater($this->pots->counter->waits()) => Process::Soak,
                default => Process::Rest,
            };
        }

        // A dough of boiled flour rests under its lid.
        if (\in_array($last, [Process::MixIn, Process::Merge, Process::Knead], true) && $stream->isHot
            && [] !== preg_grep('/-flour(?:-roasted)?$/', $stream->holds) && [] === array_intersect($stream->holds, ProcessOf::SWEET)) {
            return Process::Rest;
        }
        $isWetted = !$stream->isHot
            && \in_array('water', $this->pots->counter->added(), true);
        // Flour under water for a night gives its starch; for minutes it is a batter at rest.
        $isBatter = [] !== preg_grep('/-flour$/', $stream->holds) && 1 !== preg_match('/\b(?:hours|overnight|night)\b/i', $words);
        if (
            $isWetted
            && !$isBatter
            && \in_array(
                $this->pots->steps[$stream->last]->process,
                [Process::Prepare, Process::Rinse, Process::Sieve, Process::Drain],
                true,
            )
        ) {
            return Process::Soak;
        }

        if (Process::MixIn === $last && !$stream->isHot && !$isBatter && $this->isUnderWater($stream->holds)) {
            return Process::Soak;
        }

        return ProcessOf::waiting(
            $this->before(Process::Garnish),
            $stream->isHot && [] !== array_diff($stream->holds, ['milk', 'water', 'sugar', 'cream']),
            $stream->isOff || $piece->has(SpanKind::FlameOff),
        );
    }

    /**
     * Something dry that stands with water, and is no batter: it soaks.
     *
     * @param list<string> $ids
     */
    private function isUnderWater(array $ids): bool
    {
        return \in_array('water', $ids, true)
            && [] === array_intersect($ids, ['yoghurt', 'buttermilk', 'yeast', 'baking-soda', 'ghee', 'sugar', 'semolina']);
    }

    /** The last process of the pot but for this one. */
    private function before(Process $but): ?Process
    {
        $stream = $this->pots->streams->current();
        for ($n = $stream->last ?? -1; $n >= 0; --$n) {
            $step = $this->pots->steps[$n];
            if ($step->stream === $stream->id && $step->process !== $but) {
                return $step->process;
            }
        }

        return null;
    }
}
