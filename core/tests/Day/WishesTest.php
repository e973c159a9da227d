<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayState;
use FeastLadle\Day\MomentNow;
use FeastLadle\Day\PortionNow;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What is wished changes on the day: a moment moves, a dish is given up, more come, trays empty. */
final class WishesTest extends TestCase
{
    use HomeDay;

    public function testAMomentThatMovesIsPlannedForWhereItIsNow(): void
    {
        $first = Shipped::feast()->firstMoment();
        $said = $this->saidAsPlanned('15:00');
        $later = $first->at->modify('+30 minutes');
        $state = $this->state([['15:00', 'moment', ['moment' => $first->id, 'day' => 0, 'time' => $later->format('H:i')]]], '15:00', $said);
        self::assertEquals($later, self::moment($state, $first->id)->chance->moment->at);
        self::assertSame(0, self::moment($state, $first->id)->lateMinutes);
        // An hour and a half sooner nothing hot is ready: that is said, never hidden.
        $sooner = $first->at->modify('-90 minutes')->format('H:i');
        $state = $this->state([['15:00', 'moment', ['moment' => $first->id, 'day' => 0, 'time' => $sooner]]], '15:00', $said);
        self::assertGreaterThan(0, self::moment($state, $first->id)->lateMinutes);
        self::assertLessThan(0.1, self::moment($state, $first->id)->chance->chance);
    }

    public function testAnOpenMomentIsPlannedForWhenItIsLikely(): void
    {
        $first = Shipped::feast()->firstMoment();
        $likely = $first->at->modify('+40 minutes');
        $state = $this->state([['15:00', 'moment', [
            'moment' => $first->id, 'open' => true,
            'notBefore' => $first->at->modify('+20 minutes')->format('c'),
            'likely' => $likely->format('c'),
            'latest' => $first->at->modify('+70 minutes')->format('c'),
        ]]], '15:00', $this->saidAsPlanned('15:00'));
        self::assertEquals($likely, self::moment($state, $first->id)->chance->moment->at);
    }

    public function testADishThatIsGivenUpTakesNobodysTime(): void
    {
        $said = $this->saidAsPlanned('15:00');
        $state = $this->state([['15:00', 'dish', ['dish' => 'kesari', 'givenUp' => true]]], '15:00', $said);
        $left = array_filter(
            $state->steps,
            static fn (StepNow $s): bool => 'kesari' === $s->planned->key->dish && StepState::NotYet === $s->progress->state,
        );
        self::assertSame([], $left);
        self::assertNull($state->stuck);
        foreach ($state->moments as $moment) {
            self::assertSame(0, $moment->lateMinutes);
            self::assertGreaterThan(0.9, $moment->chance->chance);
        }
        // What others need goes on.
        self::assertNotSame([], array_filter(
            $state->steps,
            static fn (StepNow $s): bool => 'barfi' === $s->planned->key->dish && !$s->progress->state->isOver(),
        ));
    }

    public function testMoreGuestsLeaveLessForEach(): void
    {
        $said = $this->saidAsPlanned('15:00');
        $group = Shipped::feast()->groups[0];
        $usual = self::portion($this->state([], '15:00', $said), 'barfi');
        self::assertSame(1.0, $usual->share(), 'there is a spare, so all get what was planned');
        $more = $this->state([['15:00', 'guests', ['group' => $group->id, 'count' => 2 * $group->count]]], '15:00', $said);
        $demand = self::step('barfi/1/cook')->dish->demand;
        // By hand: what is made, less the offering, shared by those who are counted now.
        $eaters = 0.0;
        foreach (Shipped::feast()->groups as $g) {
            $eaters += ($g->id === $group->id ? 2 : 1) * $g->count * $g->appetite * $demand->uptake;
        }
        $made = self::step('barfi/1/cook')->dish->batchPlan->ledger;
        $all = $demand->portion->countsPieces ? floor($made->yieldPieces() + 1e-6) : $made->yieldGrams();
        $each = ($all - $demand->forOffering - $demand->forBoxes) / $eaters;
        self::assertEqualsWithDelta(min(1.0, $each / $demand->portion->amount), self::portion($more, 'barfi')->share(), 0.01);
        self::assertLessThan(1.0, self::portion($more, 'barfi')->share());
        // Half of it spilt is half for each.
        $spilt = $this->state([['15:30', 'slipped', ['step' => 'barfi/1/cook', 'slip' => 'spilt', 'share' => 0.5]]], '15:30', $said);
        self::assertLessThan(0.65, self::portion($spilt, 'barfi')->share());
    }

    public function testTheLastGuestsLadle(): void
    {
        $time = '18:20';
        $said = $this->saidAsPlanned('17:40');
        $sitting = Shipped::feast()->lastMoment()->id;
        $guests = Shipped::feast()->guests();
        $eaten = fn (int $served, float $share): DayState => $this->state([
            [$time, 'eaten', ['dish' => 'barfi', 'moment' => $sitting, 'served' => $served, 'share' => $share]],
        ], $time, $said);
        // Half of them have eaten, half of it is gone: the rest take what is there; about even that the last row eats.
        $half = intdiv($guests, 2);
        $even = self::portion($eaten($half, $half / $guests), 'barfi')->ladle;
        self::assertNotNull($even);
        self::assertSame($guests - $half, $even->toCome);
        self::assertEqualsWithDelta(0.5, $even->chance, 0.02);
        self::assertEqualsWithDelta($even->each, $even->eachFromNow, 0.01 * $even->each);
        // Half have eaten a third of it: plenty. Half have eaten two thirds: half of it a head from now on, or it does not last.
        self::assertGreaterThan(0.95, self::portion($eaten($half, 1 / 3), 'barfi')->ladle?->chance);
        $short = self::portion($eaten($half, 2 / 3), 'barfi')->ladle;
        self::assertLessThan(0.05, $short?->chance);
        self::assertEqualsWithDelta(0.5 * ($half / ($guests - $half)), ($short->eachFromNow ?? 0) / ($short->each ?? 1), 0.01);
        self::assertNull(self::portion($this->state([], $time, $said), 'barfi')->ladle, 'nobody has said what is gone');
    }

    private static function moment(DayState $state, string $id): MomentNow
    {
        foreach ($state->moments as $moment) {
            if ($moment->chance->moment->id === $id) {
                return $moment;
            }
        }
        self::fail($id);
    }

    private static function portion(DayState $state, string $dish): PortionNow
    {
        return $state->portions[$dish] ?? self::fail($dish);
    }
}
