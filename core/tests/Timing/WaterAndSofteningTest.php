<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Timing;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Batch\SteamWater;
use FeastLadle\Cards\Card;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\CardStep;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Timing\Fire;
use FeastLadle\Timing\SteepingTime;
use FeastLadle\Timing\StepTimer;
use FeastLadle\Vessel\Vessel;
use PHPUnit\Framework\TestCase;

/** Water set by pot and fire, and grain that softens slower in thin air and faster in a big pot. */
final class WaterAndSofteningTest extends TestCase
{
    public function testWaterIsNotMultipliedButFollowsThePotAndItsFires(): void
    {
        $kitchen = Shipped::temple();
        $planned = $this->pudding($kitchen);
        $bowl = $planned->bowls['cook'][0];
        $pot = $planned->batchPlan->potOfStep()['cook'];
        $timer = new StepTimer($kitchen, Shipped::larder());
        $flow = $planned->batchPlan->ledger->flow('cook');
        $off = [];
        foreach ($kitchen->burners as $burner) {
            // At the simmer by the recipe; the warming before gives off no steam.
            $minutes = $timer->told($flow, $pot, $planned->scale());
            self::assertNotNull($minutes);
            $fire = $timer->fire($flow, $pot, $planned->scale(), $burner);
            $off[] = (($minutes->exact * 60 * $timer->onFire->netKw($flow, $pot, $fire)) / 2257) * 1000;
        }

        self::assertSame(125.0, $bowl->boilsOffAsWritten);
        // What the recipe's ring boils off in its 28 minutes by the law is 147 g; the cook measured 125.
        self::assertEqualsWithDelta(((array_sum($off) / \count($off)) * 125) / 147, $bowl->boilsOff, 0.02 * $bowl->boilsOff);
        self::assertEqualsWithDelta((450 - 125) * $planned->scale() + $bowl->boilsOff, $bowl->exactGrams, 1e-6);
        self::assertLessThan(450 * $planned->scale(), $bowl->exactGrams);
        self::assertEqualsWithDelta($bowl->boilsOff, $flow->waterOff, 1e-6, 'what is put in for the steam goes off as steam');
    }

    public function testWeakerFiresWantLessWaterAndTheDishStaysTheSame(): void
    {
        $weak = $this->kitchen([
            '/burners/0/kilowatts' => 3,
            '/burners/1/kilowatts' => 3,
            '/burners/2/kilowatts' => 3,
            '/burners/3/kilowatts' => 3,
        ]);

        self::assertLessThan(
            $this->pudding(Shipped::temple())->bowls['cook'][0]->boilsOff,
            $this->pudding($weak)->bowls['cook'][0]->boilsOff,
        );
        self::assertEqualsWithDelta(
            $this->pudding(Shipped::temple())->batchPlan->ledger->yieldGrams(),
            $this->pudding($weak)->batchPlan->ledger->yieldGrams(),
            1.0,
        );
    }

    public function testGrainAtTheOpenBoilTakesLongerInThinAirAndOnlyThat(): void
    {
        $sea = $this->kitchen(['/altitudeM' => 0]);
        $high = $this->kitchen(['/altitudeM' => 1500]);
        $minutes = function (Kitchen $kitchen, string $step): float {
            $planned = $this->pudding($kitchen);
            $timer = new StepTimer($kitchen, Shipped::larder());

            return $timer->told(
                $planned->batchPlan->ledger->flow($step),
                $planned->batchPlan->potOfStep()[$step] ?? null,
                $planned->scale(),
            )->exact ?? 0.0;
        };
        self::assertEqualsWithDelta(1.415, ThinAir::factor(95.0), 0.001, 'thirty minutes at the sea are forty-two at 1500 m');
        self::assertEqualsWithDelta(28.0, $minutes($sea, 'cook'), 0.02);
        self::assertEqualsWithDelta(28.0 * ThinAir::factor($high->climate->boilingCelsius()), $minutes($high, 'cook'), 1e-6);
        // The pulse is soft by then; sweetening it takes what it takes.
        self::assertEqualsWithDelta($minutes($sea, 'sweeten'), $minutes($high, 'sweeten'), 1e-6);
    }

    public function testABigPotStaysHotAndSteepsShorter(): void
    {
        $kitchen = Shipped::temple();
        $flow = Ledger::follow(Shipped::recipe('sago-milk'), Shipped::larder(), 1.0, 1, Climate::usual())->flow('pearls');
        self::assertTrue($flow->softens);
        $factors = [];
        foreach ([1.0, 4.0, 16.0] as $scale) {
            $factors[] = SteepingTime::factor(
                20.0,
                $flow->taken->share($scale),
                $this->snugPot($flow->taken->share($scale)),
                $scale,
                $kitchen,
                Shipped::larder(),
            );
        }
        self::assertEqualsWithDelta(1.0, $factors[0], 0.03, 'the amount as written, in a pot to match');
        self::assertLessThan($factors[0], $factors[1]);
        self::assertLessThan($factors[1], $factors[2]);
        self::assertGreaterThan(0.75, $factors[2]);
        $wide = SteepingTime::factor(20.0, $flow->taken, $kitchen->vessels['great-pot'], 1.0, $kitchen, Shipped::larder());
        self::assertGreaterThan(1.05, $wide, 'a little in a great pot cools as it stands');
    }

