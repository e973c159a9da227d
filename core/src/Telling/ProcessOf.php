<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Which process a verb means, by what it is done to, in what, and what stands in the pot. */
final class ProcessOf
{
    public const SWEET = ['sugar', 'jaggery', 'palm-jaggery', 'date-jaggery', 'powdered-sugar', 'brown-sugar', 'rock-sugar'];

    private const FATS = ['ghee', 'butter', 'frying-oil', 'sesame-oil', 'coconut-oil'];

    /** What is fried by itself in a little fat and joins at the end. */
    private const GARNISHES = ['cashews', 'cashew-pieces', 'almonds', 'raisins', 'pistachios', 'walnuts', 'coconut-slivers', 'gum-crystals',
        'chironji', 'pine-nuts', 'cloves', 'melon-seed'];

    public const SEASONING = ['water', 'lemon', 'citric-acid', 'saffron', 'cardamom', 'cardamom-pods', 'rose-water', 'screwpine-water',
        'salt', 'dry-ginger', 'milk', 'camphor', 'cloves'];

    /** "cook it in two spoons of ghee" */
    private const IT_IN = '/\b(?:it|them|these|this|the (?:batter|dough|mass|mixture|paste|pulp|flour)) in\b/i';

    /** By these words a mass is stirred until it holds together. */
    private const BALL = '/\b(?:leaves? (?:the |its )?(?:side|pan|pot|no film|no)|lets? go|comes? (?:away|off|together)'
        .'|one (?:lump|mass|paste|glossy)|moves as|rolls?\b|rolled|throws? back|shivers|film|fat (?:comes|stands|lets)'
        .'|ghee (?:comes|stands|at)|absorbed|white marks|follows the spoon|sides stand|as one|ball\b|lumps? together|finger|shines|thick'
        .'|heavy|dry)/i';

    private const FIRM_BALL = '/\b(?:leaves? (?:the |its )?(?:side|pan|pot)|lets? go|comes? away|one lump|moves as|throws? back|leave white'
        .'|white marks|can be rolled|rolls between|sides stand|holds its shape|one (?:glossy )?mass|follows the (?:spoon|spatula'
        .'|ladle)|gather it|to a ball|makes? a ball|in a lump|becomes? a lump|one piece)/i';

