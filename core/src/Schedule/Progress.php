<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use FeastLadle\Words\CannotBe;

/** How far a schedule has got: what is done, what runs, and what time it is. */
final readonly class Progress
{
    /**
     * @param array<string, array{int, int}> $done    start and end by activity
     * @param array<string, int>             $running start by activity
     * @param array<string, int>             $left    units that a running activity still takes, where that is known better than by
     *                                                its planned end
     * @param array<string, int>             $lasts   units that what has not begun takes, where it is no longer as planned
     *
     * @throws CannotBe when something was done, or began, after now
     */
    public function __construct(
        public int $now,
        public array $done = [],
        public array $running = [],
        public array $left = [],
        public array $lasts = [],
    ) {
        foreach ($done as $id => [$start, $end]) {
            if ($end < $start || $end > $now) {
                throw new CannotBe(
                    \sprintf('"%s" is said to be done from %d to %d, which is not before %d.', $id, $start, $end, $now),
                );
            }
        }
        foreach ($running as $id => $start) {
            if ($start > $now || isset($done[$id])) {
                throw new CannotBe(\sprintf('"%s" is said to run since %d, at %d.', $id, $start, $now));
            }
        }
    }
}
