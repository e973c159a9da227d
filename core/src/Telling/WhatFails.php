<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What goes wrong without an "if", and what is told to help. */
final class WhatFails
{
    /** "In a hot pot it splits", "it stiffens when it stands: loosen it": what goes wrong, told without an "if". */
    private const FAILS = '/\b(?:it|they|the \p{L}+) (?:splits?|curdles?|burns?|sinks?|collapses?|crumbles?|cracks?|weeps?|seizes?|shrinks?'
        .'|falls? apart|fall apart|boils? over|goes (?:loose|flat|limp|grainy|slimy|gluey|rancid))\b/iu';

    private const STANDS = '/^\W*(?:it|they) (?:thickens?|stiffens?|hardens?|sets?|dries|firms?(?: up)?|gets? thick\p{L}*)\b/iu';

    private const MENDS = '/^\W*(?:so |then |just )?(?:loosen|thin|stir in|dilute|soften|warm|keep .* water|have .* water)\b/i';

    private const ASKED = '/^\W*(?:(?:is|are) (?:it|they) )?(?:still |a little )?too \p{L}+\W*$/iu';

    public static function fails(string $words): bool
    {
        return 1 === preg_match(self::FAILS, $words);
    }

    /** Whether it only changes by standing: it stiffens, it sets. */
    public static function stands(string $words): bool
    {
        return 1 === preg_match(self::STANDS, $words);
    }

    /** Whether it is told behind a piece how to loosen it. */
    public static function isMended(Text $text, int $next): bool
    {
        return 1 === preg_match(self::MENDS, $text->words($next + 1, $next + 4));
    }

    /** "Too stiff?", "Is it too thin?" */
    public static function isAsked(Text $text, int $sentence): bool
    {
        [$from, $to] = $text->sentences[$sentence];

        return $text->is($to, '?') && 1 === preg_match(self::ASKED, $text->words($from, $to));
    }

    /** "It thickens overnight; thin it with milk": the second half. "Too stiff? Hot milk.": the answer. */
    public static function isMending(Text $text, int $sentence): bool
    {
        [$from, $to] = $text->sentences[$sentence];
        $before = $text->sentences[$sentence - 1] ?? null;

        // "If they melt the syrup was too weak; knead in some flour"
        if (null !== $before && $text->is($before[1], ';') && $text->is($before[0], 'if', 'should')) {
            return true;
        }

        if (null !== $before && self::isAsked($text, $sentence - 1)) {
            return true;
        }

        return null !== $before
            && $text->is($before[1], ';')
            && 1 === preg_match(self::MENDS, $text->words($from, min($to, $from + 3)))
            && 1 === preg_match(self::STANDS, $text->words(...$before));
    }
}
