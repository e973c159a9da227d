<?php

declare(strict_types=1);

namespace App\Export;

/** Rows as comma-separated values that a spreadsheet takes as they are. */
final class Csv
{
    /** @param list<list<string|int|float|null>> $rows */
    public static function of(array $rows): string
    {
        $file = fopen('php://temp', 'r+');
        if (false === $file) {
            throw new \RuntimeException('No memory for the table.');
        }
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::plain(...), $row), escape: '');
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /** A spreadsheet must not take a name for a formula. */
    private static function plain(string|int|float|null $value): string|int|float|null
    {
        return \is_string($value) && 1 === preg_match('/^[=+\-@\t\r]/', $value) ? "'".$value : $value;
    }
}
