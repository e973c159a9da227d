<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Recipe\Process;
use FeastLadle\Words\Sentence;

/** Too wet, too dry, and what was left out. */
final class TextureSlips
{
    /** Of a mass that does not hold, the liquid it has too much or too little of; kitchen estimates. */
    private const TOO_WET = 0.03;
    private const TOO_DRY = 0.02;

    /** Hours after which what spoils was too long between cold and hot: the holding clock's 240 minutes. */
    private const TOO_LONG = 4.0;

    /** Of what an unsoaked pulse or grain would have drunk, by its dry weight; a kitchen estimate. */
    private const SOAKS_UP = 1.0;

    public static function tooWet(Scene $scene): SlipAnswer
    {
        $answer = SlipAnswer::nothing()->with(...$scene->rescues());
        if ($scene->is(Process::Grind)) {
            return $answer->because(new Sentence('Its own oil has come out: it is a paste now, and no powder again.'))->with(
                new Way(
                    'paste',
                    WayKind::Leave,
                    new Sentence('Stop the mill. As a paste it goes into something stirred with milk, not into this.'),
                ),
            );
        }
        if ($scene->is(Process::Knead, Process::Shape, Process::MixIn, Process::Merge, Process::Rest)) {
            return $answer->with(...AmountSlips::dryAgain($scene, self::TOO_WET * $scene->pot()->massGrams()));
        }

        return $answer->with(
            new Way(
                'boil-off',
                WayKind::Computed,
                new Sentence('Back on the fire, stirring, until it leaves the sides.'),
                minutes: max(3, $scene->boilingOffMinutes(self::TOO_WET * $scene->pot()->massGrams())),
            ),
            AmountSlips::leave(new Sentence('It stays soft.')),
        );
    }

    public static function tooDry(Scene $scene): SlipAnswer
    {
        $answer = SlipAnswer::nothing();
        if ($scene->is(Process::HotFat)) {
            return $answer
                ->saying(new Sentence('Hot fat spits where anything wet meets it: flame low, at arm\'s length.'))
                ->with(...$scene->rescues())
                ->with(AmountSlips::leave(new Sentence('It is hard, without holes.')));
        }
        if ($scene->is(Process::DeepFry, Process::ShallowFry, Process::FryGarnish, Process::Bloom)) {
            return $answer
                ->saying(new Sentence('Nothing wet goes into the fat: off the flame before anything is changed.'))
                ->with(...$scene->rescues())
                ->with(AmountSlips::leave(new Sentence('It is harder than was meant.')));
        }
        $isFatty = $scene->pot()->waterGrams($scene->larder) < 0.08 * $scene->pot()->massGrams();
        $thin = $isFatty ? $scene->oneOf('ghee', 'coconut-oil', 'sesame-oil') : $scene->oneOf('milk', 'water', 'ghee');
        $answer = $answer->with(...$scene->rescues());
        if (null !== $thin) {
            $answer = $answer->with(new Way(
                'bind',
                WayKind::Computed,
                $isFatty
                    ? new Sentence('Warm fat by the spoon, kneaded in, until a piece holds when it is pressed.')
                    : new Sentence('By the spoon, warm, worked in each time, until it holds without a crack.'),
                [Added::about($thin, self::TOO_DRY * $scene->pot()->massGrams())],
                5,
            ));
        }

        return $answer->with(AmountSlips::leave(new Sentence('It cracks and crumbles.')));
    }

    public static function skipped(Scene $scene): SlipAnswer
    {
        if ($scene->hours() >= self::TOO_LONG && $scene->pot()->spoils($scene->larder)) {
            return SlipAnswer::nothing()
                ->forNobody()
                ->saying(
                    new Sentence(
                        'It stood between cold and hot for {hours} h: heat does not make that good again.',
                        ['hours' => (int) round($scene->hours())],
                    ),
                )
                ->noWay(new Sentence('What grows in that time leaves poisons that the fire does not destroy.'));
        }
        if ($scene->is(Process::Soak)) {
            return self::unsoaked($scene);
        }

        return SlipAnswer::nothing()->with(
            new Way(
                'now',
                WayKind::Computed,
                new Sentence('Do it now, and everything after it waits.'),
                minutes: (int) ceil($scene->step->work->time->likelyMinutes),
            ),
            AmountSlips::leave(new Sentence('What this step does is missing.')),
        );
    }

    private static function unsoaked(Scene $scene): SlipAnswer
    {
        $dry = 0.0;
        foreach ($scene->flow->bowls as $bowl) {
            $dry += AmountSlips::isWet($scene->larder->get($bowl->ingredient)) ? 0.0 : $bowl->grams;
        }
        $water = $scene->larder->get('water');
        $ways = [
            new Way(
                'hot-soak',
                WayKind::Computed,
                new Sentence('A hot, quick soak: boiling water over it, lid on, for a third of the time.'),
                [Added::about($water, 1.5 * $dry)],
                (int) ceil($scene->step->work->time->likelyMinutes / 3),
            ),
            new Way(
                'longer',
                WayKind::Computed,
                new Sentence('Unsoaked into the pot: it drinks more and cooks half as long again.'),
                [Added::about($water, self::SOAKS_UP * $dry)],
                (int) ceil(0.5 * self::softening($scene)),
                new Sentence('The skins may stay tough.'),
            ),
        ];

        return SlipAnswer::nothing()
            ->because(new Sentence('Dry it takes longer, and more water.'))
            ->with(...$ways)
            ->with(AmountSlips::leave(new Sentence('It keeps a hard heart.')));
    }

    private static function softening(Scene $scene): float
    {
        $minutes = 20.0;
        foreach ($scene->dish->batchPlan->ledger->flows as $flow) {
            $minutes = $flow->softens ? max($minutes, (float) $flow->step->work->time->likelyMinutes) : $minutes;
        }

        return $minutes;
    }
}
