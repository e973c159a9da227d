<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Recipe;

use FeastLadle\Document\Fault;
use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\Node;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Danger;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Recipe\Output;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeReaderTest extends TestCase
{
    /** @return iterable<string, array{Recipe}> every shipped recipe by every way of doing it that it allows */
    public static function ways(): iterable
    {
        foreach (Shipped::recipes() as $slug) {
            foreach (Shipped::everyWay($slug) as $recipe) {
                yield implode(' ', [
                    $slug,
                    ...$recipe->way->options,
                    ...array_map(static fn (string $id): string => 'without '.$id, $recipe->way->choices->leftOut),
                ]) => [$recipe];
            }
        }
    }

    #[DataProvider('ways')]
    public function testEveryWayOfEveryShippedRecipeKeepsItsMass(Recipe $recipe): void
    {
        $larder = Shipped::larder();
        $ledger = Ledger::follow($recipe, $larder, 1.0, 1, Climate::usual());
        foreach ($ledger->flows as $flow) {
            $wasted =
                $flow->waste -
                array_sum(
                    array_map(
                        static fn (Output $o): float => $o->waste ? $flow->outputs[$o->id]->massGrams() : 0.0,
                        $flow->step->gives->outputs,
                    ),
                );
            self::assertEqualsWithDelta(
                $flow->taken->massGrams() - $flow->waterOff + $flow->fatDrunk - $wasted,
                $flow->gives->massGrams(),
                1e-6,
                $flow->step->id,
            );
            self::assertGreaterThanOrEqual(-1e-9, $flow->gives->waterGrams($larder), $flow->step->id);
            if ([] !== $flow->outputs) {
                self::assertEqualsWithDelta(
                    $flow->gives->massGrams(),
                    array_sum(array_map(static fn ($c): float => $c->massGrams(), $flow->outputs)),
                    0.002 * $flow->gives->massGrams(),
                    $flow->step->id,
                );
            }
        }
        self::assertGreaterThan(0, $ledger->yieldGrams());
    }

    #[DataProvider('ways')]
    public function testEveryStepStandsAfterThoseItTakesFrom(Recipe $recipe): void
    {
        $seen = [];
        foreach ($recipe->steps as $step) {
            foreach ($step->sources() as $source) {
                self::assertArrayHasKey($source, $seen);
            }
            $seen[$step->id] = true;
        }
        self::assertArrayHasKey($recipe->lastStep, $seen);
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>, string}> changes, pointers, part of the message */
    public static function faults(): iterable
    {
        yield 'an ingredient the larder lacks' => [
            ['/steps/0/takes/0/ingredient' => 'moonbeams'],
            ['/steps/0/takes/0/ingredient'],
            'holds no "moonbeams"',
        ];
        yield 'a source that is no step' => [
            ['/steps/1/takes/0/from' => 'nowhere'],
            ['/steps/1/takes/0/from', '/steps/1/vessel/continues', '/steps/0'],
            'no step "nowhere"',
        ];
        yield 'a circle of steps' => [
            ['/steps/0/ties' => [['after' => 'chill']]],
            ['/steps/0'],
            'boil → chill → cool → sweeten → reduce → boil',
        ];
        yield 'a step id used twice' => [
            ['/steps/7/id' => 'cool', '/steps/8/takes/0/from' => 'cool'],
            ['/steps/7/id', '/steps/5', '/steps/7', '/steps/7'],
            'used twice',
        ];
        yield 'a negative amount' => [
            ['/steps/0/takes/0/grams' => -3000],
            ['/steps/0/takes/0/grams'],
            'from 0.01 to 100000, not -3000',
        ];
        yield 'a flame under no pot' => [
            ['/steps/0/vessel' => null, '/steps/1/vessel' => ['kind' => 'pot']],
            ['/steps/0/flame'],
            'needs a pot or a pan',
        ];
        yield 'a gap that ends before it begins' => [
            ['/steps/1/ties' => [['after' => 'boil', 'min' => 10, 'max' => 5]]],
            ['/steps/1/ties/0/max'],
            'shorter than the shortest',
        ];
        yield 'a misspelt field' => [
            ['/steps/0/atention' => ['kind' => 'none'], '/steps/0/attention' => null],
            ['/steps/0/atention', '/steps/0/attention'],
            'no field "atention"',
        ];
        yield 'an unknown process' => [['/steps/0/process' => 'microwave'], ['/steps/0/process'], 'not "microwave"'];
        yield 'boiling off without a target' => [['/steps/1/target' => null], ['/steps/1/target'], 'needs a target'];
        yield 'more taken than there is' => [['/steps/8/takes/3' => ['from' => 'sweeten', 'share' => 0.5]], ['/steps/5'], '150 %'];
        yield 'a result that is no step' => [['/result' => 'applause'], ['/result', '/steps/8'], 'no step "applause"'];
    }

    /**
     * @param array<string, mixed> $changes
     * @param list<string>         $pointers
     */
    #[DataProvider('faults')]
    public function testEveryFaultIsReportedWithItsPointer(array $changes, array $pointers, string $says): void
    {
        try {
            $this->read($changes);
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame($pointers, array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
            self::assertStringContainsString($says, $faulty->getMessage());
        }
    }

    public function testAllFaultsOfAFileAreReportedAtOnce(): void
    {
        try {
            $this->read([
                '/version' => 9,
                '/slug' => 'Not A Slug',
                '/steps/0/flame' => 'inferno',
                '/steps/5/time' => ['grows' => 'fixed', 'minutes' => [9, 3]],
            ]);
            self::fail('The faults were not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame(
                ['/version', '/slug', '/steps/0/flame', '/steps/0/flame', '/steps/5/time/minutes', '/steps/5/time/minutes'],
                array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults),
            );
        }
    }

    /** @param array<string, mixed> $changes */
    private function read(array $changes): Recipe
    {
        return (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/basundi'), $changes));
    }

    public function testARecipeBringsItsOwnThings(): void
    {
        $larder = (new LarderReader())->read(Shipped::json('larder'));
        $document = Shipped::document('recipes/barley-milk-with-hill-berries');
        $recipe = (new RecipeReader($larder))->read((string) json_encode($document));
        self::assertSame('hill-barley', $recipe->step('soak')->takes[0]->ingredient);
        $root = Node::root($document, new Faults());
        [$barley, $berries] = (new LarderReader())->brought($root->at('ingredients'));
        self::assertSame(['barley'], $barley->caveats->allergens);
        self::assertSame([], $barley->caveats->hazards);
        self::assertSame([Danger::Unknown], $berries->caveats->hazards, 'only its name is known');
        unset($document['ingredients']);
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage('hill-barley');
        (new RecipeReader($larder))->read((string) json_encode($document));
    }
}
