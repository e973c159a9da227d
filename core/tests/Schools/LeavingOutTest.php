<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schools;

use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Checking\Severity;
use FeastLadle\Document\Fault;
use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\Node;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Schools\Choices;
use FeastLadle\Schools\ChoicesReader;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Steps that may be left out when time is short. */
final class LeavingOutTest extends TestCase
{
    public function testWhatAStepOnlyAddsIsGoneWithItsBowls(): void
    {
        $without = Shipped::recipe('pulse-coconut-pudding', new Choices(leftOut: ['garnish']));

        self::assertArrayNotHasKey('garnish', $without->steps);
        self::assertNotContains('garnish', $without->step('finish')->sources());
        self::assertNotContains('garnish', $without->step('dish-up')->sources());
        $with = Ledger::follow(Shipped::recipe('pulse-coconut-pudding'), Shipped::larder(), 1.0, 1, Climate::usual());
        $less = Ledger::follow($without, Shipped::larder(), 1.0, 1, Climate::usual());
        self::assertEqualsWithDelta($with->flow('garnish')->gives->massGrams(), $with->yieldGrams() - $less->yieldGrams(), 0.5);
    }

    public function testWhatAStepWorksOnIsTakenAsItCame(): void
    {
        $document = Shipped::document('recipes/basundi');
        $recipe = (new RecipeReader(Shipped::larder()))->read(
            Document::changed($document, ['/steps/6/may' => true, '/steps/7/ties/0/max' => 20]),
            new Choices(leftOut: ['cool']),
            Shipped::shelf(),
        );

        self::assertArrayNotHasKey('cool', $recipe->steps);
        self::assertSame(['sweeten'], $recipe->step('chill')->sources());
        self::assertSame('sweeten', $recipe->step('chill')->ties[0]->after, 'the tie goes to what came before');
        self::assertSame(20, $recipe->step('chill')->ties[0]->maxMinutes);
    }

    public function testTheContentsStayInTheirVessel(): void
    {
        $document = Document::changed(Shipped::document('recipes/basundi'), ['/steps/5/may' => true]);
        $recipe = (new RecipeReader(Shipped::larder()))->read($document, new Choices(leftOut: ['sweeten']), Shipped::shelf());

        self::assertSame('reduce', $recipe->step('cool')->vessel?->continues);
    }

    public function testAnEasierWayIsReadByTheSchoolToo(): void
    {
        $pressed = Shipped::recipe('sesame-balls', new Choices(['shape' => 'pressed']));

        self::assertSame(['press'], $pressed->step('roll')->sources());
        self::assertSame(1, $pressed->step('roll')->work->attention->people);
        self::assertNotSame('', $pressed->way->schools[0]->options['pressed']->loses);
        self::assertFalse($pressed->isWorkedLike(Shipped::recipe('sesame-balls')));
    }

    public function testOtherAmountsAreTheSameWork(): void
    {
        $written = Shipped::recipe('pineapple-kesari');

        self::assertTrue($written->isWorkedLike(Shipped::recipe('pineapple-kesari', new Choices(['texture' => 'moist']))));
        self::assertFalse($written->isWorkedLike(Shipped::recipe('pineapple-kesari', new Choices(['roast' => 'dry']))));
    }

    /** @return iterable<string, array{string}> */
    public static function optional(): iterable
    {
        foreach (Shipped::recipes() as $slug) {
            if ([] !== Shipped::recipe($slug)->way->optional) {
                yield $slug => [$slug];
            }
        }
    }

    #[DataProvider('optional')]
    public function testEveryWayWithoutAStepStillChecksClean(string $slug): void
    {
        $less = array_values(array_filter(Shipped::everyWay($slug), static fn (Recipe $r): bool => [] !== $r->way->choices->leftOut));
        self::assertNotSame([], $less);
        foreach ($less as $recipe) {
            foreach ((new RecipeChecker(Shipped::larder()))->check($recipe) as $finding) {
                self::assertNotSame(Severity::Error, $finding->severity, $finding->reason->text());
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function faults(): iterable
    {
        yield 'the last step' => [['/steps/8/may' => true], '/steps/8/may', 'last step'];
        yield 'what brings several together' => [
            ['/steps/5/takes/4' => ['from' => 'boil'], '/steps/5/may' => true],
            '/steps/5/may',
            'several things together',
        ];
        yield 'a loss without leave' => [['/steps/5/loses' => 'sweetness'], '/steps/5/loses', 'Say "may" too'];
        yield 'neither yes nor no' => [['/steps/5/may' => 'perhaps'], '/steps/5/may', 'true or false'];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('faults')]
    public function testWhatCanNotBeLeftOutIsRefused(array $changes, string $pointer, string $says): void
    {
        try {
            (new RecipeReader(Shipped::larder()))->readEvery(
                Document::changed(Shipped::document('recipes/basundi'), $changes),
                Shipped::shelf(),
            );
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertContains($pointer, array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults), $faulty->getMessage());
            self::assertStringContainsString($says, $faulty->getMessage());
        }
    }

    public function testOnlyWhatMayBeLeftOutIsChosen(): void
    {
        $faults = new Faults();
        $choices = (new ChoicesReader())->read(Node::root(['leftOut' => ['roast']], $faults), Shipped::recipe('pineapple-kesari')->way);

        self::assertTrue($choices->isAsWritten());
        self::assertSame('/leftOut/0', $faults->all()[0]->pointer);
        self::assertStringContainsString('these may: nuts', $faults->all()[0]->message());
    }

    public function testAFeastGoesWithoutAStepAndHasFewerMinutesByHand(): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        $with = $planner->plan(Shipped::templeFeast(), Shipped::temple());
        $without = $planner->plan(
            Shipped::templeFeast(static function (array $document): array {
                \assert(\is_array($document['dishes']));
                $document['dishes'] = array_map(
                    static fn (mixed $dish): mixed => \is_array($dish) && 'pulse-coconut-pudding' === $dish['recipe']
                        ? [...$dish, 'leftOut' => ['garnish']]
                        : $dish,
                    $document['dishes'],
                );

                return $document;
            }),
            Shipped::temple(),
        );

        self::assertTrue($without->isOnTime());
        self::assertNotContains('garnish', array_map(static fn ($s): string => $s->key->step, $without->steps));
        $hands = static fn (Plan $plan): int => array_sum(array_map(
            static fn (PlannedStep $s): int => 'pudding' === $s->key->dish && AttentionKind::Constant === $s->step->work->attention->kind
                ? $s->minutes() * \count($s->people)
                : 0,
            $plan->steps,
        ));
        self::assertLessThan($hands($with), $hands($without));
    }
}
