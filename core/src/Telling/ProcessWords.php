<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** By which words people mean which process: the first pattern that matches decides, so the narrower stand before the wider. */
final class ProcessWords
{
    /** @var list<array{Process, string}> */
    private const WORDS = [
        [Process::Drain, '/^\W*(?:then |now )?drain\b|\bdrain (?:it|them|the|off|well)\b/'],
        [Process::Pressure, '/\bpressure|whistles?\b|\bcooker\b/'],
        [Process::Steam, '/\bsteam(?:ed|ing)? (?:the|them|it|for|in|until|till)\b|^\W*steam\b|\bsteamer\b/'],
        [Process::HotFat, '/\b(?:ladle|pour|add)\b.*\b(?:smoking|hissing|very hot) (?:ghee|oil|fat)\b/'],
        [
            Process::DeepFry,
            '/\bdeep[- ]?fr(?:y|ied|ying)\b|\bfry(?:ing)?\b.*\b(?:hot|medium hot) (?:oil|ghee|fat)\b|\bfr(?:y|ying)\b.*\b(?:balls|coils'
                .'|jalebis?|discs|dumplings|fritters)\b/',
        ],
        [Process::Griddle, '/\bgriddle\b|\btawa\b|\bflat pan\b/'],
        [Process::Dunk, '/\b(?:dip|dunk|drop|put|plunge)\b.*\b(?:in|into) (?:the )?(?:warm |hot |sugar )*syrup\b/'],
        [Process::FryGarnish, '/\bfry(?:ing)?\b/'],
        [
            Process::Merge,
            '/\bpour\b.*\b(?:hot|boiling)\b.*\b(?:over|onto|on to|into|in)\b|\badd (?:the )?(?:hot|boiling) (?:syrup|water|milk)\b/',
        ],
        [Process::Parch, '/\bdry[- ]?roast|\broast(?:ed|ing)?\b.*\bdry\b|\bparch/'],
        [Process::Roast, '/\b(?:roast|toast|brown)(?:ing)?\b(?! (?:semolina|sesame|coconut|nuts|gram|rava)\b.*\bin\b.*\bsyrup)/'],
        [Process::Infuse, '/\b(?:bloom|steep|infuse|soak)(?:ing)?\b.*\b(?:saffron|cardamom pods|strands|threads)\b/'],
        [Process::Bloom, '/\bbloom\b/'],
        [Process::Soak, '/\bsoak|\bin water (?:overnight|for)\b/'],
        [Process::Rinse, '/\b(?:wash|rinse)\b/'],
        [Process::Strain, '/\bstrain\b|\bhang\b.*\b(?:curd|yogh?urt|cloth|muslin)\b|\bfilter\b/'],
        [Process::Press, '/\b(?:squeeze|press)\b.*\b(?:milk|coconut|juice|water)\b|\bextract\b.*\bmilk\b/'],
        [Process::Grind, '/\bgrind|\bblend\b|\bto a (?:smooth |fine )?(?:paste|powder)\b|\bpowder the\b|\bpulse in\b/'],
        [Process::Sieve, '/\bsieve|\bsift/'],
        [
            Process::Syrup,
            '/\b(?:string|thread|ball|crack) (?:consistency|stage|syrup)\b|\b(?:one|two|single|half|1|2)[- ](?:string|thread)s?\b'
                .'|\bsyrup of\b|\b(?:make|prepare|cook|boil) (?:a|the) (?:\w+ )?syrup\b|\b(?:heat|melt|boil|cook)\b.*\b(?:jaggery'
                .'|sugar)\b.*\b(?:sticky|string|thread|syrup|dissolv)|\bsyrup\b.*\bboil/',
        ],
        [
            Process::Reduce,
            '/\breduc|\b(?:comes?|came|go|goes|gone|boil(?:ed)?) down\b|\bthicken(?:s|ed)?\b.*\bmilk\b|\bto (?:a |one )?(?:half|third'
                .'|quarter)\b.*\bvolume\b/',
        ],
        [
            Process::StirToBall,
            '/\bleaves? (?:the )?(?:sides?|pan)|\bcomes? (?:together|away)|\blike a ball\b|\bto a ball\b|\bone lump\b|\bmoves? as one\b/',
        ],
        [
            Process::Steep,
            '/\b(?:switch|turn)(?:ed)? off\b.*\b(?:sit|stand|soak|rest)\b|\bsit in (?:the )?hot\b|\boff the (?:flame|heat)\b.*\b(?:lid'
                .'|cover|stand)\b/',
        ],
        [Process::Chill, '/\b(?:chill|fridge|refrigerat)/'],
        [Process::Cool, '/\bcool(?:s|ed)? ?(?:down|until|till|completely|a little|it|slightly|,|\.|$)|\bto cool\b|\blet it get cold\b/'],
        [Process::Rest, '/\brest\b|\bferment/'],
        [Process::Dry, '/^\W*(?:air[- ]?)?dry (?:the|them|it)\b|\bdry (?:on|in) (?:a |the )?(?:cloth|shade|sun)\b/'],
        [Process::Knead, '/\bknead|\bsoft dough\b/'],
        [Process::Mash, '/\bmash/'],
        [
            Process::Set,
            '/\b(?:greased )?(?:tray|plate|thali|tin)\b.*\b(?:level|pat|set|spread|flat)|\b(?:tip|pour|transfer|spread'
                .'|turn)\b.*\b(?:greased|tray|plate|thali)\b|\bto set\b/',
        ],
        [Process::Cut, '/\bcut\b.*\b(?:into|in|diamonds|squares|pieces)\b|\bslice (?:the|it|into)\b|^\W*cut\b/'],
        [
            Process::Shape,
            '/\b(?:shape|roll|form|pinch|make)\b.*\b(?:balls?|discs?|logs?|rounds?|rolls?|shells?|cups?)\b|\broll (?:it )?out\b'
                .'|\bshape\b/',
        ],
        [Process::Boil, '/\bboil\b|\bboiling\b|\bto a boil\b/'],
        [Process::Simmer, '/\bsimmer|\bcook\b|\bheat\b|\bmelt\b|\bwarm (?:the|it|up)\b/'],
        [Process::Garnish, '/\b(?:garnish|decorate|sprinkle|top (?:it |them )?with|top each)/'],
        [Process::Prepare, '/\b(?:peel|grate|chop|dice|slice|crush|trim|core|shell|skin|deseed|pit|scrape|mince)\b/'],
        [Process::MixIn, '/\b(?:add|mix|stir|fold|combine|beat|whisk|put|pour)\b/'],
        [Process::DishUp, '/\b(?:serve|dish|ladle|offer)\b/'],
    ];

    /** @return array{Process, bool} what is done, and whether a word said so */
    public function find(string $sentence): array
    {
        $plain = mb_strtolower($sentence);
        foreach (self::WORDS as [$process, $pattern]) {
            if (1 === preg_match($pattern, $plain)) {
                return [$process, true];
            }
        }

        return [Process::MixIn, false];
    }
}
