<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\HttpFoundation\InputBag;

/** A form of the cooking day as an event: its fields are named as the log names them; the log's reader says what is wrong with them. */
final class SaidInForm
{
    private const TEXTS = [
        'by', 'kind', 'step', 'event', 'way', 'what', 'person', 'vessel', 'until', 'from', 'moment', 'time', 'slip', 'stage', 'dish',
        'group', 'thing', 'ingredient', 'with',
    ];
    private const NUMBERS = ['bowl', 'part', 'mark', 'before', 'grams', 'celsius', 'share', 'mm', 'served', 'count', 'day'];
    private const FLAGS = ['taken', 'offered', 'reserve', 'refilled', 'givenUp'];

    /**
     * @param InputBag<string> $said
     *
     * @return array<string, string|int|float|bool> without what was left empty
     */
    public static function event(InputBag $said, \DateTimeImmutable $now): array
    {
        $event = ['id' => $said->getString('client'), 'at' => $now->format(\DATE_ATOM)];
        foreach (self::TEXTS as $field) {
            $event[$field] = $said->getString($field);
        }
        $event = array_filter($event, static fn (string $text): bool => '' !== $text);
        foreach (self::NUMBERS as $field) {
            if ('' !== $said->getString($field)) {
                $event[$field] = self::number($said->getString($field));
            }
        }
        foreach (self::FLAGS as $field) {
            if ('' !== $said->getString($field)) {
                $event[$field] = true;
            }
        }

        return $event;
    }

    /** What can't be read as a number is left to the reader of events, which says so at its place. */
    private static function number(string $text): int|float|string
    {
        $plain = str_replace(',', '.', $text);

        return match (true) {
            1 === preg_match('/^-?\d{1,9}$/D', $plain) => (int) $plain,
            is_numeric($plain) => (float) $plain,
            default => $text,
        };
    }
}
