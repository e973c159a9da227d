<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Modelling\MendKind;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Why a sweet cannot be in time: proven where it can be, and otherwise by what was seen to help. */
final class LatenessTest extends TestCase
{
    public function testADayTooShortForOneSweetIsProvenByItsSteps(): void
    {
        $plan = $this->plan('16:30', ['basundi']);
        $timing = $plan->timings['basundi'];
        self::assertGreaterThan(0, $timing->lateMinutes);
        self::assertStringContainsString('Even with every fire and hand free', $timing->reasons[0]->sentence->id);
        self::assertStringContainsString('Chill the basundi', $timing->reasons[0]->sentence->text());
    }

    public function testStartingEarlierIsNamedWhenItWasSeenToHelp(): void
    {
        $templates = array_map(static fn ($r): string => $r->sentence->id, $this->plan('16:30', ['basundi'])->timings['basundi']->reasons);
        self::assertNotEmpty(array_filter($templates, static fn (string $t): bool => str_starts_with($t, 'The day is short')));
        self::assertEmpty(
            array_filter($templates, static fn (string $t): bool => str_starts_with($t, 'The fires are short')),
            'another fire does not make one pot of milk faster',
        );
    }

    public function testAMendThatIsNamedGivesWhatItPromised(): void
    {
        $applied = 0;
        foreach (['basundi' => '16:30', 'balls' => '15:40'] as $dish => $from) {
            $feast = $this->feast($from, [$dish]);
            $timing = $this->plan($from, [$dish])->timings[$dish];
            foreach ($timing->reasons as $reason) {
                if (null === $reason->mend) {
                    continue;
                }
                self::assertLessThan($timing->lateMinutes, $reason->mend->lateMinutes);
                $changed = match ($reason->mend->kind) {
                    MendKind::Hours => $feast->withShift(
                        new Shift('asha', $feast->shifts[0]->from->modify('-3 hours'), $feast->shifts[0]->from),
                    ),
                    MendKind::DayBefore => $feast
                        ->withShift(new Shift('asha', ...$this->afternoonBefore($feast)))
                        ->withShift(new Shift('nilu', ...$this->afternoonBefore($feast))),
                    default => null,
                };
                if (null !== $changed) {
                    $plan = (new FeastPlanner(Shipped::larder()))->try($changed, Shipped::kitchen());
                    self::assertLessThanOrEqual($reason->mend->lateMinutes, $plan->timings[$dish]->lateMinutes, $reason->text());
                    ++$applied;
                }
            }
        }
        self::assertGreaterThan(1, $applied);
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} */
    private function afternoonBefore(Feast $feast): array
    {
        $day = $feast->firstMoment()->at->setTimezone($feast->timeZone)->modify('-1 day');

        return [$day->setTime(15, 0), $day->setTime(20, 0)];
    }

    public function testWhatIsInTimeHasNoReasons(): void
    {
        foreach ($this->plan('08:30', ['kesari', 'barfi'])->timings as $timing) {
            self::assertSame(0, $timing->lateMinutes);
            self::assertSame([], $timing->reasons);
        }
    }

    public function testAFeastNobodyCooksForNamesEverySweet(): void
    {
        $feast = Shipped::feast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(
            new Feast($feast->name, $feast->timeZone, null, $feast->groups, $feast->moments, [], $feast->dishes),
            Shipped::kitchen(),
        );
        self::assertFalse($plan->isOnTime());
        self::assertCount(4, $plan->obstacles);
        self::assertSame([], $plan->steps);
    }

    public function testAnEmptyMenuIsInTime(): void
    {
        $plan = $this->plan('08:30', []);
        self::assertTrue($plan->isOnTime());
        self::assertSame([], $plan->steps);
    }

    /** @param list<string> $dishes */
    private function plan(string $from, array $dishes): Plan
    {
        return (new FeastPlanner(Shipped::larder()))->plan($this->feast($from, $dishes), Shipped::kitchen());
    }

    /** @param list<string> $dishes */
    private function feast(string $from, array $dishes): Feast
    {
        $feast = Shipped::feast();
        $day = $feast->firstMoment()->at->format('Y-m-d');
        $shifts = array_map(
            static fn (string $person): Shift => new Shift(
                $person,
                new \DateTimeImmutable("$day $from", $feast->timeZone),
                new \DateTimeImmutable("$day 23:30", $feast->timeZone),
            ),
            ['asha', 'nilu'],
        );

        return new Feast(
            $feast->name,
            $feast->timeZone,
            null,
            $feast->groups,
            $feast->moments,
            $shifts,
            array_values(array_filter($feast->dishes, static fn ($d): bool => \in_array($d->id, $dishes, true))),
        );
    }
}
