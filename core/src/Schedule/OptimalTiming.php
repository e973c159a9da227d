<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * The best times under gaps that must be kept and gaps that cost when they are missed: min Σ price · max(0, gap + time(from) −
 * time(to)), the dual of a least-cost circulation (Ahuja, Magnanti and Orlin 1993, ch. 9 and 14). It is solved by successive shortest
 * paths, which start from the former answer, so that a gap that comes, goes or changes costs little.
 *
 * Time 0 is the origin. A gap that must be kept has the price of no sum of missed ones; where gaps that must be kept contradict each
 * other, those on the contradicting circle carry that price.
 */
final class OptimalTiming
{
    private const ORIGIN = 0;

    /** Gaps looked at for one unit of the solver's work. */
    private const LOOKS_PER_WORK = 3;

    /** @var array<int, int> by node, before the origin's is taken away */
    private array $potential;

    /** @var array<int, int> by gap */
    private array $from = [];

    /** @var array<int, int> by gap */
    private array $to = [];

    /** @var array<int, int> by gap */
    private array $length = [];

    /** @var array<int, int> by gap */
    private array $price = [];

    /** @var array<int, int> by gap, at most its price: what a minute less of it would save */
    private array $flow = [];

    /** @var array<int, array<int, int>> gaps by node they start from */
    private array $out;

    /** @var array<int, array<int, int>> gaps by node they lead to */
    private array $in;

    /** @var array<int, int> what flows in beyond what flows out, by node, where it is not 0 */
    private array $excess = [];

    /** @var array<int, int> gaps that must be kept and carry all they can: they might not be kept */
    private array $suspects = [];

    /** @var list<int> numbers of gaps that went */
    private array $unused = [];

    private int $looks = 0;

    /** @param int $mustKeep more than all prices of gaps that may be missed */
    public function __construct(int $nodes, private readonly int $mustKeep)
    {
        $this->potential = array_fill(0, $nodes, 0);
        $this->out = $this->in = array_fill(0, $nodes, []);
    }

    /** Begins from times that are known, as by node; to be called before there is a gap. */
    public function startAt(int $node, int $time): void
    {
        $this->potential[$node] = $time;
    }

    /**
     * time(to) ≥ time(from) + length, or every minute less costs the price.
     *
     * @param int|null $price null: it must be kept
     *
     * @return int the gap's number
     */
    public function add(int $from, int $to, int $length, ?int $price = null): int
    {
        $gap = array_pop($this->unused) ?? \count($this->from);
        $this->from[$gap] = $from;
        $this->to[$gap] = $to;
        $this->length[$gap] = $length;
        $this->price[$gap] = $price ?? $this->mustKeep;
        $this->flow[$gap] = 0;
        $this->out[$from][$gap] = $gap;
        $this->in[$to][$gap] = $gap;
        $this->tidy($gap);

        return $gap;
    }

    public function drop(int $gap): void
    {
        $this->send($gap, -$this->flow[$gap]);
        unset($this->out[$this->from[$gap]][$gap], $this->in[$this->to[$gap]][$gap], $this->suspects[$gap]);
        $this->price[$gap] = 0;
        $this->unused[] = $gap;
    }

    public function change(int $gap, int $length): void
    {
        $this->length[$gap] = $length;
        $this->tidy($gap);
    }

    /** What a minute less of this gap would save; at least mustKeep on a circle that contradicts itself. */
    public function savedBy(int $gap): int
    {
        return $this->flow[$gap];
    }

    public function time(int $node): int
    {
        return $this->potential[$node] - $this->potential[self::ORIGIN];
    }

    public function work(): int
    {
        return intdiv($this->looks, self::LOOKS_PER_WORK);
    }

    /**
     * Finds the best times.
     *
     * @return bool whether all that must be kept is kept
     */
    public function settle(): bool
    {
        while ([] !== $this->excess) {
            $this->push();
        }

        return 0 === $this->lacks();
    }

    /** By how much what must be kept is missed. */
    public function lacks(): int
    {
        $lacks = 0;
        foreach ($this->suspects as $gap) {
            $lacks += max(0, $this->length[$gap] + $this->potential[$this->from[$gap]] - $this->potential[$this->to[$gap]]);
        }

        return $lacks;
    }

