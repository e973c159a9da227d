<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Recipe\Process;
use FeastLadle\Words\Sentence;

/** One thing in place of another, at the wrong time, or that has no business there. Who may eat it is said first. */
final class WrongThing
{
    /** From so much of the pot on salt is no seasoning. */
    private const SALTED = 0.012;

    /** Sugar beyond this share of the water keeps grain hard. */
    private const GRAIN_STAYS_HARD = 0.1;

    public static function swapped(Scene $scene): SlipAnswer
    {
        $with = self::given($scene);
        $meant = $scene->thing($scene->slip->bowl);
        $grams = $scene->slip->grams ?? $scene->grams($scene->slip->bowl);
        if (null === $with || null === $meant) {
            return SlipAnswer::nothing()->with(AmountSlips::leave(new Sentence('It is another thing than was meant.')));
        }
        $answer = self::eaters($scene, $with)->because(new Sentence('{with} went in, {grams} g, in place of {meant}.', [
            'with' => $with->name,
            'grams' => (int) round($grams),
            'meant' => $meant->name,
        ]));
        if ('salt' === $with->id && $grams > self::SALTED * $scene->pot()->massGrams()) {
            return self::salted($answer);
        }
        if (AmountSlips::isWet($with) && AmountSlips::isWet($meant) && $scene->flow->softens) {
            return self::milkFirst($scene, $answer, $grams);
        }
        $missing = new Way('rest', WayKind::Computed, new Sentence('What was meant goes in as well, by taste of what is there.'), [
            Added::about($meant, $scene->grams($scene->slip->bowl)),
        ], 3);
        $isBody = $grams > 0.2 * $scene->pot()->massGrams();

        return $isBody
            ? $answer->with(
                AmountSlips::leave(
                    new Sentence('It is another sweet: it binds, swells and browns as {with} does.', ['with' => $with->name]),
                ),
            )
            : $answer->with($missing, AmountSlips::leave(new Sentence('It tastes of {with}.', ['with' => $with->name])));
    }

    public static function outOfOrder(Scene $scene): SlipAnswer
    {
        $early = $scene->thing($scene->slip->bowl);
        if (!$scene->is(Process::DeepFry, Process::ShallowFry) && ($scene->flow->softens || $scene->pot()->holdsGrain($scene->larder))) {
            $water = $scene->larder->get('water');
            $grams = 0.25 * $scene->pot()->waterGrams($scene->larder);

            return SlipAnswer::nothing()
                ->because(new Sentence('Grain grows soft in water alone; what is thick or sweet keeps it hard and catches.'))
                ->with(
                    new Way(
                        'thin',
                        WayKind::Computed,
                        new Sentence(
                            'Thin it with hot water, lowest flame, stir along the bottom, until a grain is soft between two fingers.',
                        ),
                        [Added::about($water, $grams)],
                        20 + $scene->warmingMinutes($grams),
                        new Sentence('Longer, and it must be reduced again.'),
                    ),
                    AmountSlips::leave(new Sentence('The grain keeps a hard heart.')),
                );
        }

        return SlipAnswer::nothing()->with(
            new Way(
                'on',
                WayKind::Computed,
                new Sentence('Put the other in now, in three parts, stirring; look for lumps and press them flat.'),
                minutes: 4,
            ),
            AmountSlips::leave(
                null === $early ? new Sentence('It may be lumpy.') : new Sentence(
                    '{what} was in too early: its scent is weaker.',
                    ['what' => $early->name],
                ),
            ),
        );
    }

    public static function somethingElse(Scene $scene): SlipAnswer
    {
        $thing = self::given($scene);
        if (null === $thing) {
            return SlipAnswer::nothing()->with(AmountSlips::leave(new Sentence('Nobody knows what it was.')));
        }
        $grams = $scene->slip->grams ?? 0.0;
        if (AmountSlips::isWet($thing) && $scene->is(Process::Bloom, ...Process::IN_HOT_FAT)) {
            return SlipAnswer::nothing()
                ->saying(new Sentence('Step back, flame off. Nobody leans over it until it has stopped spitting.'))
                ->with(
                    new Way(
                        'wait',
                        WayKind::Computed,
                        new Sentence('Wait until it is quiet; heat it slowly again, everything that goes in dry.'),
                        minutes: 6,
                    ),
                );
        }
        if ('salt' === $thing->id && $grams > self::SALTED * $scene->pot()->massGrams()) {
            return self::salted(SlipAnswer::nothing());
        }
        $answer = self::eaters($scene, $thing);
        $water = $scene->pot()->waterGrams($scene->larder);
        $starchy = $scene->pot()->starchShare($scene->larder) > 0.02;
        $grain = $scene->flow->softens || ($starchy && !$scene->is(Process::MixIn, Process::DishUp));
        if ($thing->composition->sugar >= 0.6 && $grain && $grams > self::GRAIN_STAYS_HARD * $water) {
            $more = max(0.0, $grams / self::GRAIN_STAYS_HARD - $water);

            return $answer->because(new Sentence('With sugar about it grain hardly grows soft any more.'))->with(
                new Way(
                    'thin',
                    WayKind::Computed,
                    new Sentence('More hot water or milk, lid ajar, low, until it is soft; then reduce it again.'),
                    [Added::about($scene->larder->get('water'), min($more, 0.4 * $scene->pot()->massGrams()))],
                    25 + $scene->warmingMinutes($more),
                    new Sentence('A little firmer than was meant.'),
                ),
                AmountSlips::leave(new Sentence('It keeps a hard heart.')),
            );
        }

        return $answer->with(AmountSlips::leave(new Sentence('It tastes of {with}.', ['with' => $thing->name])));
    }

    private static function milkFirst(Scene $scene, SlipAnswer $answer, float $grams): SlipAnswer
    {
        return $answer->because(new Sentence('In milk grain grows soft late, settles and catches.'))->with(
            new Way(
                'thin',
                WayKind::Computed,
                new Sentence(
                    'Hot water to it, lowest flame, never leave it, until a grain is soft; the milk that comes later is less by as much.',
                ),
                [Added::about($scene->larder->get('water'), 0.35 * $grams)],
                20 + $scene->warmingMinutes(0.35 * $grams),
                new Sentence('Longer on the fire; it may catch.'),
            ),
            AmountSlips::leave(new Sentence('The grain keeps a hard heart.')),
        );
    }

    private static function salted(SlipAnswer $answer): SlipAnswer
    {
        return $answer
            ->forNobody()
            ->because(
                new Sentence(
                    'So much salt makes ill. Look at the jar it came from, and at every bowl measured from that jar.',
                ),
            )
            ->noWay(new Sentence('Salt does not leave a pot.'));
    }

    /** Whom a thing may hurt is said before anything else; nothing is picked out of a pot. */
    private static function eaters(Scene $scene, Ingredient $thing): SlipAnswer
    {
        $has = [];
        foreach (array_keys($scene->pot()->grams) as $id) {
            array_push($has, ...$scene->larder->get($id)->caveats->allergens);
        }
        $new = array_values(array_diff($thing->caveats->allergens, $has));
        if ([] === $new) {
            return SlipAnswer::nothing();
        }

        return SlipAnswer::nothing()->saying(new Sentence(
            '{what} is in it now: this pot goes to nobody who avoids {allergens}. Write it on the pot; tell who serves.',
            ['what' => $thing->name, 'allergens' => implode(', ', $new)],
        ));
    }

    private static function given(Scene $scene): ?Ingredient
    {
        $id = $scene->slip->ingredient;

        return null !== $id && $scene->larder->knows($id) ? $scene->larder->get($id) : null;
    }
}
