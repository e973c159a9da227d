<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Recipe\Process;
use FeastLadle\Syrup\Sweetener;
use FeastLadle\Words\Sentence;

/** A bowl that was left standing, or of which too much or too little went in. */
final class AmountSlips
{
    /** Below so much of the pot a thing is there for its taste. */
    private const SPICE = 0.02;

    /** Fat to bloom a gram of ground spice in; a kitchen estimate. */
    private const FAT_FOR_SPICE = 5.0;

    private const FAT_STEPS = [...Process::IN_HOT_FAT, Process::Bloom, Process::Roast];

    /** So much more than was meant is tasted, and no more. */
    private const TASTED_ONLY = 1.15;

    /** Beyond so many times all else together it is no longer this sweet. */
    private const MOST_MORE = 1.25;

    /** Grams; less is not weighed out for this. */
    private const WEIGHED = 0.5;

    public static function forgotten(Scene $scene): SlipAnswer
    {
        $thing = $scene->thing($scene->slip->bowl);
        $grams = $scene->grams($scene->slip->bowl);
        if (null === $thing || $grams <= 0) {
            return null === $scene->take($scene->slip->bowl)
                ? SlipAnswer::nothing()->with(self::leave(new Sentence('By the way that was chosen nothing of it goes in here.')))
                : SlipAnswer::nothing()->with(
                    new Way('now', WayKind::Computed, new Sentence('Put it in now, and stir until it is even.'), minutes: 3),
                    self::leave(new Sentence('What it brings is missing.')),
                );
        }
        $answer = SlipAnswer::nothing();
        $adds = [Added::about($thing, $grams)];
        if ($scene->is(...self::FAT_STEPS) && !$thing->composition->isFat()) {
            $ghee = $scene->oneOf('ghee', 'coconut-oil', 'sesame-oil');
            $fat = null === $ghee ? [] : [Added::about($ghee, self::FAT_FOR_SPICE * $grams)];

            return $answer
                ->because(new Sentence('Its scent comes out in fat; stirred in later as it is it stays raw.'))
                ->with(
                    new Way(
                        'aside',
                        WayKind::Computed,
                        new Sentence('Bloom it aside in a little fresh fat, on a low flame, until it smells; then all of it into the pot.'),
                        [...$adds, ...$fat],
                        4,
                        new Sentence('A little more fat than was meant.'),
                    ),
                    self::leave(new Sentence('It tastes plainer.')),
                );
        }
        if (Sweetener::Jaggery === $thing->composition->boilsAs && $scene->pot()->isMilky($scene->larder)) {
            $answer = $answer->saying(new Sentence('Off the flame before it goes in.'));
        }
        $isSugar = $thing->composition->sugar >= 0.6;
        $isRaising = self::isRaising($thing);
        $how = match (true) {
            $isRaising => new Sentence('Stir it into two spoons of what was made, then fold that in at once; no more beating.'),
            $isSugar => new Sentence('Put it in now and stir until not a grain is felt; it loosens what is there.'),
            $grams < self::SPICE * $scene->pot()->massGrams() => new Sentence('Put it in now, last and off the flame.'),
            default => new Sentence('Put it in now, warm, in three parts, and stir until it is even.'),
        };

        return $answer->with(
            new Way('now', WayKind::Computed, $how, $adds, $isSugar ? 5 : 3 + $scene->warmingMinutes($grams)),
            self::leave(match (true) {
                $isRaising => new Sentence('It comes out flat and dense.'),
                $isSugar => new Sentence('It is less sweet, and keeps less long.'),
                default => new Sentence('It tastes plainer.'),
            }),
        );
    }

