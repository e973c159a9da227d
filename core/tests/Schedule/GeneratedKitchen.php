<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes kitchens of any size, from a seed, around a plan that is known to work: every moment has its dishes, dished up one
 * after the other by one pair of hands in the order that Smith's rule (1956) proves best, and behind each a chain of steps
 * that ran somewhere at some time. Gaps, options and pots are then loosened around that plan, which stays possible; what it
 * costs is the published optimum.
 */
final class GeneratedKitchen
{
    /** Minutes between moments: dishing up of one never reaches the one before. */
    private const BETWEEN = 150;
    private const MOST_DISHES = 6;

    private readonly Randomizer $random;

    /** @var array<string, list<array{int, int}>> by resource, what the known plan does on it */
    private array $taken = [];

    /** @var list<array<string, mixed>> */
    private array $activities = [];

    /** @var list<array<string, mixed>> */
    private array $links = [];

    /** @var list<array<string, mixed>> */
    private array $holds = [];

    private int $optimum = 0;

    private function __construct(int $seed, private readonly int $size)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{array<string, mixed>, int} a problem of about so many activities, and the cost of its best plan */
    public static function of(int $seed, int $activities): array
    {
        $kitchen = new self($seed, $activities);

        return [$kitchen->document(), $kitchen->optimum];
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        $dishes = max(2, intdiv($this->size, 6));
        $fires = max(2, (int) ceil($dishes / 7));
        $cooks = $fires + 1;
        $pots = $dishes + 2;
        $horizon = 900 + self::BETWEEN * (int) ceil($dishes / self::MOST_DISHES);
        $names = static fn (string $kind, int $count): array => array_map(static fn (int $i): string => "$kind-$i", range(1, $count));
        for ($moment = $horizon - 20; $dishes > 0; $moment -= self::BETWEEN) {
            $here = min($dishes, $this->random->getInt(4, self::MOST_DISHES));
            $this->moment($moment, $here, $names('fire', $fires), $names('cook', $cooks), $names('pot', $pots));
            $dishes -= $here;
        }
        $resources = [
            ...array_map(static fn (string $id): array => ['id' => $id], $names('fire', $fires)),
            ...array_map(static fn (string $id): array => ['id' => $id, 'turnover' => 4], $names('pot', $pots)),
            ...array_map(static fn (string $id): array => ['id' => $id, 'capacity' => 100], [...$names('cook', $cooks), 'server']),
        ];

        return [
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [-2000, $horizon],
            'resources' => $resources,
            'activities' => $this->activities,
            'links' => $this->links,
            'holds' => $this->holds,
            'objective' => ['kind' => 'just-in-time'],
        ];
    }

    /**
     * @param list<string> $fires
     * @param list<string> $cooks
     * @param list<string> $pots
     */
    private function moment(int $at, int $dishes, array $fires, array $cooks, array $pots): void
    {
        $last = [];
        for ($d = 0; $d < $dishes; ++$d) {
            $last[] = [$this->random->getInt(4, 12), $this->random->getInt(1, 10)];
        }
        // The dearest minute for its length stands nearest to the moment.
        usort($last, static fn (array $a, array $b): int => $a[0] * $b[1] <=> $b[0] * $a[1]);
        $end = $at;
        foreach ($last as [$length, $early]) {
            $dish = 'd'.(1 + \count($this->holds));
            $this->activities[] = [
                'id' => $dish.'-up',
                'duration' => $length,
                'needs' => [['from' => ['server'], 'units' => 100]],
                'due' => ['at' => $at, 'early' => $early, 'late' => 200],
            ];
            $this->optimum += $early * ($at - $end);
            $this->chain($dish, $end - $length, $fires, $cooks, $pots);
            $end -= $length;
        }
    }