    /** Of the gaps that may be missed. */
    public function cost(): int
    {
        $cost = 0;
        foreach ($this->price as $gap => $price) {
            if ($price < $this->mustKeep && $price > 0) {
                $missed = $this->length[$gap] + $this->potential[$this->from[$gap]] - $this->potential[$this->to[$gap]];
                $cost += $missed > 0 ? $price * $missed : 0;
            }
        }

        return $cost;
    }

    /** Flow where a gap is missed, none where there is more time than it asks. */
    private function tidy(int $gap): void
    {
        $missed = $this->length[$gap] + $this->potential[$this->from[$gap]] - $this->potential[$this->to[$gap]];
        if ($missed > 0) {
            $this->send($gap, $this->price[$gap] - $this->flow[$gap]);
        } elseif ($missed < 0) {
            $this->send($gap, -$this->flow[$gap]);
        }
    }

    private function send(int $gap, int $more): void
    {
        if (0 === $more) {
            return;
        }
        $this->flow[$gap] += $more;
        if ($this->flow[$gap] === $this->mustKeep) {
            $this->suspects[$gap] = $gap;
        } else {
            unset($this->suspects[$gap]);
        }
        foreach ([[$this->from[$gap], -$more], [$this->to[$gap], $more]] as [$node, $change]) {
            $now = ($this->excess[$node] ?? 0) + $change;
            if (0 === $now) {
                unset($this->excess[$node]);
            } else {
                $this->excess[$node] = $now;
            }
        }
    }

    /** Sends what is too much somewhere to the nearest place where something lacks (Dijkstra), and raises the times on the way. */
    private function push(): void
    {
        $potential = $this->potential;
        /** @var array<int, int> $nearest what it costs at least to get there, by node */
        $nearest = [];
        /** @var array<int, int> $via the gap by which it is got to */
        $via = [];
        /** @var array<int, int> $done */
        $done = [];
        /** @var \SplPriorityQueue<int, int> $queue the nearest first */
        $queue = new \SplPriorityQueue();
        foreach ($this->excess as $node => $excess) {
            if ($excess > 0) {
                $nearest[$node] = 0;
                $queue->insert($node, 0);
            }
        }
        $looks = 0;
        $target = -1;
        while (!$queue->isEmpty()) {
            /** @var int $node */
            $node = $queue->extract();
            if (isset($done[$node])) {
                continue;
            }
            $far = $nearest[$node];
            if (($this->excess[$node] ?? 0) < 0) {
                $target = $node;
                break;
            }
            $done[$node] = $far;
            $at = $potential[$node];
            $looks += \count($this->out[$node]) + \count($this->in[$node]);
            foreach ($this->out[$node] as $gap) {
                if ($this->flow[$gap] < $this->price[$gap]) {
                    $next = $this->to[$gap];
                    $distance = $far - $this->length[$gap] - $at + $potential[$next];
                    if (!isset($done[$next]) && (!isset($nearest[$next]) || $distance < $nearest[$next])) {
                        $nearest[$next] = $distance;
                        $via[$next] = $gap;
                        $queue->insert($next, -$distance);
                    }
                }
            }
            foreach ($this->in[$node] as $gap) {
                if ($this->flow[$gap] > 0) {
                    $next = $this->from[$gap];
                    $distance = $far + $this->length[$gap] + $potential[$next] - $at;
                    if (!isset($done[$next]) && (!isset($nearest[$next]) || $distance < $nearest[$next])) {
                        $nearest[$next] = $distance;
                        $via[$next] = $gap;
                        $queue->insert($next, -$distance);
                    }
                }
            }
        }
        $this->looks += $looks + 8;
        if ($target < 0) {
            throw new \LogicException('What flows into a time must be able to flow back to where it came from.');
        }
        $distance = $nearest[$target];
        foreach ($done as $node => $far) {
            $this->potential[$node] += $distance - $far;
        }
        $path = [];
        $amount = -$this->excess[$target];
        for ($node = $target; isset($via[$node]);) {
            $gap = $via[$node];
            $forth = $this->to[$gap] === $node;
            $amount = min($amount, $forth ? $this->price[$gap] - $this->flow[$gap] : $this->flow[$gap]);
            $path[] = [$gap, $forth];
            $node = $forth ? $this->from[$gap] : $this->to[$gap];
        }
        $amount = min($amount, $this->excess[$node]);
        foreach ($path as [$gap, $forth]) {
            $this->send($gap, $forth ? $amount : -$amount);
        }
    }
}
