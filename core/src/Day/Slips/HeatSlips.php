<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\Brew;
use FeastLadle\Syrup\Stage;
use FeastLadle\Syrup\Sweetener;
use FeastLadle\Words\Sentence;

/** Too far, too hot, too cold, caught. */
final class HeatSlips
{
    /** °C; from here sugar is brown and stays so. */
    private const BROWNED = 160.0;

    /** °C; fat that smokes here and burns soon after. Kitchen estimates, below what any common frying fat stands. */
    private const SMOKES = 225.0;

    /** °C; above it water flashes to steam where it is poured. */
    private const FLASHES = 120.0;

    /** °C; frying fat is ready from here on. */
    private const FRIES = 160.0;

    /** °C; sugar stirred into fat and flour above it melts. */
    private const SUGAR_MELTS_IN = 45.0;

    /** What of a pot that caught is left behind with its bottom. */
    private const LEFT_BEHIND = 0.07;

    private const FAT = [...Process::IN_HOT_FAT, Process::Bloom];

    public static function wentPast(Scene $scene): SlipAnswer
    {
        $target = $scene->step->work->target;
        if (TargetKind::Stage === $target->kind || null !== $scene->slip->stage) {
            return self::syrup($scene);
        }
        $share = $scene->slip->share;
        if (null !== $share) {
            $gone = max(
                0.0,
                $scene->flow->gives->volumeMl($scene->larder) / max(1.0, $scene->flow->taken->volumeMl($scene->larder)) - $share,
            );
            $thin = $scene->oneOf('milk', 'water');
            $grams = $gone * $scene->flow->taken->volumeMl($scene->larder);

            return SlipAnswer::nothing()
                ->because(new Sentence('Thicker, darker and less than was meant.'))
                ->with(
                    ...[...$scene->rescues(), ...(null === $thin ? [] : [
                        new Way(
                            'loosen',
                            WayKind::Computed,
                            new Sentence('Loosen it hot, in three parts, and bring it just to a simmer.'),
                            [Added::about($thin, $grams)],
                            3 + $scene->warmingMinutes($grams),
                            new Sentence('A cooked taste stays.'),
                        ),
                    ]), AmountSlips::leave(new Sentence('It is thicker, and there is less of it.'))],
                );
        }

        return self::tooHot($scene);
    }

    private static function syrup(Scene $scene): SlipAnswer
    {
        $celsius = $scene->slip->celsius;
        $said = Stage::tryFrom($scene->slip->stage ?? '');
        $answer = SlipAnswer::nothing()->saying(new Sentence('Flame off first.'));
        if ('caramel' === $scene->slip->stage || (null !== $celsius && $celsius >= self::BROWNED)) {
            return $answer
                ->because(new Sentence('It is brown and bitter-sweet; what it was to become it can no longer be.'))
                ->noWay(new Sentence('Brown sugar does not turn white again.'))
                ->with(
                    new Way(
                        'caramel',
                        WayKind::Leave,
                        new Sentence('Go on as it is only where a brown, slightly bitter sweet is welcome.'),
                        loses: new Sentence('Colour and taste are those of caramel.'),
                    ),
                );
        }
        $wanted = Stage::tryFrom($scene->step->work->target->stage->value ?? '')?->aimRise();
        $factor = $scene->pot()->riseFactor($scene->larder);
        $past = $said?->aimRise() ?? (null === $celsius ? null : $celsius - $scene->kitchen->climate->boilingCelsius());
        $sugar = $scene->pot()->syrupSolidsGrams($scene->larder);
        if (null === $wanted || null === $past || $past <= $wanted || $sugar <= 0) {
            return $answer->with(...$scene->rescues())->with(AmountSlips::leave(new Sentence('It is close to what was meant.')));
        }
        $isJaggery = $factor > 1.05;
        $brew = new Brew(
            $isJaggery ? Sweetener::Jaggery : Sweetener::Sugar,
            $sugar / ($isJaggery ? Sweetener::Jaggery : Sweetener::Sugar)->solidsShare(),
            0.0,
        );
        $water = $brew->waterBackGrams($past, $wanted);
        $how = 100 + $past > self::FLASHES
            ? new Sentence('Hot water by the spoon, long sleeve, nobody above the pot; then on a low flame until it is clear.')
            : new Sentence('Hot water off the flame, in two pours; then on a low flame until it is clear, and try again.');
        $back = new Way(
            'water-back',
            WayKind::Computed,
            $how,
            [Added::about($scene->larder->get('water'), $water)],
            3 + $scene->warmingMinutes($water),
        );

        return $answer
            ->because(new Sentence('It has too little water left: it would set harder than was meant.'))
            ->with(...$scene->rescues())
            ->with($back, AmountSlips::leave(new Sentence('It sets hard, or grains.')));
    }

