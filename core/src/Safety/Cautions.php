<?php

declare(strict_types=1);

namespace FeastLadle\Safety;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Danger;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Origin;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Syrup\Sweetener;

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
    private const FAT_SHARE = 0.08;
    private const BOIL_CELSIUS = 92.0;
    private const SCALDS_CELSIUS = 70.0;

    /** A hand that kneads or rolls is burnt from here on; usual advice. */
    private const BURNS_CELSIUS = 55.0;
    private const BY_HAND = [Process::Knead, Process::Shape, Process::Press, Process::Part];

    private const WET_MILK = 0.6;
    private const MUCH_MILK = 0.1;

    public function __construct(private Larder $larder)
    {
    }

    /**
     * @param float|null $emptyKg of the vessel it is in; null where no vessel is chosen yet
     *
     * @return list<Caution>
     */
    public function of(StepFlow $flow, float $liftLimitKg = 20.0, ?float $emptyKg = null): array
    {
        $cautions = [...$this->heat($flow), ...$this->weight($flow, $liftLimitKg, $emptyKg)];
        if (Danger::Lukewarm === $flow->step->process->facts()->danger && $flow->taken->spoils($this->larder)) {
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
        $fat = $flow->gives->freeFatGrams($this->larder) / $mass;
        // A syrup a little above boiling, or anything sweet far above it.
        $burns =
            ($sugar >= self::SUGAR_SHARE && $hottest >= self::SUGAR_CELSIUS)
            || ($sugar >= self::SWEET_SHARE && $hottest >= self::FAT_CELSIUS);
        $isSyrup = $burns && AttentionKind::None !== $step->work->attention->kind;

        $danger = $step->process->facts()->danger;
        // Whether it holds, and what is said then.
        $known = [
            [
                Danger::Pressure === $danger,
                new Caution(
                    Danger::Pressure,
                    'Never fill above the mark, rice and pulse only half; keep the vent clear, and open when the pressure has fallen '.
                        'by itself.',
                ),
            ],
            [
                $isSyrup || Danger::HotSugar === $danger,
                new Caution(Danger::HotSugar, 'Boiling sugar burns deep and sticks. Dry tools, long handle, cold water within reach.'),
            ],
            [
                null !== $step->fryingFat() || Danger::HotFat === $danger || ($fat >= self::FAT_SHARE && $hottest >= self::FAT_CELSIUS),
                new Caution(
                    Danger::HotFat,
                    'Hot fat: nothing wet goes in, nobody reaches over the pan, keep a lid at hand and never water.',
                ),
            ],
            [
                Danger::BoilOver === $danger && $hottest >= self::BOIL_CELSIUS && Flame::None !== $step->work->flame,
                new Caution(
                    Danger::BoilOver,
                    AttentionKind::Watch === $step->work->attention->kind
                        ? 'It climbs fast when it comes to the boil: leave headroom, be there for the first bubbles, then look in.'
                        : 'It climbs fast once it simmers: leave headroom, and stay with it from the first bubbles at the rim.',
                ),
            ],
            [
                Danger::Splash === $danger && $flow->taken->celsius >= self::SCALDS_CELSIUS,
                new Caution(Danger::Splash, 'Hot liquid onto hot grain spits. Long sleeve, pour low and in parts, keep children away.'),
            ],
            [
                \in_array($step->process, self::BY_HAND, true) && $flow->taken->celsius >= self::BURNS_CELSIUS,
                new Caution(
                    Danger::HotDough,
                    'It comes at about {celsius} °C, too hot for bare hands: wait a little, gloves or greased palms, a small piece '
                        .'first.',
                    ['celsius' => round($flow->taken->celsius)],
                ),
            ],
            [
                Flame::None !== $step->work->flame && $this->curdles($flow),
                new Caution(
                    Danger::Curdles,
                    'Dark sugar is sour: into boiling milk it curdles. Take the milk off the flame first, and the dark sugar lukewarm.',
                ),
            ],
            [
                Flame::None !== $step->work->flame
                && $step->process->facts()->isThin()
                && null !== $flow->taken->splitsAbove($this->larder),
                new Caution(Danger::Curdles, 'It splits above {most} °C: keep it below, by the thermometer.', [
                    'most' => round($flow->taken->splitsAbove($this->larder) ?? 0.0),
                ]),
            ],
            [Danger::Spatter === $danger, new Caution(Danger::Spatter, 'The thick mass spits. Cover the arm, use a long spoon.')],
            [
                Danger::Steam === $danger,
                new Caution(Danger::Steam, 'Lift the lid away from you: steam scalds. See that the water below does not run dry.'),
            ],
        ];

        return array_column(array_filter($known, static fn (array $row): bool => $row[0]), 1);
    }

    /** Milk with water in it that boils, and jaggery or the like that is stirred in. */
    private function curdles(StepFlow $flow): bool
    {
        $dark = $milk = 0.0;
        foreach ($flow->taken->grams as $id => $grams) {
            $ingredient = $this->larder->get($id);
            $dark += Sweetener::Jaggery === $ingredient->composition->boilsAs ? $grams : 0.0;
            $milk += Origin::Dairy === $ingredient->caveats->diet && $ingredient->composition->water > self::WET_MILK ? $grams : 0.0;
        }

        return $dark > 0.0 && $milk > self::MUCH_MILK * $flow->taken->massGrams() && $flow->peakCelsius >= self::BOIL_CELSIUS;
    }

    /** @return list<Caution> */
    private function weight(StepFlow $flow, float $limit, ?float $emptyKg): array
    {
        $kg = $flow->taken->massGrams() / 1000 + ($emptyKg ?? 0.0);
        if (null === $flow->step->vessel || $kg <= $limit) {
            return [];
        }

        return [
            new Caution(
                Danger::Lifting,
                null === $emptyKg
                    ? '{kg} kg without the pot: two people lift, or ladle it out. Boiling, only half as much.'
                    : '{kg} kg with the pot: two people lift, or ladle it out. Boiling, only half as much.',
                ['kg' => round($kg)],
            ),
        ];
    }

    /** @return list<Caution> from what goes in here for the first time */
    private function things(StepFlow $flow): array
    {
        $cautions = [];
        foreach ($flow->bowls as $bowl) {
            $ingredient = $this->larder->get($bowl->ingredient);
            foreach ($ingredient->caveats->hazards as $hazard) {
                $cautions[] = match ($hazard) {
                    Danger::Honey => new Caution($hazard, 'No honey for babies under one year.'),
                    Danger::Law => new Caution($hazard, '{name} is restricted by law in some places.', ['name' => $ingredient->name]),
                    Danger::Grade => new Caution($hazard, '{name}: edible grade only.', ['name' => $ingredient->name]),
                    Danger::Unknown => new Caution(
                        $hazard,
                        'Nobody said what is in "{name}": ask before it goes to guests who avoid something.',
                        ['name' => $ingredient->name],
                    ),
                    Danger::Choking => $flow->step->process->facts()->leavesWhole
                        ? new Caution($hazard, 'Whole nuts are not for small children: chop or leave off.')
                        : null,
                    default => null,
                };
            }
        }

        return array_values(array_unique(array_filter($cautions), \SORT_REGULAR));
    }
}
