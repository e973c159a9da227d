<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** Pieces whose first words alone tell what they are for: what one sees, what went wrong, what others say. */
final class SeenOrSaid
{
    private const KINDS = [
        // "soft enough to mash between the fingers"
        ['/^\W*(?:and )?(?:soft|thick|stiff|firm|cool|dry|thin|hot|smooth|fine) enough (?:to|that)\b/i', FragmentKind::Done],
        // "an hour, soft but whole"
        ['/^\W*(?:and )?(?:soft|tender|golden|crisp|smooth|fluffy|thick|translucent)(?: (?:but|and|not|all|right) [\p{L} ]+)?\W*$/iu',
            FragmentKind::Done],
        // "thick like jam", "as fine as the stone will go"
        ['/^\W*(?:and )?(?:thick|soft|thin|stiff|crisp|smooth|clear|light) (?:like|as) /i', FragmentKind::Done],
        ['/^\W*(?:and )?as (?:fine|thin|smooth|small|dry|thick|soft) as /i', FragmentKind::Done],
        // "with too little alum it is just sweet paste"
        ['/^\W*with(?:out| too| no) .*\b(?:it|they) (?:is|are|becomes?|gets?|turns?|will|stays?|goes|tastes?)\b/i', FragmentKind::Wrong],
        // "a wet finger comes away clean when they are done"
        ['/\b(?:when|once) (?:it is|it\'s|they are|they\'re) (?:done|ready|right|cooked)\W*$/i', FragmentKind::Done],
        // "by morning it has doubled", "it will drink up the curd"
        ['/^\W*by (?:the )?(?:morning|evening|then|noon|now) (?:it|they)\b/i', FragmentKind::OnTheWay],
        ['/^\W*(?:it|they)(?:\'ll| will) (?:drink|soak|swallow|swell|rise|sink|spit|foam|bubble|puff|shrink|wrinkle|float|look|seem|curdle'
            .'|crackle|loosen|give)\b/i', FragmentKind::OnTheWay],
        ['/^\W*(?:it|they) (?:thickens?|stiffens?|firms?|sets?|hardens?) .*\b(?:while|when|as) (?:it |they )?(?:stand|stands|standing|cool'
            .'|cools|cooling|rests|resting)\W*$/i', FragmentKind::OnTheWay],
        // "flat cakes mean the batter was cold"
        ['/\bmeans? (?:that )?(?:the|your|it|you|there)\b.*\b(?:was|were|is|had|too|not)\b/i', FragmentKind::Wrong],
        // "to a deep brown"
        ['/^\W*(?:and )?(?:to|into) an? (?:\p{L}+ ){0,2}(?:brown|gold|golden|red|amber|pink|paste|foam|crust)\W*$/iu', FragmentKind::Done],
        // "brown spots", "the edges brown"
        ['/^\W*(?:with )?(?:brown|golden|dark|red) (?:spots|patches|specks|edges|dots|freckles|all over|on both sides|on all sides)\W*$/i',
            FragmentKind::Done],
        // "it must not crack when you press it"
        ['/^\W*(?:it|they) (?:must|should|may) not (?:crack|tear|split|crumble|break|stick|fall apart|leave)\b/i', FragmentKind::Done],
        // "when they burst the dough was too dry"
        ['/^\W*(?:when|where) .*\b(?:was|were|is|has been) too \p{L}+\W*$/iu', FragmentKind::Wrong],
        ['/^\W*the \p{L}+ (?:was|were) too \p{L}+\W*$/iu', FragmentKind::Wrong],
        // "strain it if there's grit": when it is done, not what went wrong
        ['/^\W*if (?:there\'?s|there is|there are|you see|you find|it has) (?:any |some )?(?:grit|dirt|sand|scum|stones|husks?)\b/i',
            FragmentKind::Aside],
        // "depends on you": nothing that is done
        ['/^\W*(?:depends on|as you like|to taste|if you like|if you want)\b/i', FragmentKind::Aside],
        // "Molten jaggery burns worse than oil"
        ['/\b(?:worse|hotter|faster|better|more|sooner) than \p{L}+\W*$/iu', FragmentKind::Aside],
    ];

    /** @param string $behind the words that follow */
    public static function of(string $words, string $behind = ''): ?FragmentKind
    {
        // "when the filling comes through, the dough was too stiff"
        if (1 === preg_match('/^\W*(?:when|where) /i', $words)
            && 1 === preg_match('/^\W*(?:then )?(?:the|your) \p{L}+ (?:was|were) too \p{L}+/iu', $behind)) {
            return FragmentKind::Wrong;
        }
        foreach (self::KINDS as [$pattern, $kind]) {
            if (1 === preg_match($pattern, $words)) {
                return $kind;
            }
        }

        return null;
    }
}
