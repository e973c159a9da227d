<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Standing;

use FeastLadle\Explaining\FuelTally;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\CoolsHere;
use FeastLadle\Flow\Exemption;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\Holds;
use FeastLadle\Standing\Place;
use FeastLadle\Standing\Readings;
use FeastLadle\Standing\Waiting;
use FeastLadle\Standing\Walk;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\TestCase;

/** What stands where, how warm, and whether it may still be eaten; expected values worked out by hand. */
final class StandingTest extends TestCase
{
    /** Sixty litres in a pot of 45 cm, filled 38 cm high, need 7.2 h from 95 to 60 °C in a kitchen of 28. */
    public function testABigPotOfThinMilkCoolsForHours(): void
    {
        $milk = Contents::of('milk', 60_000 / 0.971, 95);
        $pot = new Vessel('pot', 'Pot', VesselKind::Pot, StraightShape::round(450, 400), Metal::Aluminium, 5.0);
        $tau = (new CoolsHere(Shipped::larder()))->tauMinutes($milk, $pot);
        self::assertEqualsWithDelta(7.2 * 60, $tau * log((95 - 28) / (60 - 28)), 20);
    }

    public function testWhatIsThickCoolsSlowerAndInTwoVesselsFaster(): void
    {
        $cools = new CoolsHere(Shipped::larder());
        $pot = new Vessel('pot', 'Pot', VesselKind::Pot, StraightShape::round(300, 300), Metal::Aluminium, 3.0);
        $thin = Contents::of('milk', 10_000, 95);
        $thick = Contents::of('milk', 20_000, 95)->withWaterOff(10_000);
        self::assertGreaterThan(1.5 * $cools->tauMinutes($thin, $pot), $cools->tauMinutes($thick, $pot));
        self::assertLessThan($cools->tauMinutes($thin, $pot), $cools->tauMinutes($thin, $pot, 2));
        // Balls of 25 g: r 17.8 mm, ρ 1.06, c 3.6: ρc · r/3 · (1/10 + r/(5 · 0.55)) / 60.
        self::assertEqualsWithDelta(40, $cools->tauMinutes($thick->share(0.1)->withPieces(40), null), 2);
    }

    public function testBetweenTwoWarmthsTheLawOfCoolingIsWalked(): void
    {
        $readings = Readings::between(0, 88, 30, 58, 28);
        self::assertSame([10.0, 20.0], array_column($readings, 'minute'));
        // 60 K above the room halve in thirty minutes: 60 · 2^(−1/3) = 47.6 K.
        self::assertEqualsWithDelta(75.6, $readings[0]->celsius, 0.05);
        self::assertEqualsWithDelta(40.0, Readings::between(0, 20, 20, 60, 28)[0]->celsius, 1e-9, 'straight where it is warmed');
    }

    public function testWhatIsDrySweetOrFatNeedsNoClock(): void
    {
        $larder = Shipped::larder();
        $recipe = Shipped::recipe('basundi');
        $short = new Recipe(
            $recipe->slug, $recipe->name, '', $recipe->serving, $recipe->portion, 120, $recipe->steps, $recipe->lastStep, $recipe->way,
        );
        $of = static fn (Contents $c, bool $heated = true): ?Exemption => Exemption::of($c, $short, $heated, $larder);
        $syrup = static fn (float $water): Contents => Contents::of('sugar', 669, 20)->plus(Contents::of('water', $water, 20), $larder);
        // At one string a_w is 0.851: not yet; a little stronger, it is.
        self::assertNull($of($syrup(331)));
        self::assertSame(Exemption::Sweet, $of($syrup(300)));
        self::assertSame(Exemption::Fat, $of(Contents::of('ghee', 500, 20)));
        self::assertSame(Exemption::Dry, $of(Contents::of('cashews', 500, 20)));
        self::assertSame(Exemption::NeverHeated, $of(Contents::of('milk', 500, 20), false));
        self::assertNull($of(Contents::of('milk', 500, 20)));
        self::assertSame(Exemption::Claim, Exemption::of(Contents::of('milk', 500, 20), $recipe, true, $larder));
    }

    public function testWhatStandsTooLongIsNotInTimeThoughItIsReady(): void
    {
        $plan = $this->jalebi(30);
        self::assertSame([], $plan->obstacles);
        self::assertFalse($plan->isLate());
        self::assertSame([], $plan->clocks);
        $late = $this->jalebi(600);
        self::assertCount(1, $late->clocks);
        self::assertSame(ObstacleKind::Clock, $late->clocks[0]->kind);
        self::assertFalse($late->isOnTime(), 'it is ready, and nobody should eat of it four hours later');
    }

