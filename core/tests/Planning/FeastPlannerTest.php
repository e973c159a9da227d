<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeastPlannerTest extends TestCase
{
    public function testTheDemoFeastIsReadyAtItsMoment(): void
    {
        $plan = $this->plan(18);
        self::assertTrue($plan->isOnTime());
        foreach ($plan->timings as $timing) {
            self::assertLessThanOrEqual($timing->due, $timing->ready, $timing->dish);
        }
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
    }

    /** @return iterable<string, array{int}> */
    public static function crowds(): iterable
    {
        foreach ([1, 10, 18, 30, 45, 60, 90] as $count) {
            yield $count.' grown-ups' => [$count];
        }
    }

    #[DataProvider('crowds')]
    public function testEveryDishIsInTimeOrThePlanSaysWhyNot(int $count): void
    {
        $plan = $this->plan($count);
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
        $out = [];
        foreach ($plan->obstacles as $obstacle) {
            self::assertNotSame('', $obstacle->sentence->id);
            $out[$obstacle->dish] = true;
        }
        foreach ($plan->quantities->dishes as $id => $planned) {
            $timing = $plan->timings[$id] ?? null;
            self::assertTrue(isset($out[$id]) || (null !== $timing && (0 === $timing->lateMinutes || [] !== $timing->reasons)), $id);
        }
    }

    public function testNobodyHoldsTwoSpoonsAndNoFireCarriesTwoPots(): void
    {
        $plan = $this->plan(40);
        $together = 0;
        foreach ($plan->steps as $a) {
            foreach ($plan->steps as $b) {
                if ($a === $b || $a->startMinute >= $b->endMinute || $b->startMinute >= $a->endMinute) {
                    continue;
                }
                self::assertFalse(null !== $a->burner && $a->burner === $b->burner, $a->key->id().' and '.$b->key->id());
                if (
                    AttentionKind::Constant === $a->step->work->attention->kind
                    && AttentionKind::Constant === $b->step->work->attention->kind
                ) {
                    self::assertSame([], array_intersect($a->people, $b->people), $a->key->id().' and '.$b->key->id());
                    ++$together;
                }
            }
        }
        self::assertGreaterThan(0, $together, 'Two pairs of hands work at once.');
    }

    public function testHotMeetsHot(): void
    {
        $steps = $this->byKey($this->plan(18));
        $merge = $steps['kesari/1/merge'];
        self::assertLessThanOrEqual(3, $merge->startMinute - $steps['kesari/1/roast']->endMinute);
        self::assertLessThanOrEqual(8, $merge->startMinute - $steps['kesari/1/liquid']->endMinute);
        self::assertSame($steps['kesari/1/roast']->burner, $merge->burner);
        self::assertSame($steps['kesari/1/roast']->vessels, $merge->vessels);
    }

    public function testTheHelperWorksOnlyInHerShiftAndOnlyWhatAnyHandsCanDo(): void
    {
        $hers = array_filter($this->plan(18)->steps, static fn (PlannedStep $s): bool => \in_array('nilu', $s->people, true));
        self::assertNotSame([], $hers);
        foreach ($hers as $step) {
            self::assertGreaterThanOrEqual('15:00', $step->start->format('H:i'), $step->key->id());
            self::assertSame('any', $step->step->work->attention->skill->value);
        }
    }

    public function testBowlsStoresAndDemandAgree(): void
    {
        $plan = $this->plan(40);
        $fromBowls = [];
        foreach ($plan->steps as $step) {
            foreach ($step->bowls as $bowl) {
                $fromBowls[$bowl->ingredient->id] = ($fromBowls[$bowl->ingredient->id] ?? 0.0) + $bowl->grams;
            }
        }
        foreach ($plan->quantities->stores as $line) {
            self::assertGreaterThanOrEqual($line->needGrams - 1e-6, $line->onHandGrams + $line->buyGrams(), $line->ingredient->id);
            self::assertLessThan($line->ingredient->buying->pack->grams, $line->leftGrams(), $line->ingredient->id);
            if ('frying-oil' !== $line->ingredient->id) {
                self::assertEqualsWithDelta($fromBowls[$line->ingredient->id], $line->needGrams, 1e-6, $line->ingredient->id);
            }
        }
        foreach ($plan->quantities->dishes as $id => $planned) {
            $ledger = $planned->batchPlan->ledger;
            $makes = $planned->demand->portion->countsPieces ? floor($ledger->yieldPieces() + 1e-6) : $ledger->yieldGrams();
            self::assertGreaterThanOrEqual($planned->demand->total - 1e-3, $makes, $id);
        }
    }

    public function testMoreGuestsMeanMoreOfEverythingAndAnEarlierStart(): void
    {
        $few = $this->plan(18);
        $many = $this->plan(60);
        foreach ($few->quantities->dishes as $id => $planned) {
            self::assertGreaterThan($planned->demand->total, $many->quantities->dishes[$id]->demand->total);
        }
        self::assertGreaterThan(
            $few->quantities->dishes['kesari']->batchPlan->batches,
            $many->quantities->dishes['kesari']->batchPlan->batches,
        );
        self::assertLessThan($few->steps[0]->start, $many->steps[0]->start);
    }

    public function testBatchesAreCountedInTheOrderTheyAreFinished(): void
    {
        $steps = $this->byKey($this->plan(60));
        self::assertLessThan($steps['kesari/2/finish']->endMinute, $steps['kesari/1/finish']->endMinute);
    }

    public function testAPlateCapShrinksEveryPortionAlike(): void
    {
        $document = Shipped::document('feasts/new-roof');
        $document['plateCapGrams'] = 160;
        $feast = (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $quantities = (new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::kitchen());
        self::assertLessThan(1.0, $quantities->plateShare);
        $plate = 0.0;
        foreach ($quantities->dishes as $planned) {
            $plate += $planned->portionGrams * $planned->dish->uptake;
        }
        self::assertEqualsWithDelta(160, $plate, 0.01);
    }

    public function testAHundredThousandGuestsAreAnsweredWithWhatPotsLack(): void
    {
        $plan = $this->plan(99_000);
        self::assertFalse($plan->isOnTime());
        self::assertCount(4, array_unique(array_map(static fn ($o): string => $o->dish, $plan->obstacles)));
    }

    public function testAMinuteInsideAStepGrowsWithItAndIsNoneWhereALawTellsHowLong(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), Shipped::temple());
        $at = [];
        foreach ($plan->steps as $step) {
            $at[$step->activity] = $step;
        }
        // By the recipe 8 minutes; half of them are half of what it takes here.
        $finish = $at['kesari/1/finish'];
        self::assertGreaterThan(10, $finish->minutes());
        $half = $finish->start->modify('+'.(int) round($finish->minutes() / 2).' minutes');
        self::assertEquals($half, $finish->at(4));
        self::assertEquals($finish->end, $finish->at(400), 'never after it');
        self::assertNull($at['barfi/1/set']->at(12), 'this slab cools as it is thick, not as the recipe\'s');
    }

    public function testAPlanCrossesAClockChangeWithoutLosingAMinute(): void
    {
        $document = Shipped::document('feasts/new-roof');
        // Clocks go back an hour in the night before this day.
        $document['timeZone'] = 'CST6CDT';
        $document['date'] = '2031-11-02';
        $document['hands'] = [
            ['person' => 'asha', 'day' => -1, 'from' => '20:00', 'to' => '05:00'],
            ['person' => 'asha', 'day' => 0, 'from' => '06:00', 'to' => '20:00'],
            ['person' => 'nilu', 'day' => 0, 'from' => '15:00', 'to' => '20:00'],
        ];
        $feast = (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::kitchen());
        self::assertTrue($plan->isOnTime());
        // 20:00 to 05:00 that night are ten hours.
        [$from, $to] = $plan->problem->resources['asha']->calendar[0];
        self::assertSame(10 * 60, $to - $from);
        foreach ($plan->steps as $step) {
            self::assertSame(60 * $step->minutes(), $step->end->getTimestamp() - $step->start->getTimestamp());
        }
    }

    public function testTheScheduleProblemIsTheSameThroughItsFile(): void
    {
        $plan = $this->plan(60);
        $read = (new ProblemReader())->read(json_encode((new ProblemWriter())->problem($plan->problem), \JSON_THROW_ON_ERROR));
        self::assertEquals($plan->problem, $read);
        self::assertSame([], (new Audit())->faults($read, $plan->solution));
    }

    public function testSameFeastSamePlan(): void
    {
        self::assertEquals($this->plan(33), $this->plan(33));
    }

    private function plan(int $grownUps): Plan
    {
        return (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast($grownUps), Shipped::kitchen());
    }

    /** @return array<string, PlannedStep> */
    private function byKey(Plan $plan): array
    {
        $steps = [];
        foreach ($plan->steps as $step) {
            $steps[$step->key->id()] = $step;
        }

        return $steps;
    }
}
