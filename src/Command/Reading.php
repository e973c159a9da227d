<?php

declare(strict_types=1);

namespace App\Command;

use FeastLadle\Document\FaultyDocument;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** What commands that read a document share: the file, and how its faults are told. */
final class Reading
{
    /** Exit status for a file that is not a valid document. */
    public const NOT_VALID = 2;

    /** Larger files are refused before they are read into memory. */
    private const MOST_BYTES = 64_000_000;

    /** @throws FaultyDocument when there is no such file, or it is too large */
    public static function file(string $path, string $document): string
    {
        $size = is_file($path) ? filesize($path) : false;
        if (false === $size) {
            throw FaultyDocument::because($document, 'There is no file {path}.', ['path' => $path]);
        }
        if ($size > self::MOST_BYTES) {
            throw FaultyDocument::because($document, 'The file is {size} MB; the most that is read is {limit} MB.', [
                'size' => round($size / 1e6, 1),
                'limit' => self::MOST_BYTES / 1e6,
            ]);
        }
        $text = @file_get_contents($path);

        return false === $text ? throw FaultyDocument::because($document, 'The file {path} cannot be read.', ['path' => $path]) : $text;
    }

    /** Every fault on standard error, a line each, its pointer first. */
    public static function tell(FaultyDocument $faulty, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        foreach ($faulty->faults as $fault) {
            $errors->writeln((string) $fault, OutputInterface::OUTPUT_RAW);
        }

        return self::NOT_VALID;
    }
}
