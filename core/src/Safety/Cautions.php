<?php

declare(strict_types=1);

namespace FeastLadle\Safety;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Diet;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;

/**
 * The cautions of a step, from what is done in it and from what is really in the vessel: they can't be forgotten by whoever
 * wrote the recipe. Usual kitchen cautions; local food codes, fire rules and licensed practice come first.
 */
final readonly class Cautions
{
    /** Above this a syrup is far hotter than boiling water, and sticks. */
    private const SUGAR_CELSIUS = 103.0;
    private const SUGAR_SHARE = 0.55;
    private const SWEET_SHARE = 0.3;
    private const FAT_CELSIUS = 115.0;
    private const FAT_SHARE = 0.12;
    private const BOIL_CELSIUS = 92.0;

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Caution> */
    public function of(StepFlow $flow, float $liftLimitKg = 20.0): array
    {
        $cautions = [...$this->heat($flow), ...$this->weight($flow, $liftLimitKg)];
        if (\in_array($flow->step->process, [Process::Cool, Process::Chill], true) && $this->spoils($flow)) {
            $cautions[] = new Caution(
                Danger::Lukewarm,
                'Milk and starch must not stand lukewarm: through 60 to 21 °C within two hours, cold within four more. Local food '.
                    'rules come first.',
            );
        }

        return [...$cautions, ...$this->things($flow)];
    }

    /** @return list<Caution> */
    private function heat(StepFlow $flow): array
    {
        $step = $flow->step;
        $mass = max(1.0, $flow->gives->massGrams());
        $hottest = max($flow->peakCelsius, $flow->gives->celsius);
        $sugar = $flow->gives->sugarGrams($this->larder) / $mass;
        $fat = $flow->gives->fatGrams($this->larder) / $mass;
        // A syrup a little above boiling, or anything sweet far above it.
        $burns =
            ($sugar >= self::SUGAR_SHARE && $hottest >= self::SUGAR_CELSIUS)
            || ($sugar >= self::SWEET_SHARE && $hottest >= self::FAT_CELSIUS);
        $isSyrup = $burns && AttentionKind::None !== $step->attention->kind;

        return array_values(
            array_filter([
                Process::Pressure === $step->process
                    ? new Caution(
                        Danger::Pressure,
                        'Never fill above the mark, keep the vent clear, and open only when the pressure has fallen by itself.',
                    )
                    : null,
                $isSyrup || Process::Syrup === $step->process
                    ? new Caution(
                        Danger::HotSugar,
                        'Boiling sugar burns deep and sticks. Dry tools, long handle, cold water within reach.',
                    )
                    : null,
                null !== $step->fryingFat()
                || Process::FryGarnish === $step->process
                || Process::HotFat === $step->process
                || ($fat >= self::FAT_SHARE && $hottest >= self::FAT_CELSIUS)
                    ? new Caution(
                        Danger::HotFat,
                        'Hot fat: nothing wet goes in, nobody reaches over the pan, keep a lid at hand and never water.',
                    )
                    : null,
                \in_array($step->process, [Process::Boil, Process::Reduce, Process::Simmer], true)
                && $hottest >= self::BOIL_CELSIUS
                && Flame::None !== $step->flame
                    ? new Caution(Danger::BoilOver, 'It climbs fast once it simmers. Leave headroom and do not turn away.')
                    : null,
                Process::Merge === $step->process && $flow->taken->celsius >= 70
                    ? new Caution(
                        Danger::Splash,
                        'Hot liquid onto hot grain spits. Long sleeve, pour low and in parts, keep children away.',
                    )
                    : null,
                Process::StirToBall === $step->process
                    ? new Caution(Danger::Splash, 'The thick mass spits. Cover the arm, use a long spoon.')
                    : null,
                Process::Steam === $step->process
                    ? new Caution(Danger::Steam, 'Lift the lid away from you: steam scalds. See that the water below does not run dry.')
                    : null,
            ]),
        );
    }

    /** @return list<Caution> */
    private function weight(StepFlow $flow, float $limit): array
    {
        $kg = $flow->taken->massGrams() / 1000;

        return null !== $flow->step->vessel && $kg > $limit
            ? [
                new Caution(Danger::Lifting, '{kg} kg without the pot: two people lift, or ladle it out. Boiling, only half as much.', [
                    'kg' => round($kg),
                ]),
            ]
            : [];
    }

    /** @return list<Caution> from what goes in here for the first time */
    private function things(StepFlow $flow): array
    {
        $cautions = [];
        foreach ($flow->bowls as $bowl) {
            $ingredient = $this->larder->get($bowl->ingredient);
            $cautions[] = match (true) {
                Diet::Animal === $ingredient->diet && 'honey' === $ingredient->id => new Caution(
                    Danger::Honey,
                    'No honey for babies under one year.',
                ),
                'poppy-seed' === $ingredient->id => new Caution(Danger::Law, 'Poppy seed is restricted by law in some places.'),
                \in_array($ingredient->id, ['camphor', 'silver-leaf'], true) => new Caution(
                    Danger::Grade,
                    '{name}: edible grade only.',
                    [
                        'name' => $ingredient->name,
                    ],
                ),
                \in_array($flow->step->process, [Process::FryGarnish, Process::Garnish, Process::MixIn], true)
                    && \in_array($ingredient->id, ['cashews', 'almonds', 'peanuts', 'pistachios', 'walnuts'], true) => new Caution(
                        Danger::Choking,
                        'Whole nuts are not for small children: chop or leave off.',
                    ),
                default => null,
            };
        }

        return array_values(array_unique(array_filter($cautions), \SORT_REGULAR));
    }

    private function spoils(StepFlow $flow): bool
    {
        foreach (array_keys($flow->taken->grams) as $id) {
            $ingredient = $this->larder->get($id);
            if ((Diet::Dairy === $ingredient->diet && $ingredient->composition->water > 0.2) || null !== $ingredient->cooked) {
                return true;
            }
        }

        return false;
    }
}