    public function testWhatStaysHotOnAFreeFireIsPartOfThePlanAndItsFuelIsCounted(): void
    {
        $document = ['dishes' => [['id' => 'it', 'recipe' => 'pulse-coconut-pudding']]] + Shipped::document('feasts/boat-lamp');
        unset($document['boxes']);
        \assert(\is_array($document['groups']) && \is_array($document['groups'][0]));
        $document['groups'] = [['count' => 15, 'at' => 'second'] + $document['groups'][0]];
        $kitchen = Shipped::temple();
        $feast = (new FeastReader($kitchen, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $plan = (new FeastPlanner(Shipped::larder()))->try($feast, $kitchen);
        self::assertSame(['it/0/dish-up'], array_keys($plan->kept));
        $kept = $plan->kept['it/0/dish-up'];
        // Ready for the offering at 17:40, with a little room, eaten at 19:30 and for half an hour.
        $ready = array_values(array_filter($plan->steps, static fn ($s): bool => 'it/0/dish-up' === $s->activity))[0]->end;
        self::assertEqualsWithDelta(140, $kept->minutes(), 20);
        self::assertLessThanOrEqual('17:40', $ready->format('H:i'));
        self::assertEqualsWithDelta(($ready->modify('20:00')->getTimestamp() - $ready->getTimestamp()) / 60, $kept->minutes(), 1e-9);
        foreach ($plan->steps as $step) {
            self::assertFalse($step->burner === $kept->burner && $step->start < $kept->until && $step->end > $kept->from);
        }
        $onFires = array_sum(array_map(static fn ($s): int => null === $s->burner ? 0 : $s->minutes(), $plan->steps));
        self::assertEqualsWithDelta(
            $onFires + $kept->minutes(),
            array_sum(array_map(static fn ($f): float => $f->minutes, FuelTally::of($plan, $kitchen))),
            1e-6,
        );
    }

    public function testTheWarmPlaceComesBeforeAFireAndHoldsNoMoreThanItHolds(): void
    {
        $document = ['dishes' => [['id' => 'it', 'recipe' => 'pulse-coconut-pudding']]] + Shipped::document('feasts/boat-lamp');
        unset($document['boxes']);
        \assert(\is_array($document['groups']) && \is_array($document['groups'][0]));
        $document['groups'] = [['count' => 15, 'at' => 'second'] + $document['groups'][0]];
        foreach ([[20.0, 68.0, Place::Warm, 68.0], [1.0, 68.0, Place::Fire, 70.0], [20.0, 55.0, Place::Fire, 70.0]] as $row) {
            [$litres, $celsius, $place, $ends] = $row;
            $kitchen = (new KitchenReader())->read(json_encode(
                ['warmLitres' => $litres, 'warmCelsius' => $celsius] + Shipped::document('kitchens/tamarind-ghat'),
                \JSON_THROW_ON_ERROR,
            ));
            $feast = (new FeastReader($kitchen, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
            $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
            $walk = Walk::through($feast, $plan, $kitchen, Shipped::larder());
            $held = Holds::of($feast, $plan, $walk, $kitchen, Shipped::larder())[0];
            self::assertSame($place, $held->place);
            self::assertSame($held->fire, $plan->kept['it/0/dish-up']->burner);
            self::assertEqualsWithDelta($ends, $held->readings[\count($held->readings) - 1]->celsius, 1e-9);
        }
    }

    public function testABaseWaitsInJarsAndWhatIsChilledInTheCold(): void
    {
        $kitchen = Shipped::temple();
        $feast = Shipped::templeFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $waits = Walk::through($feast, $plan, $kitchen, Shipped::larder())->waits();
        self::assertNotSame([], $waits);
        foreach ($waits as $wait) {
            self::assertGreaterThanOrEqual(1, $wait->readings[\count($wait->readings) - 1]->minute - $wait->readings[0]->minute);
            self::assertLessThanOrEqual(max($wait->readings[0]->celsius, $kitchen->climate->roomCelsius) + 1e-9, $wait->celsius());
            self::assertSame(Place::Room, $wait->place);
        }
        $jars = array_filter($waits, static fn (Waiting $w): bool => $w->of->planned->dish->dish->isBase && !$w->for->dish->dish->isBase);
        foreach ($jars as $wait) {
            self::assertNull($wait->vessel);
        }
    }

    /** Fried and dipped at once, and eaten for so many minutes. */
    private function jalebi(int $servingMinutes): Plan
    {
        $document = Shipped::document('feasts/boat-lamp');
        $document['dishes'] = [['id' => 'it', 'recipe' => 'jalebi']];
        unset($document['boxes']);
        \assert(\is_array($document['moments']));
        $document['moments'] = \array_slice($document['moments'], 0, 2);
        \assert(\is_array($document['moments'][1]));
        $document['moments'][1]['servingMinutes'] = $servingMinutes;
        \assert(\is_array($document['groups']));
        $document['groups'] = \array_slice($document['groups'], 0, 1);
        $kitchen = Shipped::temple();
        $feast = (new FeastReader($kitchen, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
    }
}
