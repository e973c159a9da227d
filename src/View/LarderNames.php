<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;

/** All that the larder knows, by name only: to look a thing up that one can't name. */
final class LarderNames
{
    /** @return array<string, list<string>> names by their first letter, both in order */
    public static function byLetter(Larder $larder): array
    {
        $names = array_map(static fn (Ingredient $i): string => $i->name, array_values($larder->all()));
        $order = new \Collator('en');
        usort($names, static fn (string $a, string $b): int => (int) $order->compare($a, $b));
        $letters = [];
        foreach ($names as $name) {
            $letters[mb_strtoupper(mb_substr($name, 0, 1))][] = $name;
        }

        return $letters;
    }
}
