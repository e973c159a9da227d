<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Makes job shops, from a seed or from rows of machine and length by turns. */
final class RandomShop
{
    public static function of(int $seed): Problem
    {
        $random = new Randomizer(new Mt19937($seed));
        $jobs = [];
        $machines = $random->getInt(2, 5);
        for ($j = $random->getInt(2, 8); $j > 0; --$j) {
            $row = [];
            foreach ($random->shuffleArray(range(0, $machines - 1)) as $machine) {
                array_push($row, $machine, $random->getInt(1, 40));
            }
            $jobs[] = $row;
        }

        return self::problem($jobs, $random->getInt(0, 1) * $random->getInt(1, 9));
    }

    /**
     * @param list<list<int>>      $jobs   machine and length by turns
     * @param array<string, mixed> $change
     */
    public static function problem(array $jobs, int $turnover = 0, array $change = []): Problem
    {
        $activities = [];
        $links = [];
        $machines = [];
        foreach ($jobs as $j => $row) {
            foreach (array_chunk($row, 2) as $k => $pair) {
                $machines[$pair[0]] = ['id' => 'm'.$pair[0], 'turnover' => $turnover];
                $activities[] = ['id' => "j{$j}o$k", 'duration' => $pair[1] ?? 1, 'needs' => [['from' => ['m'.$pair[0]]]]];
                if ($k > 0) {
                    $links[] = ['from' => "j{$j}o".($k - 1), 'to' => "j{$j}o$k"];
                }
            }
        }

        return (new ProblemReader())->read(
            json_encode(
                [
                    'format' => Problem::FORMAT,
                    'version' => 1,
                    'horizon' => [0, 9000],
                    'resources' => array_values($machines),
                    'activities' => $activities,
                    'links' => $links,
                    'objective' => ['kind' => 'makespan'],
                    ...$change,
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }
}
