<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\Rhythm;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Modelling\ScheduleBuilder;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Many batches and very short steps: told and timed as a whole. */
final class RhythmTest extends TestCase
{
    public function testManyBatchesHaveABeat(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::bellFeast(), Shipped::bellYard());
        $rhythms = Rhythm::of($plan);
        self::assertSame(['kesari'], array_map(static fn (Rhythm $r): string => $r->dish->dish->id, $rhythms));
        [$kesari] = $rhythms;
        $starts = [];
        foreach ($plan->steps as $step) {
            if ('kesari' === $step->key->dish && null !== $step->key->round->batch) {
                $starts[$step->key->round->batch] = min($starts[$step->key->round->batch] ?? \PHP_INT_MAX, $step->startMinute);
            }
        }
        sort($starts);
        self::assertSame(4, $kesari->batches);
        self::assertGreaterThanOrEqual($starts[1] - $starts[0], $kesari->everyMinutes * 3);
        self::assertContains($kesari->everyMinutes, [$starts[1] - $starts[0], $starts[2] - $starts[1], $starts[3] - $starts[2]]);
        self::assertGreaterThanOrEqual(1, $kesari->atOnce);
        self::assertSame([], Rhythm::of((new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen())));
    }

    /** Five steps of 24 seconds are two minutes, not five; one alone is still a minute. */
    public function testStepsUnderAMinuteAreSummedBeforeTheyAreRounded(): void
    {
        foreach ([[5, 2], [1, 1], [2, 1]] as [$count, $minutes]) {
            $draft = (new ScheduleBuilder(
                $feast = $this->feast($count),
                Shipped::kitchen(),
                Shipped::larder(),
                (new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::kitchen()),
            ))->build();
            $sum = 0;
            foreach ($draft->problem->activities as $id => $activity) {
                $sum += 1 === preg_match('~/s\d+$~', $id) ? $activity->duration->likely : 0;
            }
            self::assertSame($minutes, $sum, "$count steps");
            self::assertTrue((new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::kitchen())->isOnTime());
        }
    }

    private function feast(int $steps): \FeastLadle\Feast\Feast
    {
        $list = [
            [
                'id' => 'mix',
                'process' => 'mix-in',
                'title' => 'Mix',
                'takes' => [['ingredient' => 'sugar', 'grams' => 500], ['ingredient' => 'ghee', 'grams' => 200]],
                'vessel' => ['kind' => 'bowl'],
                'time' => ['grows' => 'fixed', 'minutes' => [4, 5, 8]],
                'attention' => ['kind' => 'constant'],
            ],
        ];
        for ($i = 1; $i <= $steps; ++$i) {
            $before = 1 === $i ? 'mix' : 's'.($i - 1);
            $list[] = [
                'id' => "s$i",
                'process' => 'mix-in',
                'title' => "Pinch $i",
                'takes' => [['from' => $before], ['ingredient' => 'cardamom', 'grams' => 1]],
                'vessel' => ['kind' => 'bowl', 'continues' => $before],
                'time' => ['grows' => 'fixed', 'minutes' => [0.2, 0.4, 0.6]],
                'attention' => ['kind' => 'constant'],
            ];
        }
        $recipe = (new RecipeReader(Shipped::larder()))->read(
            json_encode(
                [
                    'format' => 'feast-ladle/recipe',
                    'version' => 1,
                    'slug' => 'pinches',
                    'name' => 'Pinches',
                    'serving' => ['way' => 'room', 'keepMinutes' => 600],
                    'portion' => ['grams' => 20],
                    'steps' => $list,
                    'result' => "s$steps",
                ],
                \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
            ),
        );
        $shelf = new class($recipe) implements RecipeShelf {
            public function __construct(private readonly Recipe $recipe)
            {
            }

            public function find(string $slug, ?int $revision, ?Choices $choices = null): Recipe
            {
                return $this->recipe;
            }
        };

        return (new FeastReader(Shipped::kitchen(), $shelf))->read(
            json_encode(
                ['dishes' => [['id' => 'pinches', 'recipe' => 'pinches']]] + Shipped::document('feasts/new-roof'),
                \JSON_THROW_ON_ERROR,
            ),
        );
    }
}
