<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What a text says that a sweet does for the body. Nobody here can vouch for it, so it is set aside and shown, not taken in. */
final class HealthClaims
{
    /** Alternatives of one pattern. */
    private const CLAIMS = [
        '(?:cures?|heals?|prevents?|treats?|wards? off) (?:\w+ ){0,2}(?:an(?:ae|e)mia|cancer|colds?|coughs?|fevers?|ills?|disease\w*'
            .'|infection\w*)',
        '(?:good|best|great|excellent) for (?:the |your |our )?(?:health|digestion|heart|skin|eyes?|eyesight|bones?|blood|brain|memory)',
        '(?:good|best|great|excellent|safe) for (?:the |your |our )?(?:stomach|liver|joints?|hair|diabet\w+|pregnan\w+|lactation)',
        '(?:aids?|helps?|improves?) (?:in |with |the |your )?(?:digestion|sleep|memory|eyesight|lactation)',
        '(?:boosts?|builds?|strengthens?) (?:the |your )?(?:immunity|immune system|energy)',
        '(?:lowers?|keeps?|controls?) (?:the |your )?(?:cholesterol|blood (?:sugar|pressure))',
        'medicinal|ayurved\w*|detox\w*|weight[- ]loss|lose weight|home remed(?:y|ies)',
    ];

    /** A sentence that begins with an order. */
    private const ORDER = '/^(?:then |now |next |and |you )?(?:add|pour|mix|stir|roast|fry|boil|cook|grind|simmer|soak|knead|shape|roll|set'
        .'|cool|steam|strain|drain|melt|heat|put|tip|take|grate|chop|peel|wash|cut|fold|beat)\b/i';

    public static function isIn(string $words): bool
    {
        return 1 === preg_match(self::pattern(), $words);
    }

    /** @return array{stays: string, claims: list<string>} */
    public static function setAside(string $text): array
    {
        $stays = $claims = [];
        foreach (preg_split('/(?<=[.!?])\s+/u', trim($text)) ?: [] as $sentence) {
            if (1 !== preg_match(self::pattern(), $sentence)) {
                $stays[] = $sentence;
                continue;
            }
            $work = self::withoutClauses($sentence, $claims);
            if ('' === $work) {
                $claims[] = $sentence;
                // What is done is never lost with what is claimed.
                $work = 1 === preg_match(self::ORDER, $sentence) ? $sentence : '';
            }
            $stays[] = $work;
        }

        return ['stays' => trim(implode(' ', array_filter($stays))), 'claims' => $claims];
    }

    /**
     * A sentence that also says what is done, without the clause that claims something.
     *
     * @param list<string> $claims
     *
     * @return string empty where nothing to be done is left
     */
    private static function withoutClauses(string $sentence, array &$claims): string
    {
        $found = [];
        $left = (string) preg_replace_callback(
            '/\s*\(([^()]*)\)|,\s*((?:which|as|since|because|it|this|and it)\b[^,]*)(?=,|[.!?]?$)/iu',
            static function (array $match) use (&$found): string {
                $clause = trim('' !== $match[1] ? $match[1] : $match[2] ?? '');
                if (1 !== preg_match(self::pattern(), $clause)) {
                    return $match[0];
                }
                $found[] = rtrim($clause, '.!?');

                return '';
            },
            $sentence,
        );
        if ([] === $found || 1 === preg_match(self::pattern(), $left)) {
            return '';
        }
        array_push($claims, ...$found);

        return 1 === preg_match('/[.!?]$/u', $left) ? $left : $left.'.';
    }

    private static function pattern(): string
    {
        return '/\b(?:'.implode('|', self::CLAIMS).')\b/iu';
    }
}
