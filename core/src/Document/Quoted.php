<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** What stands in a document, short enough and safe enough to quote in a fault. */
final class Quoted
{
    /** What stands here, short enough and safe enough to quote. */
    public static function value(mixed $value): string
    {
        return match (true) {
            \is_string($value) => '"'.self::text($value).'"',
            \is_bool($value) => $value ? 'true' : 'false',
            \is_int($value), \is_float($value) => (string) $value,
            \is_array($value) => array_is_list($value) ? 'a list' : 'an object',
            default => 'nothing',
        };
    }

    /** Without control characters, and cut. */
    public static function text(string $text): string
    {
        $text = preg_replace('/[[:cntrl:]]/u', '·', $text) ?? '?';

        return mb_strlen($text) > 40 ? mb_substr($text, 0, 39).'…' : $text;
    }
}
