<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** Decodes JSON text within limits of size and depth, so that a hostile file costs little. */
final class JsonText
{
    public const MOST_BYTES = 1_000_000;
    public const DEEPEST = 40;

    /** @throws FaultyDocument when the text is too large, too deep, cut off, not UTF-8 or not an object */
    public static function decode(string $text, string $document, Faults $faults, int $mostBytes = self::MOST_BYTES): Node
    {
        if (\strlen($text) > $mostBytes) {
            throw FaultyDocument::because($document, 'The file is {size} MB; the most that is read is {limit} MB.', [
                'size' => round(\strlen($text) / 1e6, 1),
                'limit' => round($mostBytes / 1e6, 1),
            ]);
        }
        if ('' === trim($text)) {
            throw FaultyDocument::because($document, 'The file is empty.');
        }
        try {
            $value = json_decode($text, true, self::DEEPEST + 1, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw match ($e->getCode()) {
                \JSON_ERROR_DEPTH => FaultyDocument::because($document, 'The file nests deeper than {limit} levels.', [
                    'limit' => self::DEEPEST,
                ]),
                \JSON_ERROR_UTF8 => FaultyDocument::because($document, 'The file holds bytes that are not UTF-8 text.'),
                default => FaultyDocument::because(
                    $document,
                    self::looksCutOff($text)
                        ? 'The file ends in the middle: a bracket or quote is never closed. It was probably cut off.'
                        : 'This is not JSON.',
                ),
            };
        }
        if (!\is_array($value)) {
            throw FaultyDocument::because($document, 'The file must hold one JSON object.');
        }

        $endless = self::endless($value);
        if (null !== $endless) {
            throw new FaultyDocument($document, [new Fault($endless, 'This number is too large to reckon with.')]);
        }

        return Node::root($value, $faults);
    }

    /**
     * JSON may write a number that no computer holds (1e999): it would be infinite from here on.
     *
     * @param array<array-key, mixed> $value
     *
     * @return string|null the pointer of the first such number
     */
    private static function endless(array $value): ?string
    {
        foreach ($value as $key => $item) {
            $inside = match (true) {
                \is_array($item) => self::endless($item),
                \is_float($item) && !is_finite($item) => '',
                default => null,
            };
            if (null !== $inside) {
                return '/'.str_replace(['~', '/'], ['~0', '~1'], (string) $key).$inside;
            }
        }

        return null;
    }

    /** Whether brackets outside strings are still open at the end. */
    private static function looksCutOff(string $text): bool
    {
        $start = ltrim($text)[0] ?? '';
        if ('{' !== $start && '[' !== $start) {
            return false;
        }
        $bare = preg_replace('/"(?:[^"\\\\]|\\\\.)*+"/s', '', $text) ?? '';

        return str_contains($bare, '"')
            || substr_count($bare, '{') > substr_count($bare, '}')
            || substr_count($bare, '[') > substr_count($bare, ']');
    }
}
