<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** Reads the number at the beginning of a text: "2", "1 1/2", "1½", "2.5", "half a", "one and a half", "2-3", "two to three". */
final class QuantityReader
{
    /** @return array{Quantity, string}|null what was read, and the rest of the text; null when no number stands there */
    public function read(string $text): ?array
    {
        $text = trim($text);
        $tokens = Text::of($text);
        $number = Numbers::near($tokens, 0);
        if (null === $number) {
            return null;
        }
        $next = $tokens->at($number->next);

        return [new Quantity($number->from, $number->to), null === $next ? '' : substr($text, $next->start)];
    }
}