    public static function tooMuch(Scene $scene): SlipAnswer
    {
        $thing = $scene->thing($scene->slip->bowl);
        $meant = $scene->grams($scene->slip->bowl);
        $went = $scene->slip->grams ?? 2 * $meant;
        if (null === $thing || $meant <= 0) {
            return SlipAnswer::nothing()->with(self::leave(new Sentence('It is stronger than was meant.')));
        }
        $times = $went / $meant;
        $answer = SlipAnswer::nothing()->because(new Sentence('{what}: {times} times what was meant.', [
            'what' => $thing->name,
            'times' => round($times, 1),
        ]));
        if ($times <= self::TASTED_ONLY) {
            return $answer->with(self::leave(new Sentence('Hardly anybody tastes it.')));
        }
        if (self::isWet($thing) && $scene->is(Process::Knead, Process::MixIn, Process::Shape, Process::Merge)) {
            return $answer->because(new Sentence('It is too wet to hold.'))->with(...self::dryAgain($scene, $went - $meant));
        }
        if (self::isWet($thing)) {
            return $answer->with(
                new Way(
                    'boil-off',
                    WayKind::Computed,
                    new Sentence('Boil it off, stirring: the pot is as it was meant when it stands as high as on the stick.'),
                    [],
                    $scene->boilingOffMinutes($went - $meant),
                ),
                self::leave(new Sentence('It stays thinner.')),
            );
        }
        $more = self::restOf($scene, $thing, $times - 1);
        if ($times - 1 <= self::MOST_MORE && [] !== $more) {
            $answer = $answer->with(new Way(
                'ratio',
                WayKind::Computed,
                new Sentence(
                    'More of everything else, cooked as far as this is, so that it tastes as was meant; see that the pot is large enough.',
                ),
                $more,
                $scene->warmingMinutes(array_sum(array_map(static fn (Added $a): float => $a->grams, $more))),
                new Sentence('There is more than was asked for.'),
            ));
        }
        if ($thing->composition->sugar >= 0.6) {
            return $answer->because(new Sentence('Sweeter, softer or stickier than was meant.'))->with(
                new Way(
                    'smaller',
                    WayKind::Smaller,
                    new Sentence('Serve it by the smaller spoon: as much sugar for each guest as was meant.'),
                    loses: new Sentence('The plate looks emptier.'),
                ),
                self::leave(new Sentence('It is very sweet.')),
            );
        }
        $less = new Way('smaller', WayKind::Smaller, new Sentence('Serve less of it beside something mild.'));

        return $answer->with($less, self::leave(new Sentence('It is stronger than was meant.')));
    }

    public static function tooLittle(Scene $scene): SlipAnswer
    {
        $thing = $scene->thing($scene->slip->bowl);
        $missing = $scene->grams($scene->slip->bowl) - ($scene->slip->grams ?? 0.0);
        if (null === $thing || $missing <= 0) {
            return SlipAnswer::nothing()->with(self::leave(new Sentence('Nothing of it is missing.')));
        }

        return SlipAnswer::nothing()->with(
            new Way(
                'rest',
                WayKind::Computed,
                new Sentence('Put in what is missing, and stir until it is even.'),
                [Added::about($thing, $missing)],
                3 + $scene->warmingMinutes($missing),
            ),
            self::leave(new Sentence('There is less of it than was meant.')),
        );
    }

    /**
     * What brings a mass that has too much water back: of its own dry part, as the recipe has them.
     *
     * @return list<Way>
     */
    public static function dryAgain(Scene $scene, float $waterGrams): array
    {
        $wet = 0.0;
        $driest = null;
        foreach ($scene->flow->bowls as $bowl) {
            $is = $scene->larder->get($bowl->ingredient);
            if (self::isWet($is)) {
                $wet += $bowl->grams;
            } elseif (self::isDry($is) && (null === $driest || $bowl->grams > $driest[1])) {
                $driest = [$is, $bowl->grams];
            }
        }
        $ways = [];
        if (null !== $driest && $wet > 0) {
            // As much dry part as the ratio asks, the pot's own fat and salt counted with it; half at first.
            $ratio = $driest[1] / max($wet, 0.4 * $driest[1]);
            $ways[] = new Way(
                'bind',
                WayKind::Computed,
                new Sentence('More of its dry part, the half of it first, the rest by the spoon until it holds again.'),
                [Added::about($driest[0], min(0.6 * $driest[1], $ratio * $waterGrams))],
                5,
                new Sentence('There is more than was asked for.'),
            );
        }
        $ways[] = self::leave(new Sentence('It does not hold its shape.'));

        return $ways;
    }

    public static function isWet(Ingredient $thing): bool
    {
        return $thing->composition->water >= 0.7;
    }

    /** Flour, milk powder and the like. */
    private static function isDry(Ingredient $thing): bool
    {
        $is = $thing->composition;

        return $is->water < 0.2 && $is->fat < 0.5 && $is->sugar < 0.5;
    }

    public static function isRaising(Ingredient $thing): bool
    {
        return \in_array($thing->id, ['baking-soda', 'baking-powder', 'yeast'], true);
    }

    public static function leave(Sentence $loses): Way
    {
        return new Way('leave', WayKind::Leave, new Sentence('Go on as it is.'), loses: $loses);
    }

    /** @return list<Added> of all else that is in the pot, as it came to the kitchen, so many times more */
    private static function restOf(Scene $scene, Ingredient $thing, float $more): array
    {
        $adds = [];
        foreach ($scene->pot()->grams as $id => $grams) {
            if ($id !== $thing->id && $more * $grams >= self::WEIGHED) {
                $adds[] = Added::about($scene->larder->get($id), $more * $grams);
            }
        }

        return $adds;
    }
}
