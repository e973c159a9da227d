<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/** The values of a message template, in the form that strtr() and translators take. */
final class Placeholders
{
    /**
     * @param array<string, string|int|float> $values keyed by placeholder, without braces
     *
     * @return array<string, string> keyed "{placeholder}"
     */
    public static function of(array $values): array
    {
        $placeholders = [];
        foreach ($values as $name => $value) {
            $placeholders['{'.$name.'}'] = (string) $value;
        }

        return $placeholders;
    }
}
