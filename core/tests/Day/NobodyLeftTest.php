<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\NobodyLeft;
use FeastLadle\Feast\Shift;
use FeastLadle\Kitchen\Person;
use FeastLadle\Recipe\Skill;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Asha is the only cook of the home feast; Nilu lends her hands. */
final class NobodyLeftTest extends TestCase
{
    use HomeDay;

    private const NOW = '2031-11-15T16:30:00+05:30';

    public function testWithoutTheCookWhatOnlyACookMayDoIsNamedAndWhatRunsComesFirst(): void
    {
        $state = $this->asPlanned('16:30');
        $left = (new NobodyLeft(Shipped::feast(), Shipped::kitchen()))->of($state, ['asha' => new \DateTimeImmutable(self::NOW)]);
        self::assertNotEmpty($left);
        foreach ($left as $row) {
            self::assertSame(Skill::Cook, $row['step']->step->work->attention->skill);
        }
        $running = array_values(array_filter($left, static fn (array $r): bool => $r['isRunning']));
        self::assertSame($running, \array_slice($left, 0, \count($running)));
        $first = $left[\count($running)] ?? null;
        self::assertNotNull($first);
        self::assertSame('It waits for somebody who can: do not begin it.', $first['instead']->text());
        // What any hands may do is not among it.
        $ids = array_map(static fn (array $r): string => $r['step']->key->id(), $left);
        $free = array_filter(self::plan()->steps, static fn (PlannedStep $s): bool => Skill::Cook !== $s->step->work->attention->skill);
        self::assertSame([], array_intersect($ids, array_map(static fn (PlannedStep $s): string => $s->key->id(), $free)));
    }

    public function testWithTheHelperGoneACookDoesItAll(): void
    {
        $left = (new NobodyLeft(Shipped::feast(), Shipped::kitchen()))->of(
            $this->asPlanned('16:30'),
            ['nilu' => new \DateTimeImmutable(self::NOW)],
        );
        self::assertSame([], $left);
    }

    public function testFatAndPressureAreLeftInTheirOwnWay(): void
    {
        $said = [];
        for ($minute = 0; $minute < 600; $minute += 10) {
            $time = (new \DateTimeImmutable('08:30'))->modify("+$minute minutes")->format('H:i');
            $state = $this->asPlanned($time);
            foreach ((new NobodyLeft(Shipped::feast(), Shipped::kitchen()))->of($state, ['asha' => $state->at]) as $row) {
                $fries = \in_array($row['step']->step->process->value, ['deep-fry', 'shallow-fry', 'fry-garnish', 'hot-fat'], true);
                if ($row['isRunning']) {
                    $said[$row['instead']->text()] = true;
                    self::assertSame($fries, str_contains($row['instead']->text(), 'under the fat'), $row['step']->key->id());
                }
            }
        }
        self::assertArrayHasKey('Flame off; the pot stays where it is, a lid on it; note the time.', $said);
    }

    public function testWhoComesLaterTakesWhatHasNotBegunAndNotWhatRunsNow(): void
    {
        $feast = Shipped::feast();
        $boil = array_values(array_filter(self::plan()->steps, static fn (PlannedStep $s): bool => 'basundi/1/boil' === $s->key->id()))[0];
        $state = $this->asPlanned($boil->start->modify('+5 minutes')->format('H:i'));
        $away = ['asha' => $state->at];
        $alone = (new NobodyLeft($feast, Shipped::kitchen()))->of($state, $away);
        $running = array_values(array_filter($alone, static fn (array $r): bool => $r['isRunning']));
        self::assertContains('basundi/1/boil', array_map(static fn (array $r): string => $r['step']->key->id(), $running));
        self::assertGreaterThan(\count($running), \count($alone));
        // A second cook, from an hour later on.
        $kitchen = Shipped::kitchen()->withPerson(new Person('ila', 'Ila', Skill::Cook));
        $shift = new Shift('ila', $state->at->modify('+1 hour'), $state->at->modify('+9 hours'));
        $later = new NobodyLeft($feast->withShift($shift), $kitchen);
        self::assertSame(
            array_map(static fn (array $r): string => $r['step']->key->id(), $running),
            array_map(static fn (array $r): string => $r['step']->key->id(), $later->of($state, $away)),
        );
    }

    public function testWhileNobodyIsAwayNothingIsSaid(): void
    {
        self::assertSame([], (new NobodyLeft(Shipped::feast(), Shipped::kitchen()))->of($this->asPlanned('16:30'), []));
    }
}
