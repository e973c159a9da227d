<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** Reads the number at the beginning of a text: "2", "1 1/2", "1½", "2.5", "half a", "one and a half", "2-3", "two to three". */
final class QuantityReader
{
    private const FRACTIONS = [
        '½' => 0.5,
        '¼' => 0.25,
        '¾' => 0.75,
        '⅓' => 1 / 3,
        '⅔' => 2 / 3,
        '⅛' => 0.125,
        '⅜' => 0.375,
        '⅝' => 0.625,
        '⅞' => 0.875,
    ];

    private const WORDS = [
        'a' => 1,
        'an' => 1,
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
        'fifteen' => 15,
        'twenty' => 20,
        'thirty' => 30,
        'forty' => 40,
        'fifty' => 50,
        'hundred' => 100,
    ];

    private const PARTS = [
        'half' => 0.5,
        'quarter' => 0.25,
        'third' => 1 / 3,
        'three quarters' => 0.75,
        'three-quarters' => 0.75,
        'two thirds' => 2 / 3,
        'two-thirds' => 2 / 3,
    ];

    /** Larger numbers are slips of the pen. */
    private const LARGEST = 1_000_000.0;

    /** @return array{Quantity, string}|null what was read, and the rest of the text; null when no number stands there */
    public function read(string $text): ?array
    {
        $text = ltrim($text);
        $text = (string) preg_replace('/^(about|around|roughly|nearly|approximately|approx\.?|some|say|~)\s*/i', '', $text);
        $first = $this->number($text);
        if (null === $first) {
            return null;
        }
        [$from, $rest] = $first;
        if (1 === preg_match('/^\s*(?:-|–|—|to|or)\s*(.*)$/isu', $rest, $match)) {
            $second = $this->number($match[1]);
            if (null !== $second && $second[0] > $from) {
                return [new Quantity($from, $second[0]), ltrim($second[1])];
            }
        }

        return [new Quantity($from, $from), ltrim($rest)];
    }

    /** @return array{float, string}|null */
    private function number(string $text): ?array
    {
        $fractions = implode('', array_keys(self::FRACTIONS));
        $read = match (true) {
            1 === preg_match('#^(\d+)\s+(\d+)\s*[/⁄]\s*(\d+)(.*)$#su', $text, $m) => [(float) $m[1] + self::ratio($m[2], $m[3]), $m[4]],
            1 === preg_match('#^(\d+)\s*[/⁄]\s*(\d+)(.*)$#su', $text, $m) => [self::ratio($m[1], $m[2]), $m[3]],
            1 === preg_match('/^(\d+)\s*(['.$fractions.'])(.*)$/su', $text, $m) => [(float) $m[1] + self::FRACTIONS[$m[2]], $m[3]],
            1 === preg_match('/^(['.$fractions.'])(.*)$/su', $text, $m) => [self::FRACTIONS[$m[1]], $m[2]],
            1 === preg_match('/^(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?(.*)$/su', $text, $m) => [
                (float) (str_replace(',', '', $m[1]).'.'.('' === $m[2] ? '0' : $m[2])),
                $m[3],
            ],
            default => $this->words($text),
        };

        return null === $read || $read[0] > self::LARGEST || $read[0] <= 0 ? null : $read;
    }

    /** @return array{float, string}|null */
    private function words(string $text): ?array
    {
        foreach (self::PARTS as $part => $value) {
            if (1 === preg_match('/^(?:(?:a|one)\s+)?'.$part.'\b(?:\s+of)?(?:\s+an?\b)?(.*)$/isu', $text, $m)) {
                return [$value, $m[1]];
            }
        }
        if (1 !== preg_match('/^([a-z]+)\b(.*)$/isu', $text, $m) || !isset(self::WORDS[strtolower($m[1])])) {
            return null;
        }
        $number = (float) self::WORDS[strtolower($m[1])];
        $rest = $m[2];
        foreach (self::PARTS as $part => $value) {
            // "one and a half", and, with the unit between, "a cup and a half" is left to the line.
            if (1 === preg_match('/^\s+and\s+(?:a\s+)?'.$part.'\b(.*)$/isu', $rest, $and)) {
                return [$number + $value, $and[1]];
            }
        }

        return [$number, $rest];
    }

    private static function ratio(string $over, string $under): float
    {
        return 0.0 === (float) $under ? 0.0 : (float) $over / (float) $under;
    }
}
