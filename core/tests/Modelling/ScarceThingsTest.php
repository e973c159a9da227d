<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Modelling;

use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Modelling\ResourceNames;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schedule\Need;
use FeastLadle\Schools\Choices;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What there is too little of: bowls, room to dry, hands for a long stir. */
final class ScarceThingsTest extends TestCase
{
    public function testBatchesThatStandFullAtOnceAreProvenToNeedMoreBowls(): void
    {
        $document = Shipped::document('kitchens/kumbhar-lane');
        $obstacles = $this->alone('basundi', 120, $document)->obstacles;
        self::assertCount(1, $obstacles);
        self::assertStringContainsString('stand full at once', $obstacles[0]->text());
        self::assertStringContainsString('only 2 can hold them: ', $obstacles[0]->text());
        // One bowl more, as it says, and that is no longer in the way.
        /** @var list<array<string, mixed>> $vessels */
        $vessels = $document['vessels'];
        foreach ($vessels as $vessel) {
            if ('bowl-1' === $vessel['id']) {
                $vessels[] = ['id' => 'bowl-9', 'name' => 'A neighbour\'s bowl'] + $vessel;
            }
        }
        foreach ($this->alone('basundi', 120, [...$document, 'vessels' => $vessels])->obstacles as $obstacle) {
            self::assertStringNotContainsString('stand full at once', $obstacle->text());
        }
    }

    public function testWhatDriesTakesRoomAndTooLittleOfItIsSaid(): void
    {
        $taken = array_merge(
            ...array_map(
                static fn ($a): array => array_filter($a->needs, static fn ($n): bool => ['drying-space'] === $n->from),
                array_values($this->diamonds(2.0)->problem->activities),
            ),
        );
        self::assertCount(1, $taken);
        self::assertGreaterThan(1, $taken[0]->units);
        $obstacles = $this->diamonds(0.01)->obstacles;
        self::assertNotEmpty($obstacles);
        self::assertStringContainsString('m² to be spread on; there are 0.01', $obstacles[0]->text());
        self::assertSame([], $this->diamonds(0.0)->obstacles, 'Nothing told: as much as is needed.');
    }

    public function testAMassThatIsFriedIsNamedAndNotCalledTooBig(): void
    {
        $shelf = new class implements RecipeShelf {
            public function find(string $slug, ?int $revision, ?Choices $choices = null): Recipe
            {
                $document = Document::changed(Shipped::document('recipes/milk-solids-balls'), [
                    '/steps/3/process' => 'knead',
                    '/steps/3/pieces' => null,
                    '/steps/3/time' => ['grows' => 'fixed', 'minutes' => [5, 8, 10]],
                ]);

                return (new RecipeReader(Shipped::larder()))->read($document, $choices, Shipped::shelf());
            }
        };
        $feast = ['dishes' => [['id' => 'it', 'recipe' => 'milk-solids-balls']]] + Shipped::document('feasts/new-roof');
        $plan = (new FeastPlanner(Shipped::larder()))->plan(
            (new FeastReader(Shipped::kitchen(), $shelf))->read(json_encode($feast, \JSON_THROW_ON_ERROR)),
            Shipped::kitchen(),
        );
        self::assertCount(1, $plan->obstacles);
        self::assertSame(['fry', ObstacleKind::Stage], [$plan->obstacles[0]->step, $plan->obstacles[0]->kind]);
        self::assertStringContainsString('does not come in pieces', $plan->obstacles[0]->text());
    }

    public function testALongStirIsHandedOn(): void
    {
        $feast = Shipped::bellFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::bellYard());
        $stirs = array_filter(
            $plan->steps,
            static fn ($s): bool => $s->step->work->attention->turnMinutes > 0 && $s->minutes() > $s->step->work->attention->turnMinutes,
        );
        self::assertNotEmpty($stirs);
        foreach ($stirs as $step) {
            self::assertCount(2, array_unique($step->people), $step->activity);
            // One at the spoon and one who takes it over, five hundredths more together, and neither can do both.
            $units = array_filter(array_map(
                static fn (Need $n): int => $n->units,
                $plan->problem->activities[$step->activity]->needs,
            ), static fn (int $u): bool => $u > 30);
            self::assertCount(2, $units, $step->activity);
            self::assertGreaterThanOrEqual($step->step->work->attention->percent + 5, array_sum($units), $step->activity);
            self::assertGreaterThan(100, array_sum($units), $step->activity);
            $together = array_filter(
                $stirs,
                static fn ($s): bool => $s->startMinute <= $step->startMinute && $step->startMinute < $s->endMinute,
            );
            self::assertGreaterThan(
                \count($together),
                \count(array_unique(array_merge(...array_map(static fn ($s): array => $s->people, array_values($together))))),
                'one more than there are pots',
            );
        }
    }

    private function diamonds(float $squareMetres): Plan
    {
        return $this->alone('cashew-diamonds', 18, ['dryingM2' => $squareMetres] + Shipped::document('kitchens/kumbhar-lane'));
    }

    /** @param array<string, mixed> $kitchen a document */
    private function alone(string $recipe, int $grownUps, array $kitchen): Plan
    {
        $at = (new KitchenReader())->read(json_encode($kitchen, \JSON_THROW_ON_ERROR));
        $document = Shipped::document('feasts/new-roof');
        \assert(\is_array($document['groups']) && \is_array($document['groups'][0]));
        $document['groups'][0]['count'] = $grownUps;
        $document['dishes'] = [['id' => 'alone', 'recipe' => $recipe]];
        $feast = (new FeastReader($at, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return (new FeastPlanner(Shipped::larder()))->plan($feast, $at);
    }

    public function testHotFatStaysOnItsFireUntilTheLastLadle(): void
    {
        $plan = $this->alone('gram-honeycomb', 20, Shipped::document('kitchens/kumbhar-lane'));
        self::assertSame([], $plan->obstacles);
        $fires = [];
        foreach ($plan->steps as $step) {
            $fires[$step->step->id] = $step->burner;
        }
        $taken = array_merge(...$plan->solution->activities['alone/1/froth']->uses);
        self::assertContains($fires['fat'], $taken);
        self::assertNotSame($fires['fat'], $fires['froth'], 'the mass stands on another fire');
        self::assertContains($fires['froth'], $taken);
    }

    public function testEveryResourceOfAPlanHasACooksName(): void
    {
        $kitchen = Shipped::temple();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen);
        self::assertArrayHasKey('tool:stone-grinder', $plan->problem->resources);
        foreach (array_keys($plan->problem->resources) as $resource) {
            self::assertNotSame($resource, ResourceNames::of($kitchen, $resource));
        }
        self::assertSame('Stone grinder, the cold space', ResourceNames::list($kitchen, ['tool:stone-grinder', 'cold-space']));
    }
}
