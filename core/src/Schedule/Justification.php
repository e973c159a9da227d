<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Pushes a schedule that is to be short to the other end of its horizon and back, each time in the order in which it stood (double
 * justification, Valls, Ballestín and Quintanilla 2005). Activities, groups and choices of both decoders have the same numbers.
 */
final readonly class Justification
{
    /** Whether a schedule stays one when all of it is moved to the end of the horizon. */
    private bool $moves;

    public function __construct(private Network $network, private Groups $groups, private Decoder $decoder, private Decoder $mirrored)
    {
        $horizon = [[$network->problem->horizonStart, $network->problem->horizonEnd]];
        $this->moves =
            [] === array_filter($network->calendar, static fn (array $calendar): bool => $calendar !== $horizon)
            && min([...$network->latestEnd, $horizon[0][1]]) >= $horizon[0][1];
    }

    /**
     * The decoder's schedule becomes the pushed one, which may be longer.
     *
     * @param array<int, int> $rotation by activity
     *
     * @return array<int, float>|null the order it was built in, as keys by group; null when it cannot be pushed
     */
    public function push(array $rotation): ?array
    {
        $timeline = $this->decoder->timeline;
        $there = $this->mirrored->timeline;
        $before = $there->work;
        $goes = $this->mirrored->decode($this->order($timeline), [], $rotation);
        $timeline->work += $there->work - $before;
        if (!$goes) {
            return null;
        }
        $keys = $this->order($there);
        $back = $this->decoder->decode($keys, [], $rotation) ? -$timeline->span()[0] : \PHP_INT_MAX;
        $end = $this->network->problem->horizonEnd;
        [$first, $last] = $there->span();
        if ($this->moves && $last - $first < $back + $end) {
            $starts = array_map(static fn (int $e): int => $end + $first - $e, $there->end);
            $ends = array_map(static fn (int $s): int => $end + $first - $s, $there->start);
            $timeline->become($starts, $ends, $there->chosen);
        } elseif (\PHP_INT_MAX === $back) {
            return null;
        }

        return $keys;
    }

    /** @return array<int, float> what ends last here begins the other way round */
    private function order(Timeline $timeline): array
    {
        $keys = [];
        foreach ($this->groups->members as $g => $members) {
            $keys[$g] = -(float) $timeline->span($members)[0];
        }

        return $keys;
    }
}
