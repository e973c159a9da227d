<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Explaining\StepAccount;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schools\Choices;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Batches, pots, hands and waits are chosen together until it holds; where nothing holds, the plan says which window it overruns. */
final class MakingSearchTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function crowds(): iterable
    {
        foreach ([60, 600] as $guests) {
            foreach (Shipped::recipes() as $recipe) {
                yield $recipe.' for '.$guests => [$recipe, $guests];
            }
        }
    }

    #[DataProvider('crowds')]
    public function testEverySweetAloneIsInTimeInTheTempleOrSaysWhatBinds(string $recipe, int $guests): void
    {
        $kitchen = Shipped::temple();
        $feast = self::alone($recipe, $guests, $kitchen);
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
        foreach ($plan->obstacles as $obstacle) {
            self::assertStringContainsString('it goes', $obstacle->text(), 'what is not planned was seen to go with what it lacks');
        }
        if (!$plan->isOnTime() && [] === $plan->obstacles) {
            self::assertNotEmpty([...$plan->clocks, ...$plan->overruns, ...$plan->timings['it']->reasons]);
        }
        foreach ($plan->steps as $step) {
            self::assertTrue(self::somebodyIsThere($feast, $step), $step->key->id().' is begun by nobody');
            $atTheSpoon = self::takingTurns($plan, $step);
            self::assertTrue(
                [] === $atTheSpoon
                    || \count(array_unique(array_merge(...array_map(static fn (PlannedStep $s): array => $s->people, $atTheSpoon))))
                        > \count($atTheSpoon),
                $step->key->id().' has nobody who relieves at '.\count($atTheSpoon).' pots',
            );
            $late = self::afterItsWindow($plan, $step);
            self::assertTrue(
                0 === $late || \in_array($step->step->id, array_map(static fn ($o): ?string => $o->obstacle->step, $plan->overruns), true),
                $step->key->id().' has its last piece '.$late.' min after its window, and nothing says so',
            );
            self::assertFalse(
                $step->step->isShared()
                    && $step->minutes() >= 90
                    && \count($step->people) < 2
                    && null === $kitchen->toolFor($step->step->process),
                $step->key->id().' is done by one alone for '.$step->minutes().' min',
            );
        }
    }

    public function testSmallerBatchesSideBySideAreFoundWhereOneGreatPotIsTooSlow(): void
    {
        $kitchen = Shipped::temple();
        $feast = self::alone('basundi', 600, $kitchen);
        $fewest = (new QuantityPlanner(Shipped::larder()))->plan($feast, $kitchen)->dishes['it']->batchPlan->batches;
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        self::assertTrue($plan->isOnTime());
        self::assertGreaterThan($fewest, $plan->quantities->dishes['it']->batchPlan->batches);
        self::assertFalse($plan->quantities->making->isUsual());
        $again = (new QuantityPlanner(Shipped::larder()))->plan($feast, $kitchen, $plan->quantities->making);
        // @phpstan-ignore equal.notAllowed (values are compared, not objects)
        self::assertTrue($again == $plan->quantities, 'the same choice gives the same amounts');
    }

    public function testHandworkIsSharedByThoseWhoAreThereAndSaysSo(): void
    {
        $kitchen = Shipped::temple();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen);
        $shared = array_values(
            array_filter(
                $plan->steps,
                static fn (PlannedStep $s): bool => \count($s->people) > $s->step->work->attention->people
                    && 0 === $s->step->work->attention->turnMinutes,
            ),
        );
        self::assertNotEmpty($shared);
        foreach ($shared as $step) {
            self::assertSame(AttentionKind::Constant, $step->step->work->attention->kind);
            self::assertSame($step->people, array_values(array_unique($step->people)));
            self::assertLessThanOrEqual(40, $step->minutes());
            $said = array_map(static fn ($s): string => $s->text(), (new StepAccount(Shipped::larder()))->of($step, $kitchen));
            self::assertStringContainsString(\count($step->people).' share it', end($said) ?: '');
        }
    }

    public function testASoakLastsShorterWithinWhatTheRecipeLeavesOpenWhereTheNightIsTooLong(): void
    {
        // Soured for ten to sixteen hours at 25 °C: twelve from six in the morning are too late, and from the evening it has soured too
        // long.
        $kitchen = (new KitchenReader())->read(Document::changed(Shipped::document('kitchens/tamarind-ghat'), ['/roomCelsius' => 25]));
        $plan = (new FeastPlanner(Shipped::larder()))->plan(self::alone('jalebi', 60, $kitchen), $kitchen);
        self::assertTrue($plan->isOnTime());
        foreach ($plan->steps as $step) {
            if ('ferment' === $step->key->step) {
                self::assertGreaterThanOrEqual(600, $step->minutes());
                self::assertLessThanOrEqual(960, $step->minutes());
                self::assertNotSame(720, $step->minutes());
                $said = array_map(static fn ($s): string => $s->text(), (new StepAccount(Shipped::larder()))->of($step, $kitchen));
                self::assertStringContainsString('leaves it open from 600 to 960 min', end($said) ?: '');
            }
        }
    }

    public function testWhereNothingHoldsTheWindowIsOverrunByLittleAndSaid(): void
    {
        // Chopped nuts that keep for two minutes, and one pair of hands that must mash before it kneads.
        $document = Document::changed(Shipped::document('recipes/date-nut-rolls'), [
            '/steps/4/keeping/minutes' => 2,
            '/steps/6/ties/0/max' => 1,
        ]);
        self::assertStringContainsString('"id":"chop"', $document);
        $kitchen = Shipped::temple();
        $plan = (new FeastPlanner(Shipped::larder()))->plan(
            self::alone('date-nut-rolls', 120, $kitchen, $document, ['bhima']),
            $kitchen,
        );
        self::assertSame([], $plan->obstacles);
        self::assertFalse($plan->isOnTime());
        self::assertNotEmpty($plan->overruns);
        $overrun = $plan->overruns[0];
        self::assertSame(ObstacleKind::Window, $overrun->obstacle->kind);
        self::assertGreaterThan(0, $overrun->minutes);
        self::assertStringContainsString('too late after', $overrun->obstacle->text());
    }

    /** @return list<PlannedStep> those at which the spoon is handed on while this one begins, itself among them */
    private static function takingTurns(Plan $plan, PlannedStep $step): array
    {
        $turns = static fn (PlannedStep $s): bool => $s->step->work->attention->turnMinutes > 0
            && $s->minutes() > $s->step->work->attention->turnMinutes;

        return !$turns($step)
            ? []
            : array_values(array_filter(
                $plan->steps,
                static fn (PlannedStep $s): bool => $turns($s)
                    && $s->startMinute <= $step->startMinute
                    && $step->startMinute < $s->endMinute,
            ));
    }

    /** Minutes that pieces of a step are done after what its ties give it, from the earliest end of the step before. */
    private static function afterItsWindow(Plan $plan, PlannedStep $step): int
    {
        $late = 0;
        foreach (\in_array($step->step->process, [Process::Shape, Process::Cut, Process::DishUp], true) ? $step->step->ties : [] as $tie) {
            foreach ($plan->steps as $before) {
                if (
                    null !== $tie->maxMinutes
                    && $before->key->dish === $step->key->dish
                    && $before->key->step === $tie->after
                    && $before->key->round->is($step->key->round)
                ) {
                    $late = max($late, $step->endMinute - $before->endMinute - $tie->maxMinutes);
                }
            }
        }

        return $late;
    }

    private static function somebodyIsThere(Feast $feast, PlannedStep $step): bool
    {
        foreach ($feast->shifts as $shift) {
            if ($shift->from <= $step->start && $step->start <= $shift->to) {
                return true;
            }
        }

        return false;
    }

    /** @param list<string> $people those who work; all where none is named */
    private static function alone(string $recipe, int $guests, Kitchen $kitchen, ?string $document = null, array $people = []): Feast
    {
        $feast = ['dishes' => [['id' => 'it', 'recipe' => $recipe]]] + Shipped::document('feasts/boat-lamp');
        unset($feast['boxes']);
        $feast['groups'] = [['id' => 'all', 'name' => 'All', 'count' => $guests, 'at' => 'first']];
        \assert(\is_array($feast['hands']));
        $feast['hands'] = array_values(
            array_filter(
                $feast['hands'],
                static fn (mixed $h): bool => \is_array($h) && ([] === $people || \in_array($h['person'], $people, true)),
            ),
        );
        $shelf = Shipped::shelf();
        if (null !== $document) {
            $shelf = new class($document) implements RecipeShelf {
                public function __construct(private readonly string $document)
                {
                }

                public function find(string $slug, ?int $revision, ?Choices $choices = null): Recipe
                {
                    return (new RecipeReader(Shipped::larder()))->read($this->document, $choices, Shipped::shelf());
                }
            };
        }

        return (new FeastReader($kitchen, $shelf))->read(json_encode($feast, \JSON_THROW_ON_ERROR));
    }
}
