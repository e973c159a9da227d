<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\MomentChances;
use FeastLadle\Explaining\PlanComparison;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\Sentence;
use PHPUnit\Framework\TestCase;

final class PlanComparisonTest extends TestCase
{
    public function testALaterDayIsWeighedAgainstWhatItMakesLessSure(): void
    {
        $feast = Shipped::feast();
        $plan = $this->plan($feast);
        $begins = (new \DateTimeImmutable('@'.PlanComparison::dayBegins($feast, $plan)))->setTimezone($feast->timeZone);
        // The first step that somebody does on the day of the feast, wherever it stands in the list.
        $byHand = array_filter($plan->steps, static fn ($s): bool => [] !== $s->people && '2031-11-15' === $s->start->format('Y-m-d'));
        self::assertNotSame([], $byHand);
        self::assertEquals(min(array_map(static fn ($s): \DateTimeImmutable => $s->start, $byHand)), $begins);

        $late = $begins->modify('+90 minutes');
        $document = FeastDocument::of(Shipped::document('feasts/new-roof'))->withNobodyBefore($late->format('H:i'));
        $later = (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read($document->json());
        $other = $this->plan($later);
        self::assertTrue($other->isOnTime());
        self::assertGreaterThanOrEqual($late->getTimestamp(), PlanComparison::dayBegins($later, $other));

        $told = $this->told($feast, $plan, $other);
        self::assertMatchesRegularExpression('/^the day begins (9\d|1\d\d) min later$/', $told[0] ?? '');
        $back = $this->told($feast, $other, $plan);
        self::assertMatchesRegularExpression('/^the day begins (9\d|1\d\d) min sooner$/', $back[0] ?? '');
        // Whatever one has more of, the other has less of.
        $opposite = ['later' => 'sooner', 'sooner' => 'later', 'more' => 'less', 'less sure' => 'surer', 'surer' => 'less sure'];
        foreach ($told as $i => $said) {
            self::assertSame(strtr($said, $opposite), $back[$i]);
        }
    }

    public function testAPlanBesideItselfIsNothingToChooseFrom(): void
    {
        $plan = $this->plan(Shipped::feast());
        self::assertSame([], $this->told(Shipped::feast(), $plan, $plan));
    }

    private function plan(Feast $feast): Plan
    {
        return (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::kitchen());
    }

    /** @return list<string> */
    private function told(Feast $feast, Plan $plan, Plan $other): array
    {
        $chances = static fn (Plan $p): MomentChances => MomentChances::of(
            $feast,
            $p,
            Risk::of($p->problem, $p->solution, grace: $p->margins),
        );

        return array_map(
            static fn (Sentence $s): string => $s->text(),
            PlanComparison::of($feast, $plan, $chances($plan), $other, $chances($other)),
        );
    }
}