    public function testSteamingWaterIsAsDeepAsTheVesselWantsItAndNeverRunsDry(): void
    {
        $steamer = Shipped::temple()->vessels['steamer'];
        $short = SteamWater::under($steamer, 60.0, 5.4);
        $long = SteamWater::under($steamer, 400.0, 5.4);

        // π × 26² cm² × 6 cm.
        self::assertEqualsWithDelta(12.74, $short->litres, 0.01);
        self::assertSame(0.0, $short->topUpLitres);
        self::assertEqualsWithDelta($long->litres, $short->litres, 1e-9, 'the minutes do not change how deep it stands');
        self::assertEqualsWithDelta(
            400 / $long->lastsMinutes,
            ($long->topUpLitres + 0.75 * $long->litres) / (0.75 * $long->litres),
            1e-6,
        );
        self::assertGreaterThan($long->lastsMinutes, SteamWater::under($steamer, 400.0, 2.0)->lastsMinutes);
        self::assertSame(\INF, SteamWater::under($steamer, 10.0, 0.0)->lastsMinutes);
    }

    public function testTheCardsSayTheSteamingWater(): void
    {
        $cards = CardMaker::cards((new QuantityPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), Shipped::temple()));
        $steps = array_merge(...array_map(static fn (Card $c): array => $c->steps, $cards));
        $steaming = array_values(array_filter($steps, static fn (CardStep $s): bool => null !== $s->steamWater));

        self::assertCount(1, $steaming);
        self::assertSame('steam', $steaming[0]->step->id);
        self::assertEqualsWithDelta(12.74, $steaming[0]->steamWater->litres ?? 0, 0.01);
    }

    public function testALidGoesOnWhatLosesMostOfItsHeatButNeverOnMilk(): void
    {
        $kitchen = Shipped::temple();
        $timer = new StepTimer($kitchen, Shipped::larder());
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen);
        $covered = [];
        foreach ($plan->steps as $step) {
            if ($step->lid) {
                $covered[$step->key->step] = true;
                self::assertTrue(
                    $step->step->process->facts()->cap->maybeCovered()
                        || !$step->dish->batchPlan->ledger->flow($step->step->id)->taken->isMilky(Shipped::larder()),
                    $step->activity,
                );
            }
        }
        self::assertArrayHasKey('syrup', $covered, 'the syrup for the balls, in its wide pot');
        $home = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());
        foreach ($home->steps as $step) {
            self::assertFalse($step->lid && 'basundi' === $step->key->dish, 'milk is watched, not covered');
        }
        // The syrup's own pot and fire: it does not get there open by half the time.
        $flow = $plan->quantities->dishes['balls']->batchPlan->ledger->flow('syrup');
        $pot = $plan->quantities->dishes['balls']->batchPlan->potOfStep()['syrup'];
        self::assertTrue($timer->onFire->wantsLid($flow, $pot, new Fire($kitchen->burners['fire-1'], $flow->step->work->flame)));
    }

    public function testWhatStandsInThePotSaysHowMuchHeatItTakes(): void
    {
        $of = static fn (string $recipe, string $step): HeatCap => Ledger::follow(
            Shipped::recipe($recipe),
            Shipped::larder(),
            1.0,
            1,
            Climate::usual(),
        )
            ->flow($step)
            ->heatCap(Shipped::larder());
        self::assertSame(HeatCap::Milk, $of('basundi', 'boil'));
        self::assertSame(HeatCap::Milk, $of('basundi', 'reduce'));
        self::assertSame(HeatCap::Water, $of('millet-cups', 'water'), 'water with a little ghee and salt is boiled, not milk');
        self::assertSame(HeatCap::ThickPudding, $of('pineapple-kesari', 'merge'));
        self::assertSame([HeatCap::Milk, HeatCap::ThickMilk, HeatCap::MilkMass], array_map(HeatCap::ofMilk(...), [0.249, 0.25, 0.38]));
        self::assertSame([14.0, 10.0, 6.0], array_map(static fn (float $s): float => HeatCap::ofMilk($s)->kwPerM2(), [0.12, 0.3, 0.5]));
    }

    private function pudding(Kitchen $kitchen): PlannedDish
    {
        return (new QuantityPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen)->dishes['pudding'];
    }

    /** @param array<string, mixed> $changes */
    private function kitchen(array $changes): Kitchen
    {
        return (new KitchenReader())->read(Document::changed(Shipped::document('kitchens/tamarind-ghat'), $changes));
    }

    /** A light pot that it fills as high as wide. */
    private function snugPot(Contents $contents): Vessel
    {
        $width = 1000 * ((4 * $contents->volumeMl(Shipped::larder())) / 1e6 / \M_PI) ** (1 / 3);
        $document = Document::changed(Shipped::document('kitchens/tamarind-ghat'), [
            '/vessels/4/shape' => ['form' => 'straight', 'diameterMm' => round($width, 1), 'heightMm' => round($width, 1)],
            '/vessels/4/emptyKg' => 0.1,
        ]);

        return (new KitchenReader())->read($document)->vessels['small-pot'];
    }
}
