<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** Writes a document as it is stored: readable signs, 1.0 stays 1.0, and bytes that are no text do not stop it. */
final class JsonWriter
{
    private const FLAGS = \JSON_THROW_ON_ERROR
        | \JSON_UNESCAPED_UNICODE
        | \JSON_UNESCAPED_SLASHES
        | \JSON_PRESERVE_ZERO_FRACTION
        | \JSON_INVALID_UTF8_SUBSTITUTE;

    /** @param array<array-key, mixed> $document */
    public static function write(array $document): string
    {
        return json_encode($document, self::FLAGS);
    }

    /**
     * The same in lines, for whoever reads it.
     *
     * @param array<array-key, mixed> $document
     */
    public static function lines(array $document): string
    {
        return json_encode($document, self::FLAGS | \JSON_PRETTY_PRINT);
    }
}