    /**
     * @param list<string>      $ids   what is named beside the verb
     * @param string            $words of the piece and the signs behind it
     * @param array{bool, bool} $pan   whether fat stands hot in the pan, and deep enough to fry in
     */
    public static function cooking(Action $action, array $ids, string $words, Stream $stream, array $pan, bool $saysStage): ?Process
    {
        $all = [...$stream->holds, ...$ids];
        $isFatOnly = [] !== $ids && [] === array_diff($ids, self::FATS);

        return match ($action) {
            Action::Prepare => Process::Prepare,
            Action::Soak => \in_array('saffron', $ids, true) ? Process::Infuse : Process::Soak,
            Action::Drain => Process::Drain,
            Action::Rinse => Process::Rinse,
            Action::Sieve => Process::Sieve,
            Action::Grind => Process::Grind,
            Action::Mash => Process::Mash,
            Action::Press => 1 === preg_match('/\b(?:tray|plate|mould|tin\b|frame)|\bpress(?:ed)? (?:it |them |the \p{L}+ )'
                .'(?:in|flat|down)\b(?! a cloth)/iu', $words)
                ? Process::Set
                : Process::Press,
            Action::Strain => Process::Strain,
            Action::Knead => Process::Knead,
            Action::Rest => Process::Rest,
            Action::Dry => Process::Dry,
            Action::Parch => Process::Parch,
            // "and roast two minutes more" goes on in the fat that is there.
            Action::Roast => self::roast($ids, $words, $pan[0] || ($stream->isHot && [] !== array_intersect($stream->holds, self::FATS)
                && ([] === $ids || 1 === preg_match('/\b(?:more|another|further)\b/i', $words)))),
            Action::Fry => self::fry($ids, $words, $pan[1]),
            Action::DeepFry => Process::DeepFry,
            Action::ShallowFry => Process::ShallowFry,
            Action::Griddle => Process::Griddle,
            Action::Bloom => Process::Bloom,
            Action::Infuse => \in_array('saffron', $ids, true) || !$stream->isHot ? Process::Infuse : Process::Steep,
            Action::Pressure => Process::Pressure,
            Action::Steam => Process::Steam,
            Action::Melt => match (true) {
                [] !== array_intersect($ids, self::SWEET) => Process::Syrup,
                $isFatOnly => null,
                [] === $ids && [] !== array_intersect($all, self::SWEET) => Process::Syrup,
                default => [] === $ids ? null : Process::Simmer,
            },
            Action::Syrup => Process::Syrup,
            Action::Boil => self::isSyrup($all, $ids) || (self::isSyrup($ids, array_reverse($ids))
                && \in_array('water', $ids, true) && 1 === preg_match('/\bminutes?\b/i', $words)) || (
                    $saysStage
                    && [] !== array_intersect($all, self::SWEET)
                ) ? Process::Syrup : Process::Boil,
            Action::Reduce => Process::Reduce,
            Action::Simmer => match (true) {
                // "cook it in two spoons of ghee"
                $isFatOnly && [] !== $stream->holds
                    && 1 === preg_match(self::IT_IN, $words) => 1 === preg_match(self::FIRM_BALL, $words)
                    ? Process::StirToBall
                    : Process::Roast,
                $isFatOnly, [] === $all && 1 === preg_match('/\b(?:pan|griddle|pot|kadai|oven)\b/i', $words) => null,
                1 === preg_match('/\bcooker\b|\bwhistle/i', $words) => Process::Pressure,
                1 === preg_match('/\bgriddle\b|\btawa\b/i', $words) => Process::Griddle,
                1 === preg_match('/\b(?:cook|boil|simmer|go|come'
                    .'|bring)\p{L}*(?: \p{L}+){0,3} down\b(?! low)/iu', $words) => Process::Reduce,
                $saysStage && [] !== array_intersect($all, self::SWEET), self::isSyrup($all, $ids) => Process::Syrup,
                1 === preg_match(self::FIRM_BALL, $words) => Process::StirToBall,
                default => Process::Simmer,
            },
            Action::Stir => 1 === preg_match(self::BALL, $words) ? Process::StirToBall : Process::Simmer,
            Action::Dip => match (true) {
                // "drop the marbles into the milk": they cook there
                1 === preg_match('/\b(?:into|in) the (?:\p{L}+ )?(?:milk|water)\b/iu', $words) => null,
                1 === preg_match('/\bsyrup\b/i', $words) => Process::Dunk,
                1 === preg_match('/\b(?:oil|fat|ghee)\b/i', $words) || $pan[1] => Process::DeepFry,
                default => null,
            },
            Action::Cool => Process::Cool,
            Action::Chill => Process::Chill,
            Action::Shape => Process::Shape,
            Action::Set => Process::Set,
            Action::Score => Process::Score,
            Action::Cut => Process::Cut,
            Action::Part => Process::Part,
            Action::TurnOut => Process::TurnOut,
            Action::Portion => Process::Portion,
            Action::Coat => Process::Coat,
            Action::Garnish => Process::Garnish,
            default => null,
        };
    }

    /** Whether a sign is that of a mass that holds together. */
    public static function isBall(string $sign): bool
    {
        return 1 === preg_match(self::FIRM_BALL, $sign);
    }

    public static function isFat(string $id): bool
    {
        return \in_array($id, self::FATS, true);
    }

