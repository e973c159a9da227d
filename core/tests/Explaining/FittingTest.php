<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Explaining\Fitting;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Modelling\MendKind;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Attempt;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** The home feast, for fifty, with one pair of hands from four in the afternoon: not every sweet finds room. */
final class FittingTest extends TestCase
{
    public function testASweetWithoutRoomSaysWhatItLacksAndWithThatItGoes(): void
    {
        $solve = new Solve(Shipped::larder());
        $fitting = new Fitting($solve);
        $today = ['person' => 'asha', 'day' => 0, 'from' => '16:00', 'to' => '19:30'];
        $task = $this->task([$today]);
        self::assertNotSame(SolutionStatus::Feasible, $solve->solution($task)->status);
        [$out] = $fitting->whatDoesNotFit($task);
        $ids = array_map(static fn (Obstacle $o): string => $o->dish, $out);
        self::assertContains(Attempt::NO_ROOM, array_map(static fn (Obstacle $o): string => $o->sentence->id, $out));
        $told = $fitting->explained($task, $solve->attempt($task, $out))->plan->obstacles;
        self::assertSame($ids, array_map(static fn (Obstacle $o): string => $o->dish, $told));

        // What is said is true: with her there the afternoon before, or longer, each goes beside what was kept.
        $evening = $this->task([['person' => 'asha', 'day' => -1, 'from' => '12:00', 'to' => '21:00'], $today]);
        $longer = $this->task([['to' => '22:30'] + $today]);
        foreach ($told as $obstacle) {
            $with = match ($obstacle->mend?->kind) {
                MendKind::DayBefore => $evening,
                MendKind::Hours => $longer,
                default => self::fail($obstacle->text()),
            };
            $others = array_values(array_diff($ids, [$obstacle->dish]));
            self::assertSame(SolutionStatus::Feasible, $solve->solution($with->without($others))->status, $obstacle->text());
        }
    }

    /** @param list<array<string, mixed>> $hands */
    private function task(array $hands): Task
    {
        $document = Shipped::document('feasts/new-roof');
        $document['hands'] = $hands;
        \assert(\is_array($document['groups']) && \is_array($document['groups'][0]));
        $document['groups'][0]['count'] = 40;
        $feast = (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return new Task($feast, Shipped::kitchen(), (new QuantityPlanner(Shipped::larder()))->plan($feast, Shipped::kitchen()));
    }
}
