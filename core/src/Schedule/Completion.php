<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Finds some schedule where building one activity by activity comes to no end: begins from the latest times and evenly loaded resources,
 * with turns that contradict each other, and changes those until none does. Begins anew when it gets no further.
 */
final readonly class Completion
{
    /** The share of the work that is left, for one beginning. */
    private const SHARE = 2;

    public function __construct(private Uses $uses, private Propagation $windows, private Randomizer $random)
    {
    }

    /**
     * Puts what it finds into a timeline, whose work it adds to.
     *
     * @param int $work of the timeline, at which it gives up
     */
    public function find(Timeline $timeline, int $work): bool
    {
        while ($timeline->work < $work) {
            $resequencing = new Resequencing($this->random);
            $sequences = new Sequences($this->uses, $this->windows->latest, $this->choices());
            $found = $resequencing->complete($sequences, 1 + intdiv($work - $timeline->work, self::SHARE));
            $timeline->work += 1 + $sequences->work() + $resequencing->work;
            if (null !== $found) {
                $found->putInto($timeline);

                return true;
            }
        }

        return false;
    }

    /** @return array<int, list<int>> resources by choice: at random, those that are taken least so far */
    private function choices(): array
    {
        $n = $this->uses->network;
        $taken = array_fill(0, \count($n->resourceIds), 0);
        $chosen = array_fill(0, \count($n->options), []);
        foreach ($this->random->shuffleArray(array_keys($n->options)) as $choice) {
            $options = $this->random->shuffleArray($n->options[$choice]);
            usort($options, static fn (int $a, int $b): int => $taken[$a] <=> $taken[$b]);
            $chosen[$choice] = \array_slice($options, 0, $n->takes[$choice]);
            foreach ($chosen[$choice] as $r) {
                ++$taken[$r];
            }
        }

        return $chosen;
    }
}