    /** @param list<string> $ids */
    private static function isSpice(array $ids): bool
    {
        $solid = array_diff($ids, self::FATS);

        return [] !== $solid && [] === array_diff($solid, ['cloves', 'cardamom-pods', 'cinnamon', 'fennel', 'cumin', 'mustard-seed',
            'bay-leaf',            'star-anise']);
    }

    /** @param list<string> $ids */
    public static function isGarnish(array $ids): bool
    {
        $solid = array_diff($ids, self::FATS);

        return [] !== $solid && [] === array_diff($solid, self::GARNISHES);
    }

    /** How something waits, by what it is. */
    public static function waiting(?Process $last, bool $isHot, bool $isOff): Process
    {
        return match (true) {
            null === $last => Process::Rest,
            \in_array($last, [Process::Set, Process::Score, Process::TurnOut], true) => Process::Set,
            \in_array($last, [Process::Soak, Process::Rinse], true) => Process::Soak,
            \in_array($last, [Process::Chill], true) => Process::Chill,
            \in_array($last, [Process::Steam, Process::DeepFry], true) => Process::Rest,
            $isHot || $isOff || \in_array($last, [Process::Steep, Process::Merge, Process::Dunk], true) => Process::Steep,
            default => Process::Rest,
        };
    }

    /**
     * @param list<string> $all
     * @param list<string> $ids
     */
    private static function isSyrup(array $all, array $ids): bool
    {
        $sweet = array_intersect($all, self::SWEET);

        return [] !== $sweet
            && [] === array_diff($all, self::SWEET, self::SEASONING)
            && !\in_array('milk', $all, true)
            // Water that is set to boil and sweetened is no syrup yet.
            && !(isset($ids[0]) && 'water' === $ids[0]);
    }

    /** @param list<string> $ids */
    private static function roast(array $ids, string $words, bool $hasFat): Process
    {
        $isInFat = [] !== array_intersect($ids, self::FATS)
            || $hasFat
            || 1 === preg_match('/\bin the same (?:ghee|fat|oil|pan)|\bin (?:ghee|butter|fat)|\bghee\b.*\band roast\b'
                .'|\b(?:fat|ghee) (?:comes|lets|leaves|stands)\b/i', $words);
        if (1 === preg_match('/\bdry\b|\bwithout (?:fat|ghee|oil)\b/i', $words)) {
            return Process::Parch;
        }

        return match (true) {
            $isInFat && self::isSpice($ids) => Process::Bloom,
            $isInFat && self::isGarnish($ids) => Process::FryGarnish,
            $isInFat => Process::Roast,
            default => Process::Parch,
        };
    }

    /** @param list<string> $ids */
    private static function fry(array $ids, string $words, bool $isDeep): Process
    {
        $shaped = '/\b(?:deep(?! (?:brown|gold|red|pink))|hot oil|in oil|loads?|rings|coils|balls|discs|slices|side|turning)\b/i';
        // "fry the slices in two spoons of butter, turning them once"
        $isLittle = 1 === preg_match('/\b(?:spoons?|tablespoons?|little)\b.*\b(?:butter|ghee|oil)\b/i', $words)
            && 1 === preg_match('/\b(?:slices|discs|side|turning)\b/i', $words);
        if ($isDeep || 1 === preg_match($shaped, $words)) {
            return $isLittle && !$isDeep ? Process::ShallowFry : Process::DeepFry;
        }
        // "coconut bits" are a garnish, coconut by itself is roasted.
        $isBits = 1 === preg_match('/\b(?:bits|pieces|slivers|chips)\b/i', $words);

        return match (true) {
            self::isSpice($ids) => Process::Bloom,
            [] === array_diff($ids, self::FATS) && 1 === preg_match('/\bnuts\b/i', $words),
            self::isGarnish($isBits ? array_values(array_diff($ids, ['coconut'])) : $ids),
            ['coconut', 'ghee'] === $ids, ['ghee', 'coconut'] === $ids => Process::FryGarnish,
            default => Process::Roast,
        };
    }
}
