<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Improves a schedule by its turns: where a minute less between two uses of a place would save something, the second goes first, or one of
 * them goes to another resource, at the best times for that. Turns that contradict each other are changed on along the circle they make.
 * A move may be as dear as the schedule was some moves ago (late acceptance, Burke and Bykov 2017).
 */
final class Resequencing
{
    private const MEMORY = 300;

    /** Moves without a better schedule, after which it goes on from the best. */
    private const PATIENCE = 300;

    /** How much dearer the first moves from there may be: one in so many parts. */
    private const PART_DEARER = 5;

    /** Contradictions that are changed on in one move. */
    private const REPAIRS = 24;

    /** Percent of moves that take another resource where there is one. */
    private const ELSEWHERE = 60;

    /** Of a move beside its timing, in units of work. */
    private const WORK_OF_A_MOVE = 60;

    private const WORK_OF_A_REPAIR = 20;

    /** @var array{int, int, int} the turn that was made last, which is not to be taken back at once */
    private array $kept = [-1, -1, -1];

    public int $work = 0;

    private int $moves = 0;

    public function __construct(private readonly Randomizer $random)
    {
    }

    /**
     * @param int $work  at which it ends
     * @param int $bound below which nothing is to be had
     *
     * @return Sequences the cheapest that were found, settled
     */
    public function improve(Sequences $from, int $work, int $bound): Sequences
    {
        $best = $current = $from;
        $least = $cost = $from->cost();
        $accepted = array_fill(0, self::MEMORY, $cost);
        $since = 0;
        while ($this->work < $work && $least > $bound) {
            $dear = $current->dear();
            if ([] === $dear) {
                break;
            }
            ++$this->moves;
            ++$since;
            $next = $this->move($current, $dear);
            $slot = $this->moves % self::MEMORY;
            if (null !== $next) {
                $then = $next->cost();
                if ($then <= $cost || $then <= $accepted[$slot]) {
                    $current = $next;
                    $cost = $then;
                }
                if ($then < $least) {
                    $least = $then;
                    $best = $next;
                    $since = 0;
                }
            }
            $accepted[$slot] = $cost;
            if ($since > self::PATIENCE) {
                $since = 0;
                $current = $best;
                $cost = $least;
                $accepted = array_fill(0, self::MEMORY, $cost + intdiv($cost, self::PART_DEARER));
            }
        }

        return $best;
    }

    /**
     * Changes turns that contradict each other until none does.
     *
     * @return Sequences|null null when there are still some after so much work
     */
    public function complete(Sequences $from, int $work): ?Sequences
    {
        $current = $from;
        $current->settle();
        $lacks = $current->lacks();
        $accepted = array_fill(0, self::MEMORY, $lacks);
        while ($lacks > 0 && $this->work < $work) {
            $against = $this->against($current);
            if ([] === $against) {
                if ([-1, -1, -1] === $this->kept) {
                    return null;
                }
                $this->kept = [-1, -1, -1];
                continue;
            }
            ++$this->moves;
            $next = clone $current;
            $before = $next->work();
            $this->work += self::WORK_OF_A_MOVE;
            $goes = $this->change($next, $against[$this->random->getInt(0, \count($against) - 1)]);
            if ($goes) {
                $next->settle();
                $then = $next->lacks();
                $slot = $this->moves % self::MEMORY;
                if ($then <= $lacks || $then <= $accepted[$slot]) {
                    $current = $next;
                    $lacks = $then;
                }
                $accepted[$slot] = $lacks;
            }
            $this->work += $next->work() - $before;
        }

        return 0 === $lacks ? $current : null;
    }

    /** @param non-empty-list<array{int, int, int, int}> $dear */
    private function move(Sequences $from, array $dear): ?Sequences
    {
        $next = clone $from;
        $before = $next->work();
        $this->work += self::WORK_OF_A_MOVE;
        $holds = $this->change($next, $this->drawn($dear)) && $next->settle();
        for ($repair = 0; !$holds && $repair < self::REPAIRS; ++$repair) {
            $this->work += self::WORK_OF_A_REPAIR;
            $against = $this->against($next);
            if ([] === $against) {
                break;
            }
            $turn = $against[$this->random->getInt(0, \count($against) - 1)];
            $holds = $this->change($next, $turn) && $next->settle();
        }
        $this->work += $next->work() - $before;

        return $holds ? $next : null;
    }

    /** @return list<array{int, int, int, int}> turns that contradict each other, but the one that was made last */
    private function against(Sequences $sequences): array
    {
        return array_values(
            array_filter($sequences->contradictions(), fn (array $turn): bool => \array_slice($turn, 0, 3) !== $this->kept),
        );
    }

    /** @param array{int, int, int, int} $turn */
    private function change(Sequences $sequences, array $turn): bool
    {
        [$place, $a, $b] = $turn;
        if ($this->random->getInt(1, 100) <= self::ELSEWHERE) {
            $r = $sequences->uses->resource($place);
            $moves = [...$sequences->others($a, $r), ...$sequences->others($b, $r)];
            if ([] !== $moves) {
                [$choice, $other] = $moves[$this->random->getInt(0, \count($moves) - 1)];

                return $sequences->choose($choice, $r, $other);
            }
        }
        if (!$sequences->mayTurn($place, $a, $b)) {
            return false;
        }
        $sooner = 0 === $this->random->getInt(0, 1);
        $sequences->move($place, $sooner ? $b : $a, $sooner ? $a : $b, $sooner);
        $this->kept = [$place, $b, $a];

        return true;
    }

    /**
     * One of the turns, dear ones more often.
     *
     * @param non-empty-list<array{int, int, int, int}> $dear
     *
     * @return array{int, int, int, int}
     */
    private function drawn(array $dear): array
    {
        $sum = 0;
        foreach ($dear as [, , , $saved]) {
            $sum += $saved;
        }
        $at = $this->random->getInt(1, $sum);
        foreach ($dear as $turn) {
            $at -= $turn[3];
            if ($at <= 0) {
                return $turn;
            }
        }

        return $dear[0];
    }
}
