<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Document\Node;

/** Instants as they stand in files: ISO 8601 with an offset. */
final class Instants
{
    private const FORM = '/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,6})?)?(Z|[+-]\d\d:\d\d)$/D';

    /** The node's instant; a fault at it, and the epoch, where there is none. */
    public static function of(Node $node, \DateTimeZone $zone): \DateTimeImmutable
    {
        $text = $node->string(null, 40);
        if (1 === preg_match(self::FORM, $text)) {
            try {
                $read = new \DateTimeImmutable($text);
            } catch (\Exception) {
                $read = null;
            }
            // What is no day of the calendar would roll over into the next month.
            if (null !== $read && substr($text, 0, 10) === $read->format('Y-m-d')) {
                return $read->setTimezone($zone);
            }
        }
        if ('' !== $text) {
            $node->fault('"{given}" is no instant; write it like 2031-11-15T11:52:00+05:30.', ['given' => $text]);
        }

        return new \DateTimeImmutable('@0');
    }

    public static function text(\DateTimeImmutable $at, \DateTimeZone $zone): string
    {
        return $at->setTimezone($zone)->format(\DateTimeInterface::ATOM);
    }
}