    /**
     * Finish and cook on one fire, prepared by hands, soaked before: each as it ran in the known plan, before $end.
     *
     * @param list<string> $fires
     * @param list<string> $cooks
     * @param list<string> $pots
     */
    private function chain(string $dish, int $end, array $fires, array $cooks, array $pots): void
    {
        $finish = $this->random->getInt(4, 15);
        $cook = $this->random->getInt(15, 70);
        $cookAt = $end - $this->random->getInt(0, 30) - $finish - $cook;
        while (
            null === ($stirrer = $this->freeAt($cooks, $finish, $cookAt + $cook))
            || null === ($fire = $this->freeAt($fires, $finish + $cook, $cookAt))
        ) {
            --$cookAt;
        }
        $finishAt = $cookAt + $cook;
        $this->taken[$stirrer][] = [$finishAt, $finishAt + $finish];
        $this->taken[$fire][] = [$cookAt, $finishAt + $finish];
        $this->step($dish.'-finish', $finish, [
            $this->fire($fire, $fires, $finish),
            ['from' => $this->among($stirrer, $cooks), 'units' => 100],
        ]);
        $this->step($dish.'-cook', $cook, [['sameAs' => ['activity' => $dish.'-finish', 'need' => 0]]]);
        $this->link($dish.'-cook', $dish.'-finish', 0, true);
        $this->link($dish.'-finish', $dish.'-up', $end - $finishAt - $finish, $this->random->getInt(0, 1) > 0);
        $prepared = $cookAt - $this->random->getInt(0, 40);
        for ($k = 0; $k < 2; ++$k) {
            $length = $this->random->getInt(10, 40);
            $from = $prepared - $length;
            while (null === ($hand = $this->freeAt($cooks, $length, $from))) {
                --$from;
            }
            $this->taken[$hand][] = [$from, $from + $length];
            $this->step("$dish-prepare-$k", $length, [
                ['from' => $this->among($hand, $cooks), 'units' => $this->random->getInt(6, 10) * 10],
            ]);
            $this->link("$dish-prepare-$k", $dish.'-cook', $cookAt - $from - $length, $this->random->getInt(0, 3) > 2);
        }
        $length = $this->random->getInt(60, 300);
        $this->step($dish.'-soak', $length, []);
        $this->link($dish.'-soak', $dish.'-cook', 0, $this->random->getInt(0, 1) > 0);
        // Taken until it is dished up, and washed before and after.
        $pot =
            $this->freeAt($pots, $end + 20 - $cookAt, $cookAt - 4) ??
            throw new \LogicException('The known plan has no pot left; there are fewer pots than dishes.');
        $this->holds[] = [
            'id' => $dish.'-pot',
            'activities' => [$dish.'-cook', $dish.'-finish', $dish.'-up'],
            'needs' => [['from' => $this->among($pot, $pots)]],
        ];
        $this->taken[$pot][] = [$cookAt - 4, $end + 16];
    }

    /** @param list<string> $on */
    private function freeAt(array $on, int $length, int $start): ?string
    {
        foreach ($this->random->shuffleArray($on) as $resource) {
            foreach ($this->taken[$resource] ?? [] as [$from, $to]) {
                if ($from < $start + $length && $start < $to) {
                    continue 2;
                }
            }

            return $resource;
        }

        return null;
    }

    /**
     * @param list<string> $fires
     *
     * @return array<string, mixed>
     */
    private function fire(string $fire, array $fires, int $length): array
    {
        $among = $this->among($fire, $fires);
        $slower = array_values(array_diff($among, [$fire]));

        return ['from' => $among] + ([] === $slower ? [] : ['duration' => [$slower[0] => $length + 3]]);
    }

    /**
     * @param list<string> $all
     *
     * @return list<string> that one, and some others
     */
    private function among(string $one, array $all): array
    {
        $others = \array_slice($this->random->shuffleArray(array_values(array_diff($all, [$one]))), 0, $this->random->getInt(0, 2));

        return $this->random->shuffleArray([$one, ...$others]);
    }

    /** @param list<array<string, mixed>> $needs */
    private function step(string $id, int $length, array $needs): void
    {
        $this->activities[] = [
            'id' => $id,
            'duration' => ['min' => intdiv(3 * $length, 4), 'likely' => $length, 'max' => 2 * $length],
            'needs' => $needs,
        ];
    }

    private function link(string $from, string $to, int $gap, bool $tight): void
    {
        $this->links[] = ['from' => $from, 'to' => $to, 'min' => 0, 'max' => $tight ? $gap + $this->random->getInt(2, 12) : null];
    }
}
