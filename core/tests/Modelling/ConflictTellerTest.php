<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Modelling;

use FeastLadle\Modelling\ConflictTeller;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\ConflictKind;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands in the way is told by titles and names: the problem's own ids and minutes never reach a cook. */
final class ConflictTellerTest extends TestCase
{
    /** @return iterable<string, array{ConflictKind, ObstacleKind}> */
    public static function kinds(): iterable
    {
        foreach (ConflictKind::cases() as $kind) {
            yield $kind->value => [
                $kind,
                match ($kind) {
                    ConflictKind::Hold, ConflictKind::Resource, ConflictKind::Need => ObstacleKind::Vessel,
                    ConflictKind::Calendar => ObstacleKind::Hands,
                    default => ObstacleKind::Window,
                },
            ];
        }
    }

    #[DataProvider('kinds')]
    public function testEveryKindNamesTheStepsAndWhatTheyLackAndNoId(ConflictKind $kind, ObstacleKind $lacks): void
    {
        $kitchen = Shipped::kitchen();
        $quantities = (new FeastPlanner(Shipped::larder()))->quantities(Shipped::feast(), $kitchen);
        $model = (new Solve(Shipped::larder()))->model(new Task(Shipped::feast(), $kitchen, $quantities));
        $activity = (string) array_key_first($model->steps);
        $key = $model->steps[$activity];
        $title = $quantities->dishes[$key->dish]->dish->recipe->step($key->step)->title;
        $vessel = $kitchen->vessels[array_key_first($kitchen->vessels)];
        $conflict = new Conflict($kind, $activity.' cannot start before 345, and must start by 12', [$activity, $activity], [$vessel->id]);
        foreach (['', $key->dish] as $dish) {
            $told = (new ConflictTeller($model, $quantities, $kitchen))->tell($conflict, $dish);
            self::assertSame($dish, $told->dish);
            self::assertSame($lacks, $told->kind);
            self::assertStringContainsString('{steps}', $told->sentence->id);
            self::assertSame($title, $told->sentence->values['steps']);
            self::assertStringNotContainsString('345', $told->sentence->id);
            if (str_contains($told->sentence->id, '{things}')) {
                self::assertSame($vessel->name, $told->sentence->values['things']);
            }
        }
    }

    public function testStepsThatAreNotOfTheFeastAreNotNamedByTheirIds(): void
    {
        $kitchen = Shipped::kitchen();
        $quantities = (new FeastPlanner(Shipped::larder()))->quantities(Shipped::feast(), $kitchen);
        $model = (new Solve(Shipped::larder()))->model(new Task(Shipped::feast(), $kitchen, $quantities));
        $told = (new ConflictTeller($model, $quantities, $kitchen))->tell(new Conflict(ConflictKind::Window, 'x', ['no/such/step']));
        self::assertSame('Its times contradict one another.', $told->sentence->id);
    }
}
