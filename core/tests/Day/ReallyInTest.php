<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayState;
use FeastLadle\Day\SpokenMeasure;
use FeastLadle\Flow\Contents;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What stands in a pot follows from what really went in: told by bowls, slips, ways that were taken, the scale. */
final class ReallyInTest extends TestCase
{
    use HomeDay;

    private const POT = 'tall-pot';

    public function testLessOfABowlIsLessInThePotFromThenOn(): void
    {
        $sugar = $this->bowlGrams('sweeten', 'sugar');
        $planned = $this->pot();
        $less = $this->pot([[$this->in('sweeten', 2), 'bowl', $this->bowl('sweeten', 2, ['grams' => $sugar - 100])]]);
        self::assertEqualsWithDelta(-100, $less->massGrams() - $planned->massGrams(), 0.1);
        self::assertEqualsWithDelta(-100, $less->sugarGrams(Shipped::larder()) - $planned->sugarGrams(Shipped::larder()), 0.1);
        self::assertEqualsWithDelta(0, $less->waterGrams(Shipped::larder()) - $planned->waterGrams(Shipped::larder()), 0.1);
        $none = $this->pot([[$this->in('sweeten', 2), 'bowl', $this->bowl('sweeten', 2, ['grams' => 0])]]);
        self::assertEqualsWithDelta(0.0, $none->grams['sugar'], 0.1);
        $asPlanned = $this->pot([[$this->in('sweeten', 2), 'bowl', $this->bowl('sweeten', 2)]]);
        self::assertEqualsWithDelta($planned->massGrams(), $asPlanned->massGrams(), 0.01);
    }

    public function testWhatWasForgottenIsNotInItUntilItIsPutInAfterAll(): void
    {
        $at = $this->in('sweeten', 3);
        $sugar = $this->bowlGrams('sweeten', 'sugar');
        $forgot = [$at, 'slipped', $this->bowl('sweeten', 2, ['slip' => 'forgotten'])];
        self::assertEqualsWithDelta(0.0, $this->pot([$forgot])->grams['sugar'], 0.1);
        $way = null;
        foreach ($this->told([$forgot])->slips[0]->ways as $each) {
            if (1 === \count($each->way->adds) && 'sugar' === $each->way->adds[0]->thing->id) {
                $way ??= $each;
            }
        }
        self::assertNotNull($way, 'it can still go in');
        $healed = $this->pot([$forgot, [$at, 'answered', ['way' => $way->id, 'taken' => true]]]);
        self::assertEqualsWithDelta($way->way->adds[0]->grams, $healed->grams['sugar'], 0.1);
        self::assertEqualsWithDelta($sugar, $healed->grams['sugar'], 0.2 * $sugar);
    }

    public function testWhatWasSpiltIsGone(): void
    {
        $planned = $this->pot();
        $spilt = $this->pot([[$this->in('sweeten', 2), 'slipped', $this->bowl('sweeten', null, ['slip' => 'spilt', 'share' => 0.1])]]);
        foreach ($planned->grams as $id => $grams) {
            self::assertEqualsWithDelta(0.9 * $grams, $spilt->grams[$id], 0.002 * $grams + 0.01, $id);
        }
    }

    public function testTheWrongThingIsInItAndTheRightOneIsNot(): void
    {
        $sugar = $this->bowlGrams('sweeten', 'sugar');
        $at = $this->in('sweeten', 2);
        $salted = $this->pot([[$at, 'slipped', $this->bowl('sweeten', 2, ['slip' => 'swapped', 'with' => 'salt'])]]);
        self::assertEqualsWithDelta(0.0, $salted->grams['sugar'], 0.1);
        self::assertEqualsWithDelta($sugar, $salted->grams['salt'], 0.1);
        $also = $this->pot([[$at, 'slipped', [
            'step' => 'basundi/1/sweeten', 'slip' => 'something-else', 'ingredient' => 'milk', 'grams' => 250,
        ]]]);
        self::assertEqualsWithDelta(250, $also->massGrams() - $this->pot()->massGrams(), 0.1);
        $doubled = $this->pot([[$at, 'slipped', $this->bowl('sweeten', 2, ['slip' => 'too-much', 'grams' => 2 * $sugar])]]);
        self::assertEqualsWithDelta(2 * $sugar, $doubled->grams['sugar'], 0.1);
    }

