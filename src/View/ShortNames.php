<?php

declare(strict_types=1);

namespace App\View;

/** Names cut to the room there is, and still told apart. */
final class ShortNames
{
    /**
     * @param list<string> $names
     * @param int          $letters there is room for
     *
     * @return array<string, string> by name: its first words; its last words where others begin alike; both where they end alike, too
     */
    public static function of(array $names, int $letters): array
    {
        $names = array_values(array_unique($names));
        $first = array_map(static fn (string $n): string => self::firstWords($n, $letters), $names);
        $short = [];
        foreach ($names as $i => $name) {
            $alike = \count(array_keys($first, $first[$i], true)) > 1;
            $short[$name] = $alike ? self::lastLetters($name, $letters) : $first[$i];
        }
        // "First row, left" and "Second row, left" are told apart by both their ends.
        $times = array_count_values($short);
        foreach ($short as $name => $cut) {
            $short[$name] = $times[$cut] > 1 ? self::bothEnds($name, $letters) : $cut;
        }

        return $short;
    }

    /** As many whole words as there is room for: half a word would not be what is read out; half of it where one alone is too long. */
    private static function firstWords(string $name, int $letters): string
    {
        if (mb_strlen($name) <= $letters) {
            return $name;
        }
        $cut = mb_strrpos(mb_substr($name, 0, $letters), ' ');

        return false === $cut || 0 === $cut
            ? mb_substr($name, 0, $letters - 1).'…'
            : rtrim(mb_substr($name, 0, $cut), ' ,;:').'…';
    }

    private static function bothEnds(string $name, int $letters): string
    {
        $words = preg_split('/[\s,;:]+/u', $name) ?: [$name];
        [$first, $last] = [$words[0], mb_substr(end($words), 0, intdiv($letters, 2))];

        return mb_substr($first, 0, $letters - mb_strlen($last) - 1).'…'.$last;
    }

    private static function lastLetters(string $name, int $letters): string
    {
        if (mb_strlen($name) <= $letters) {
            return $name;
        }
        $end = mb_substr($name, 1 - $letters);
        $cut = mb_strpos($end, ' ');

        return '…'.(false === $cut || $cut === mb_strlen($end) - 1 ? $end : mb_substr($end, $cut + 1));
    }
}