    public static function tooHot(Scene $scene): SlipAnswer
    {
        $celsius = $scene->slip->celsius ?? 0.0;
        if ($scene->is(...self::FAT)) {
            if ($celsius >= self::SMOKES) {
                return SlipAnswer::nothing()
                    ->saying(
                        new Sentence('Flame off, lid on, it stays where it stands. Nobody near it. If it burns: Stop, and never water.'),
                    )
                    ->because(new Sentence('Fat that has smoked is not fried in again.'))
                    ->with(
                        new Way(
                            'fresh',
                            WayKind::Computed,
                            new Sentence('Leave it under its lid until it is cold; go on in a clean pan with fresh fat.'),
                            minutes: 25,
                        ),
                    );
            }
            $minutes = (int) max(2, ceil(($celsius - 175) / 6));

            return SlipAnswer::nothing()
                ->saying(new Sentence('Flame off. The pan is not moved: it cools where it stands.'))
                ->with(...$scene->rescues())
                ->with(
                    new Way(
                        'cool-down',
                        WayKind::Computed,
                        new Sentence('Wait, or ladle cold fat of the same kind in at the edge; try one piece before the rest.'),
                        minutes: $minutes,
                    ),
                );
        }
        $isDark = $scene->pot()->riseFactor($scene->larder) > 1.02 || isset($scene->flow->bases['jaggery-syrup']);
        if (null !== $scene->pot()->splitsAbove($scene->larder) || ($isDark && $scene->pot()->isMilky($scene->larder))) {
            return SlipAnswer::nothing()
                ->saying(new Sentence('Off the flame at once.'))
                ->noWay(new Sentence('What has split does not join again; it can only be disguised.'))
                ->with(...$scene->rescues())
                ->with(
                    new Way(
                        'whisk',
                        WayKind::Computed,
                        new Sentence(
                            'Whisk hard off the flame, a spoon of starch in cold milk for each litre; below 80 °C from here on.',
                        ),
                        minutes: 5,
                        loses: new Sentence('It stays a little grainy.'),
                    ),
                    AmountSlips::leave(new Sentence('It is grainy, and safe to eat.')),
                );
        }
        $isSweet = $scene->pot()->sugarGrams($scene->larder) > 0.1 * $scene->pot()->massGrams();
        if ($isSweet && $celsius > self::SUGAR_MELTS_IN && $scene->is(Process::MixIn)) {
            return SlipAnswer::nothing()
                ->because(new Sentence('Sugar in a hot mass melts, runs and sets hard.'))
                ->with(...$scene->rescues())
                ->with(
                    new Way(
                        'spread',
                        WayKind::Computed,
                        new Sentence(
                            'Spread it thin to cool to hand-warm, then rub it through a sieve; a spoon of warm fat where it does not bind.',
                        ),
                        minutes: 40,
                        loses: new Sentence('Firmer, less fine.'),
                    ),
                    AmountSlips::leave(new Sentence('It sets as a slab: cut it in place of rolling.')),
                );
        }

        return SlipAnswer::nothing()
            ->saying(new Sentence('Flame off first.'))
            ->with(...$scene->rescues())
            ->with(
                new Way(
                    'cool-down',
                    WayKind::Computed,
                    new Sentence('Let it come down, stirring, before anything else goes in.'),
                    minutes: 5,
                ),
                AmountSlips::leave(new Sentence('It is darker.')),
            );
    }

    public static function tooCold(Scene $scene): SlipAnswer
    {
        if ($scene->is(...self::FAT)) {
            $celsius = $scene->slip->celsius ?? 120.0;

            return SlipAnswer::nothing()
                ->because(new Sentence('In fat that is too cold things drink it and fall apart.'))
                ->with(...$scene->rescues())
                ->with(
                    new Way(
                        'wait',
                        WayKind::Computed,
                        new Sentence('Lift out what is in, wait until it is hot again, then fewer at a time.'),
                        minutes: (int) max(2, ceil((self::FRIES - $celsius) / 12)),
                    ),
                );
        }
        if ($scene->is(Process::Cut, Process::Part, Process::Score, Process::Shape)) {
            return SlipAnswer::nothing()
                ->because(new Sentence('It has set too far to be cut or shaped as it is.'))
                ->with(...$scene->rescues())
                ->with(
                    new Way(
                        'warm',
                        WayKind::Computed,
                        new Sentence(
                            'Warm the tray from below, over hot water, until the edge gives; cut at once with a warm, greased knife.',
                        ),
                        minutes: 8,
                    ),
                    AmountSlips::leave(new Sentence('It breaks in shards.')),
                );
        }
        $thin = $scene->oneOf('water', 'milk');

        return SlipAnswer::nothing()
            ->because(new Sentence('Where one side is cold, lumps form and the grain does not swell through.'))
            ->with(...$scene->rescues())
            ->with(
                new Way(
                    'warm-up',
                    WayKind::Computed,
                    new Sentence(
                        'Lid on, lowest flame; press the lumps flat against the wall while it warms, or all of it through a coarse sieve.',
                    ),
                    null === $thin ? [] : [Added::about($thin, 0.03 * $scene->pot()->massGrams())],
                    6 + $scene->warmingMinutes(0.3 * $scene->pot()->massGrams()),
                ),
                AmountSlips::leave(new Sentence('It stays lumpy.')),
            );
    }

    public static function caught(Scene $scene): SlipAnswer
    {
        $left = self::LEFT_BEHIND * $scene->pot()->massGrams();

        return SlipAnswer::nothing()
            ->saying(new Sentence('Flame off. The bottom is not touched.'))
            ->because(new Sentence('What was near the bottom tastes of smoke, and goes on doing so in the pot it is in.'))
            ->with(...$scene->rescues())
            ->with(
                new Way(
                    'pour-over',
                    WayKind::Computed,
                    new Sentence(
                        'Pour the upper part into a clean pot, without scraping; smell a spoonful. About {grams} g stay behind.',
                        ['grams' => (int) round($left)],
                    ),
                    [],
                    6,
                    new Sentence('There is less of it.'),
                ),
                new Way('smaller', WayKind::Smaller, new Sentence('Serve what is clean by a smaller spoon.')),
                new Way('smoky', WayKind::Leave, new Sentence('Go on as it is, only where the spoonful does not smell of smoke.')),
            );
    }
}
