<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Recipe\Process;
use FeastLadle\Words\Sentence;

/** Lost, touched, or fallen into. */
final class LostSlips
{
    /** What is soft and comes out whole. Of anything else it is taken that it cuts or breaks a tooth: what it may have reached goes. */
    private const SOFT = '/\b(hair|leaf|leaves|petal|thread|husk|straw|feather|fly|moth|ant|ants)\b/i';

    public static function spilt(Scene $scene): SlipAnswer
    {
        $share = $scene->slip->share ?? 0.1;
        $adds = [];
        foreach ($scene->flow->bowls as $bowl) {
            $adds[] = Added::about($scene->larder->get($bowl->ingredient), $share * $bowl->grams);
        }
        $answer = SlipAnswer::nothing()->saying(
            new Sentence(
                'What boils over may drown the flame while the gas flows on: shut it, air the room, wait, then light again.',
            ),
            new Sentence('The floor is hot and slippery: nobody walks there until it is wiped.'),
        );
        if ([] !== $adds) {
            $answer = $answer->with(new Way(
                'top-up',
                WayKind::Computed,
                new Sentence('Fill up by the same share of each, and bring it back to where it was.'),
                $adds,
                $scene->warmingMinutes($share * $scene->pot()->massGrams()) + 2,
            ));
        }

        return $answer->with(
            new Way(
                'smaller',
                WayKind::Smaller,
                new Sentence('Serve what is left: {percent} of 100 of each portion.', ['percent' => (int) round(100 * (1 - $share))]),
            ),
            AmountSlips::leave(new Sentence('The last guests may go without.')),
        );
    }

    public static function dropped(Scene $scene): SlipAnswer
    {
        $share = $scene->slip->share ?? 1.0;
        $kept = (int) round(100 * (1 - $share));
        $answer = SlipAnswer::nothing()->saying(
            new Sentence(
                'What touched the floor is not eaten. Where something broke, splinters fly far: every open pot and bowl nearby goes, too.',
            ),
        );

        return $kept <= 0 ? $answer : $answer->with(
            new Way(
                'smaller',
                WayKind::Smaller,
                new Sentence('Serve what is left: {percent} of 100 of each portion.', ['percent' => $kept]),
            ),
        );
    }

    public static function touched(Scene $scene): SlipAnswer
    {
        return SlipAnswer::nothing()
            ->because(new Sentence('By the custom of most houses what was tasted is not offered; what the house does counts.'))
            ->with(
                new Way(
                    'apart',
                    WayKind::Computed,
                    new Sentence('Offer from a batch or a pot that nobody has touched: set a bowl of it aside, covered, now.'),
                    minutes: 2,
                ),
                AmountSlips::leave(new Sentence('Where the house allows it, nothing is lost.')),
            );
    }

    public static function foreign(Scene $scene): SlipAnswer
    {
        $what = $scene->slip->what ?? '';
        $near = array_map(static fn (string $v): string => $scene->kitchen->vessels[$v]->name ?? $v, $scene->slip->near);
        if (1 !== preg_match(self::SOFT, $what)) {
            $answer = SlipAnswer::nothing()
                ->saying(new Sentence('Glass, metal or whatever else is hard: nobody eats from what stood open near it.'))
                ->forNobody()
                ->noWay(new Sentence('No sieve and no eye finds every splinter.'));

            return [] === $near ? $answer : $answer->because(new Sentence('With it go: {pots}.', ['pots' => implode(', ', $near)]));
        }
        $answer = SlipAnswer::nothing()->because(
            new Sentence('Out with it and what clings to it, with a clean spoon; wash hands, tie hair and sleeves.'),
        );
        if ($scene->is(...Process::IN_HOT_FAT)) {
            $answer = $answer->saying(new Sentence('Flame off before anybody reaches over the fat.'));
        }

        return $answer->with(AmountSlips::leave(new Sentence('Where the house minds it, this pot is not offered.')));
    }
}
