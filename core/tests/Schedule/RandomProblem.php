<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes schedule problems of every feature of the format, from a seed. */
final class RandomProblem
{
    /** @return array<string, mixed> */
    public static function document(int $seed, int $activities = 0): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $chance = static fn (int $percent): bool => $random->getInt(1, 100) <= $percent;
        $count = $activities > 0 ? $activities : $random->getInt(1, 14);
        $horizon = 900;
        $resources = [];
        for ($i = 0; $i < $random->getInt(2, 3); ++$i) {
            $resources[] = ['id' => "fire-$i"];
        }
        $fires = \count($resources);
        $pots = $random->getInt(2, 4);
        for ($i = 0; $i < $pots; ++$i) {
            $resources[] = ['id' => "pot-$i", 'turnover' => $random->getInt(0, 6)];
        }
        $people = $random->getInt(1, 3);
        for ($i = 0; $i < $people; ++$i) {
            $resources[] =
                ['id' => "hand-$i", 'capacity' => 100] +
                ($chance(40) ? ['calendar' => [[$random->getInt(0, 50), 400], [450, $horizon]]] : []);
        }
        $some = static function (string $kind, int $of) use ($random): array {
            $ids = array_map(static fn (int $i): string => "$kind-$i", range(0, $of - 1));

            return \array_slice($random->shuffleArray($ids), 0, $random->getInt(1, $of));
        };
        $list = [];
        $links = [];
        $holds = [];
        for ($i = 0; $i < $count; ++$i) {
            $likely = $chance(10) ? 0 : $random->getInt(1, 45);
            $activity = [
                'id' => "a$i",
                'duration' => $chance(50) ? $likely : ['min' => intdiv($likely, 2), 'likely' => $likely, 'max' => 2 * $likely],
                'needs' => [],
            ];
            if ($chance(60)) {
                $from = $some('fire', $fires);
                $activity['needs'][] = ['from' => $from] + ($chance(30) ? ['duration' => [$from[0] => $random->getInt(1, 60)]] : []);
            }
            if ($chance(70)) {
                $from = $some('hand', $people);
                $activity['needs'][] = [
                    'from' => $from,
                    'units' => [20, 30, 75, 100][$random->getInt(0, 3)],
                    'count' => $chance(15) ? \count($from) : 1,
                ];
            }
            if ($chance(25)) {
                $activity['due'] = [
                    'at' => $random->getInt(200, 850),
                    'early' => $random->getInt(0, 5),
                    'late' => $random->getInt(1, 50),
                ];
            }
            if ($chance(10)) {
                $activity['earliestStart'] = $random->getInt(0, 200);
            }
            if ($chance(10)) {
                $activity['latestEnd'] = $random->getInt(500, $horizon);
            }
            if ($i > 0 && $chance(20) && str_starts_with($list[$i - 1]['needs'][0]['from'][0] ?? '', 'fire')) {
                // On the fire of the one before, after it.
                $activity['needs'] = [['sameAs' => ['activity' => 'a'.($i - 1), 'need' => 0]]];
                $links[] = ['from' => 'a'.($i - 1), 'to' => "a$i", 'min' => 0, 'max' => $chance(50) ? $random->getInt(0, 20) : null];
            }
            $list[] = $activity;
            if ($i > 0 && $chance(60)) {
                $min = $random->getInt(0, 10);
                $links[] = [
                    'from' => 'a'.$random->getInt(0, $i - 1),
                    'to' => "a$i",
                    'min' => $min,
                    'max' => $chance(45) ? $min + $random->getInt(0, 40) : null,
                    'type' => ['ES', 'ES', 'ES', 'SS', 'EE', 'SE'][$random->getInt(0, 5)],
                ];
            }
        }
        for ($h = 0; $h < intdiv($count, 4); ++$h) {
            $first = $random->getInt(0, $count - 1);
            $holds[] = [
                'id' => "run-$h",
                'activities' => array_values(array_unique(['a'.$first, 'a'.min($count - 1, $first + $random->getInt(0, 2))])),
                'needs' => [['from' => $some('pot', $pots)]],
            ];
        }

        return [
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, $horizon],
            'resources' => $resources,
            'activities' => $list,
            'links' => $links,
            'holds' => $holds,
            'objective' => $chance(25) ? ['kind' => 'makespan'] : ['kind' => 'just-in-time', 'span' => $random->getInt(0, 2)],
        ];
    }

    /**
     * Pots that are held and needed by themselves, trays that hold several, two hands out of three at once.
     *
     * @return array<string, mixed>
     */
    public static function shared(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $chance = static fn (int $percent): bool => $random->getInt(1, 100) <= $percent;
        $pots = ['pot-0', 'pot-1', 'pot-2'];
        $trays = ['tray-0', 'tray-1'];
        $hands = ['hand-0', 'hand-1', 'hand-2'];
        $resources = [];
        foreach ($pots as $pot) {
            $resources[] = ['id' => $pot, 'turnover' => $random->getInt(0, 5)];
        }
        foreach ($trays as $tray) {
            $resources[] = ['id' => $tray, 'capacity' => 3];
        }
        foreach ($hands as $hand) {
            $resources[] = ['id' => $hand, 'capacity' => 100] + ($chance(30) ? ['calendar' => [[0, 180], [200, 600]]] : []);
        }
        $some = static fn (array $of): array => \array_slice($random->shuffleArray($of), 0, $random->getInt(1, \count($of)));
        $activities = $links = $holds = [];
        $count = $random->getInt(6, 12);
        for ($i = 0; $i < $count; ++$i) {
            $needs = [];
            if ($chance(45)) {
                $needs[] = ['from' => $some($pots)];
            }
            if ($chance(35)) {
                $needs[] = ['from' => $some($trays), 'units' => $random->getInt(1, 2)];
            }
            if ($chance(50)) {
                $needs[] = ['from' => $hands, 'count' => $random->getInt(1, 3), 'units' => [100, 40][$random->getInt(0, 1)]];
            }
            $activities[] =
                ['id' => "a$i", 'duration' => $random->getInt(0, 30), 'needs' => $needs] +
                ($chance(35)
                    ? ['due' => ['at' => $random->getInt(150, 550), 'early' => $random->getInt(0, 3), 'late' => $random->getInt(1, 20)]]
                    : []);
            if ($i > 0 && $chance(55)) {
                $links[] = [
                    'from' => 'a'.$random->getInt(0, $i - 1),
                    'to' => "a$i",
                    'max' => $chance(30) ? $random->getInt(0, 60) : null,
                ];
            }
        }
        for ($h = 0; $h < 4; ++$h) {
            $first = $random->getInt(0, $count - 2);
            $holds[] = [
                'id' => "hold-$h",
                'activities' => ["a$first", 'a'.($first + 1)],
                'needs' => [
                    $random->getInt(1, 100) <= 60
                        ? ['from' => $some($pots)]
                        : ['from' => $some($trays), 'units' => $random->getInt(1, 2)],
                ],
            ];
        }

        return [
            'format' => 'feast-ladle/schedule-problem',
            'version' => 1,
            'horizon' => [0, 600],
            'resources' => $resources,
            'activities' => $activities,
            'links' => $links,
            'holds' => $holds,
            'objective' => $chance(25) ? ['kind' => 'makespan'] : ['kind' => 'just-in-time', 'span' => $random->getInt(0, 1)],
        ];
    }
}
