<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\FuelNeed;
use FeastLadle\Explaining\FuelTally;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class FuelNeedTest extends TestCase
{
    public function testBottlesEndInTheirOrderAndWhatLacksIsBought(): void
    {
        $document = ['fuel' => ['bottles' => [0.05, 0.1, 30], 'bottleKg' => 5]] + Shipped::document('kitchens/kumbhar-lane');
        $kitchen = (new KitchenReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $feast = (new FeastReader($kitchen, Shipped::shelf()))->read(Shipped::json('feasts/new-roof'));
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        [$gas] = FuelNeed::of($plan, $kitchen);
        self::assertSame(Fuel::Gas, $gas->fuel);
        // By fire and by minute it is the same gas.
        $byFire = array_sum(array_map(static fn ($f): float => 'kg' === $f->unit ? $f->amount : 0.0, FuelTally::of($plan, $kitchen)));
        self::assertEqualsWithDelta($byFire, $gas->kilograms, 1e-6);
        self::assertEqualsWithDelta(30.15, $gas->there, 1e-9);
        self::assertSame(0, $gas->buy);
        self::assertCount(2, $gas->ends);
        self::assertLessThan($gas->ends[1]->at, $gas->ends[0]->at);
        self::assertFalse($gas->ends[1]->isLast);
        // Each ends where a fire burns.
        $at = [];
        foreach (FuelTally::of($plan, $kitchen) as $fire) {
            foreach ($fire->bottles as $bottle) {
                $at[$bottle->number][] = $fire->fire;
            }
        }
        ksort($at);
        self::assertSame([1, 2], array_keys($at));
        // Until the first is empty, just its fifty grams were burnt.
        $burnt = 0.0;
        foreach ($plan->steps as $step) {
            if (null !== $step->burner && Fuel::Gas === $kitchen->burners[$step->burner]->fuel) {
                $seconds = min($step->end->getTimestamp(), $gas->ends[0]->at->getTimestamp()) - $step->start->getTimestamp();
                $burnt += max(0, $seconds) * $kitchen->burners[$step->burner]->kilowatts * $step->flame->share() / 46_000;
            }
        }
        self::assertEqualsWithDelta(0.05, $burnt, 0.001);
    }

    public function testAFifthIsToSpareInWhatIsBought(): void
    {
        $kitchen = Shipped::bellYard();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::bellFeast(), $kitchen);
        foreach (FuelNeed::of($plan, $kitchen) as $need) {
            $lacks = max(0.0, 1.2 * $need->kilograms - $need->there);
            $bought = Fuel::Gas === $need->fuel ? $need->buy * $need->bottleKg : $need->buy;
            self::assertGreaterThanOrEqual($lacks - 1e-6, $bought);
            self::assertLessThan($lacks + (Fuel::Gas === $need->fuel ? $need->bottleKg : 5.0), $bought);
        }
    }
}
