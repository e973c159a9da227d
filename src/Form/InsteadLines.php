<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\DataTransformerInterface;

/**
 * What a house takes instead, one to a line: "sugar: jaggery × 1.1, darker".
 *
 * @implements DataTransformerInterface<mixed, string>
 */
final readonly class InsteadLines implements DataTransformerInterface
{
    private const LINE = '/^(?<for>[^:]*?)\s*:\s*(?<by>[^\s×*,]+)(?:\s*[×x*]\s*(?<ratio>\d+(?:[.,]\d+)?))?\s*(?:,\s*(?<caution>.*))?$/u';

    public function transform(mixed $value): string
    {
        $lines = [];
        foreach (\is_array($value) ? $value : [] as $row) {
            if (\is_array($row)) {
                $lines[] = self::text($row, 'for').(isset($row['ingredient']) ? ': '.self::text($row, 'ingredient') : '')
                    .(isset($row['ratio']) ? ' × '.self::text($row, 'ratio') : '')
                    .(isset($row['caution']) ? ', '.self::text($row, 'caution') : '');
            }
        }

        return implode("\n", $lines);
    }

    /** @return list<array<string, string|float>> a line that is none of this is kept as it was typed, for the reader to say so */
    public function reverseTransform(mixed $value): array
    {
        $rows = [];
        foreach (preg_split('/\R/u', \is_string($value) ? $value : '') ?: [] as $line) {
            $line = trim($line);
            if ('' === $line) {
                continue;
            }
            $rows[] = 1 === preg_match(self::LINE, $line, $found)
                ? array_filter([
                    'for' => $found['for'],
                    'ingredient' => $found['by'],
                    'ratio' => '' === ($found['ratio'] ?? '') ? '' : (float) str_replace(',', '.', $found['ratio']),
                    'caution' => trim($found['caution'] ?? ''),
                ], static fn (string|float $v): bool => '' !== $v)
                : ['for' => $line];
        }

        return $rows;
    }

    /** @param array<mixed> $row */
    private static function text(array $row, string $key): string
    {
        return \is_scalar($row[$key] ?? null) ? (string) $row[$key] : '';
    }
}