    public function testTheScaleCountsMoreThanTheReckoning(): void
    {
        $reduce = self::step('basundi/1/reduce');
        $time = $reduce->start->modify('+40 minutes')->format('H:i');
        $reckoned = self::vessel($this->asPlanned($time), self::POT)->contents->massGrams();
        $empty = 1000 * Shipped::kitchen()->vessels[self::POT]->emptyKg;
        $read = [$time, 'reading', ['vessel' => self::POT, 'grams' => round($reckoned - 200 + $empty, 1), 'gross' => true]];
        $said = $this->saidAsPlanned($time);
        $weighed = self::vessel($this->state([$read], $time, $said), self::POT);
        self::assertEqualsWithDelta($reckoned - 200, $weighed->contents->massGrams(), 1.0);
        // In forty minutes so much has gone off; ten more take a quarter of that, by this fire and not by the plan's.
        $later = self::vessel($this->state([$read], $reduce->start->modify('+50 minutes')->format('H:i'), $said), self::POT);
        $off = 200 + (40 * $reduce->dish->batchPlan->ledger->flow('reduce')->waterOff) / $reduce->minutes();
        self::assertEqualsWithDelta($reckoned - 200 - $off / 4, $later->contents->massGrams(), 25.0);
    }

    public function testWhatWasWeighedAtTheEndGoesOn(): void
    {
        $reduce = self::step('basundi/1/reduce');
        $made = $reduce->dish->batchPlan->ledger->flow('reduce')->gives->massGrams();
        $said = array_map(
            static fn (array $e): array => 'done' === $e[1] && 'basundi/1/reduce' === $e[2]['step']
                ? [$e[0], $e[1], $e[2] + ['grams' => round($made - 150, 1)]]
                : $e,
            $this->saidAsPlanned($this->after('sweeten')),
        );
        $pot = self::vessel($this->state([], $this->after('sweeten'), $said), self::POT)->contents;
        self::assertEqualsWithDelta(-150, $pot->massGrams() - $this->pot()->massGrams(), 1.0);
        self::assertEqualsWithDelta(
            -150,
            $pot->waterGrams(Shipped::larder()) - $this->pot()->waterGrams(Shipped::larder()),
            1.0,
            'what goes off a fire is water',
        );
    }

    public function testMoreInThePotTakesLongerToBoilAndToReduce(): void
    {
        $boil = self::step('basundi/1/boil');
        $reduce = self::step('basundi/1/reduce');
        $milk = $this->bowlGrams('boil', 'milk');
        $started = [$boil->start->format('H:i'), 'started', ['step' => 'basundi/1/boil']];
        $fuller = [$boil->start->format('H:i'), 'bowl', $this->bowl('boil', 1, ['grams' => round(1.2 * $milk)])];
        $at = $boil->start->modify('+1 minute')->format('H:i');
        $usual = $this->state([$started], $at);
        $state = $this->state([$started, $fuller], $at);
        // A fifth more milk: a fifth more heat to the boil (the pot's own metal aside), a fifth more water to send off.
        self::assertEqualsWithDelta(
            (self::now($usual, 'basundi/1/boil')->left->likely ?? 0) + 0.2 * $boil->minutes(),
            self::now($state, 'basundi/1/boil')->left?->likely,
            2.0,
        );
        $minutes = $reduce->minutes();
        self::assertEqualsWithDelta(1.2 * $minutes, self::planned($state, 'basundi/1/reduce')->minutes(), 0.03 * $minutes);
        self::assertSame($reduce->minutes(), self::planned($usual, 'basundi/1/reduce')->minutes());
    }

    public function testGoneFurtherThanItWasToIsLessWater(): void
    {
        // To two fifths of its volume in place of a half: a tenth of what stood there has gone off beyond it, a gram a millilitre.
        $flow = self::step('basundi/1/reduce')->dish->batchPlan->ledger->flow('reduce');
        $past = $this->pot([[$this->in('reduce', 80), 'slipped', [
            'step' => 'basundi/1/reduce', 'slip' => 'went-past', 'share' => 0.4,
        ]]]);
        $more = 0.1 * $flow->taken->volumeMl(Shipped::larder());
        self::assertEqualsWithDelta(-$more, $past->massGrams() - $this->pot()->massGrams(), 0.02 * $more);
    }

    public function testWhatIsStirredInLaterCounts(): void
    {
        $time = self::step('basundi/0/dish-up')->end->modify('+2 minutes')->format('H:i');
        $said = $this->saidAsPlanned($time);
        $of = static function (DayState $state): Contents {
            foreach ($state->vessels as $vessel) {
                if (['basundi/1'] === $vessel->holds || ['basundi/0'] === $vessel->holds) {
                    return $vessel->contents;
                }
            }
            self::fail('The basundi stands nowhere.');
        };
        $loosened = $this->state([[$time, 'corrected', ['dish' => 'basundi', 'ingredient' => 'milk', 'grams' => 200]]], $time, $said);
        self::assertEqualsWithDelta(200, $of($loosened)->massGrams() - $of($this->state([], $time, $said))->massGrams(), 0.1);
    }

