<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Samples of many unknowns at once: of each unknown every part of its range is tried equally often (Latin hypercube). */
final class Hypercube
{
    /** @return list<list<float>> so many samples of so many numbers from 0 to 1; the same for the same seed */
    public static function samples(int $samples, int $unknowns, int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $columns = [];
        for ($k = 0; $k < $unknowns; ++$k) {
            $columns[] = $random->shuffleArray(range(0, $samples - 1));
        }
        $rows = [];
        for ($i = 0; $i < $samples; ++$i) {
            $row = [];
            foreach ($columns as $column) {
                $row[] = ($column[$i] + $random->getInt(0, 999) / 1000) / $samples;
            }
            $rows[] = $row;
        }

        return $rows;
    }
}
