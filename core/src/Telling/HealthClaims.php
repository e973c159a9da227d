<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What a text says that a sweet does for the body. Nobody here can vouch for it, so it is set aside and shown, not taken in. */
final class HealthClaims
{
    private const CLAIM =
        '/\b(?:cures?|curing|heals?|healing|remed(?:y|ies)|medicinal|ayurved\w*|detox\w*|immunity|immune system|weight[- ]loss|lose '
        .'weight'.
        '|an(?:ae|e)mia|cholesterol|blood (?:sugar|pressure)|(?:good|best|great|excellent) for (?:the |your |our )?(?:health|digestion'
        .'|heart|skin'.
        '|eyes?|eyesight|bones?|blood|brain|memory|stomach|liver|joints?|hair|diabet\w+|pregnan\w+)|(?:aids?|helps?|improves?) (?:in '
        .'|with |the '.
        '|your )?(?:digestion|sleep|memory|eyesight|lactation)|prevents? (?:\w+ )?(?:an(?:ae|e)mia|cancer|colds?|coughs?|disease\w*'
        .'|infection\w*)'.
        '|safe for diabet\w+|diabetic)\b/iu';

    /** @return array{stays: string, claims: list<string>} */
    public static function setAside(string $text): array
    {
        $stays = $claims = [];
        foreach (preg_split('/(?<=[.!?])\s+/u', trim($text)) ?: [] as $sentence) {
            if (1 !== preg_match(self::CLAIM, $sentence)) {
                $stays[] = $sentence;
                continue;
            }
            $parts = self::withoutClauses($sentence, $claims);
            if ('' === $parts) {
                $claims[] = $sentence;
            } else {
                $stays[] = $parts;
            }
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
                if (1 !== preg_match(self::CLAIM, $clause)) {
                    return $match[0];
                }
                $found[] = rtrim($clause, '.!?');

                return '';
            },
            $sentence,
        );
        if ([] === $found || 1 === preg_match(self::CLAIM, $left)) {
            return '';
        }
        array_push($claims, ...$found);

        return 1 === preg_match('/[.!?]$/u', $left) ? $left : $left.'.';
    }
}