    public function testSpoonsAndLadlesAreGramsOfThatThing(): void
    {
        $kitchen = Shipped::kitchen();
        $milk = Shipped::larder()->get('milk');
        self::assertEqualsWithDelta(30 * $milk->weights->bulkDensity, SpokenMeasure::grams('2 spoons', $milk, $kitchen), 0.01);
        self::assertEqualsWithDelta(120 * $milk->weights->bulkDensity, SpokenMeasure::grams('a ladle', $milk, $kitchen), 0.01);
        self::assertEqualsWithDelta(60 * $milk->weights->bulkDensity, SpokenMeasure::grams('half a ladle', $milk, $kitchen), 0.01);
        self::assertEqualsWithDelta($kitchen->measures->cupMl * 1.5, SpokenMeasure::ml('1.5 cups', $kitchen), 0.01);
        self::assertGreaterThan(0, SpokenMeasure::ml('dash', $kitchen));
        self::assertNull(SpokenMeasure::ml('a bucket', $kitchen));
        self::assertNull(SpokenMeasure::ml('', $kitchen));
    }

    public function testWhatIsPouredIntoAnotherVesselStandsThere(): void
    {
        $time = $this->after('sweeten');
        $said = $this->saidAsPlanned($time);
        $all = self::vessel($this->state([], $time, $said), self::POT)->contents->massGrams();
        $half = $this->state([[$time, 'moved', ['vessel' => self::POT, 'to' => 'broad-pot', 'share' => 0.5]]], $time, $said);
        self::assertEqualsWithDelta($all / 2, self::vessel($half, self::POT)->contents->massGrams(), 0.1);
        self::assertContains('basundi/1', self::vessel($half, 'broad-pot')->holds);
        $thrown = $this->state([[$time, 'leftover', ['vessel' => self::POT, 'becomes' => 'thrown']]], $time, $said);
        self::assertNotContains(self::POT, array_map(static fn ($v): string => $v->vessel->id, $thrown->vessels));
    }

    public function testWhatIsTakenBackNeverWas(): void
    {
        $bowl = [$this->in('sweeten', 2), 'bowl', $this->bowl('sweeten', 2, ['grams' => 0])];
        $back = [$this->in('sweeten', 3), 'withdrawn', ['event' => 'e0']];
        self::assertEquals($this->pot()->grams, $this->pot([$bowl, $back])->grams);
    }

    public function testAWeighedBowlInAFoldedDayChangesNoOtherDish(): void
    {
        $time = $this->after('sweeten');
        $said = $this->saidAsPlanned($time);
        $bowl = [$this->in('sweeten', 2), 'bowl', $this->bowl('sweeten', 2, ['grams' => 0])];
        $with = $this->state([$bowl], $time, $said);
        foreach ($this->state([], $time, $said)->vessels as $vessel) {
            if (self::POT !== $vessel->vessel->id) {
                self::assertEquals($vessel, self::vessel($with, $vessel->vessel->id));
            }
        }
    }

    /**
     * What stands in the pot when the sweetening is done, after what else was said.
     *
     * @param list<array{string, string, array<string, mixed>}> $said
     */
    private function pot(array $said = []): Contents
    {
        return self::vessel($this->told($said), self::POT)->contents;
    }

    /** @param list<array{string, string, array<string, mixed>}> $said */
    private function told(array $said): DayState
    {
        $time = $this->after('sweeten');

        return $this->state($said, $time, $this->saidAsPlanned($time));
    }

    private function in(string $step, int $minutes): string
    {
        return self::step('basundi/1/'.$step)->start->modify("+$minutes minutes")->format('H:i');
    }

    private function after(string $step): string
    {
        return self::step('basundi/1/'.$step)->end->format('H:i');
    }

    private function bowlGrams(string $step, string $ingredient): float
    {
        foreach (self::step('basundi/1/'.$step)->dish->batchPlan->ledger->flow($step)->bowls as $bowl) {
            if ($bowl->ingredient === $ingredient) {
                return $bowl->grams;
            }
        }
        self::fail("$step takes no $ingredient.");
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function bowl(string $step, ?int $bowl, array $more = []): array
    {
        return ['step' => 'basundi/1/'.$step] + (null === $bowl ? [] : ['bowl' => $bowl]) + $more;
    }

    private static function planned(DayState $state, string $id): PlannedStep
    {
        foreach ($state->plan->steps as $step) {
            if ($step->key->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }
}
