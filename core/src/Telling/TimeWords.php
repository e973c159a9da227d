<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** How long, as people say it: "10 to 12 minutes", "half an hour", "overnight", "an hour or so". */
final class TimeWords
{
    private const OVERNIGHT = 480.0;

    /** @return array{float, float}|null least and most minutes */
    public function find(string $text): ?array
    {
        $plain = mb_strtolower($text);
        if (str_contains($plain, 'overnight')) {
            return [self::OVERNIGHT, self::OVERNIGHT];
        }
        $number =
            '(?:\d+(?:[.,]\d+)?(?:\s+\d\/\d)?|½|¼|¾|\d+\s*[½¼¾]|a few|half an?|half|an?|one|two|three|four|five|six|seven|eight'
                .'|nine|ten|twelve|fifteen|twenty|thirty|forty(?:[- ]five)?|fifty|sixty|ninety)';
        // "every few minutes" and "now and then" are no length.
        if (
            1 !==
            preg_match(
                '/(?<!every )(?<!each )('.
                    $number.
                    ')(?:\s*(?:-|–|to|or)\s*('.
                    $number.
                    '))?\s*(?:more |full |good )?(sec(?:ond)?s?|min(?:ute)?s?|mins|hours?|hrs?)\b/u',
                $plain,
                $match,
            )
        ) {
            return null;
        }
        $unit = match (true) {
            str_starts_with($match[3], 'sec') => 1 / 60,
            str_starts_with($match[3], 'h') => 60.0,
            default => 1.0,
        };
        $from = $this->number($match[1]) * $unit;
        $to = '' === $match[2] ? $from : $this->number($match[2]) * $unit;

        return [$from, max($from, $to)];
    }

    private function number(string $said): float
    {
        $said = trim($said);
        $words = [
            'a few' => 3.0,
            'half an' => 0.5,
            'half a' => 0.5,
            'half' => 0.5,
            'sixty' => 60.0,
            'ninety' => 90.0,
            'forty five' => 45.0,
            'forty-five' => 45.0,
        ];

        return $words[$said] ?? ((new QuantityReader())->read($said)[0]->from ?? 1.0);
    }
}
