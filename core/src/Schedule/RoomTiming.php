<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Moves the steps of a schedule, its turns and choices kept, so that there is room behind those that may take longer: the best times, by
 * what a minute of room behind each is worth (a linear programme; buffer sizing after Leus and Herroelen 2004). Nothing with a due time
 * ends later than it must.
 */
final readonly class RoomTiming
{
    private Network $network;

    private Timeline $timeline;

    /** @param int $earliest nothing may begin before */
    public function __construct(private Problem $problem, private Solution $solution, private int $earliest)
    {
        $this->network = new Network($problem);
        $this->timeline = SolutionTimeline::of($this->network, $solution);
    }

    /**
     * @param array<string, array{int, int}> $room by activity: units that are wished behind it, and what each of them is worth
     * @param int                            $work for changing turns and choices where that gives more room; 0: they stay
     *
     * @return Solution|null null when its turns cannot be told
     */
    public function with(array $room, int $work = 0, int $seed = 1): ?Solution
    {
        $wished = $latest = [];
        foreach ($room as $id => $each) {
            $wished[$this->network->indexOf[$id]] = $each;
        }
        foreach ($this->network->ids as $i => $id) {
            $due = $this->problem->activities[$id]->due;
            if (null !== $due && $due->late > 0) {
                $latest[$i] = max($due->at, $this->timeline->end[$i]);
            }
        }
        $uses = new Uses($this->network, TimingModel::withRoom($this->network, $wished, $latest, $this->earliest));
        $sequences = Sequences::of($uses, $this->timeline);
        if (!$sequences->settle()) {
            return null;
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $best = $work > 0 ? (new Resequencing($random))->improve($sequences, $work, 0) : $sequences;
        $timeline = new Timeline($this->network);
        $best->putInto($timeline);

        $cost = (new Cost($this->network, $timeline))->now();
        $found = [$timeline->start, $timeline->end, $timeline->chosen];

        return SolutionWriter::of($this->network, $found, $cost, $this->solution->bound, $seed);
    }
}
