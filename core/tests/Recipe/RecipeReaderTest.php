<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Recipe;

use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeReaderTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function shipped(): iterable
    {
        foreach (['pineapple-kesari', 'basundi', 'milk-solids-balls', 'coconut-rose-barfi'] as $slug) {
            yield $slug => [$slug];
        }
    }

    #[DataProvider('shipped')]
    public function testEveryShippedRecipeReadsAndKeepsItsMass(string $slug): void
    {
        $recipe = Shipped::recipe($slug);
        $larder = Shipped::larder();
        $ledger = Ledger::follow($recipe, $larder, 1.0, 1);
        foreach ($ledger->flows as $flow) {
            self::assertEqualsWithDelta($flow->taken->massGrams() - $flow->waterOff + $flow->fatDrunk, $flow->gives->massGrams(), 1e-6, $flow->step->id);
            self::assertGreaterThanOrEqual(-1e-9, $flow->gives->waterGrams($larder), $flow->step->id);
        }
        self::assertSame($slug, $recipe->slug);
        self::assertGreaterThan(0, $ledger->yieldGrams());
    }

    #[DataProvider('shipped')]
    public function testEveryStepStandsAfterThoseItTakesFrom(string $slug): void
    {
        $seen = [];
        foreach (Shipped::recipe($slug)->steps as $step) {
            foreach ($step->sources() as $source) {
                self::assertArrayHasKey($source, $seen);
            }
            $seen[$step->id] = true;
        }
    }

    /** @return iterable<string, array{\Closure(array<string, mixed>): array<string, mixed>, list<string>, string}> change, pointers, part of the message */
    public static function faults(): iterable
    {
        $steps = static fn (\Closure $change): \Closure => static function (array $recipe) use ($change): array {
            \assert(\is_array($recipe['steps']));
            $recipe['steps'] = $change($recipe['steps']);

            return $recipe;
        };
        yield 'an ingredient the larder lacks' => [$steps(static function (array $s): array {
            $s[0]['takes'][0]['ingredient'] = 'moonbeams';

            return $s;
        }), ['/steps/0/takes/0/ingredient'], 'holds no "moonbeams"'];
        yield 'a source that is no step' => [$steps(static function (array $s): array {
            $s[1]['takes'][0]['from'] = 'nowhere';

            return $s;
        }), ['/steps/1/takes/0/from', '/steps/1/vessel/continues', '/steps/0'], 'no step "nowhere"'];
        yield 'a circle of steps' => [$steps(static function (array $s): array {
            $s[0]['ties'] = [['after' => 'chill']];

            return $s;
        }), ['/steps/0'], 'boil → chill → cool → sweeten → reduce → boil'];
        yield 'a step id used twice' => [$steps(static function (array $s): array {
            $s[4]['id'] = 'cool';
            $s[5]['takes'][0]['from'] = 'cool';

            return $s;
        }), ['/steps/4/id', '/steps/2', '/steps/4', '/steps/4'], 'used twice'];
        yield 'a negative amount' => [$steps(static function (array $s): array {
            $s[0]['takes'][0]['grams'] = -3000;

            return $s;
        }), ['/steps/0/takes/0/grams'], 'from 0.01 to 100000, not -3000'];
        yield 'a flame under no pot' => [$steps(static function (array $s): array {
            unset($s[0]['vessel'], $s[1]['vessel']['continues']);

            return $s;
        }), ['/steps/0/flame'], 'needs a pot or a pan'];
        yield 'a gap that ends before it begins' => [$steps(static function (array $s): array {
            $s[1]['ties'] = [['after' => 'boil', 'min' => 10, 'max' => 5]];

            return $s;
        }), ['/steps/1/ties/0/max'], 'shorter than the shortest'];
        yield 'a misspelt field' => [$steps(static function (array $s): array {
            $s[0]['atention'] = $s[0]['attention'];
            unset($s[0]['attention']);

            return $s;
        }), ['/steps/0/atention', '/steps/0/attention'], 'no field "atention"'];
        yield 'an unknown process' => [$steps(static function (array $s): array {
            $s[0]['process'] = 'microwave';

            return $s;
        }), ['/steps/0/process'], 'not "microwave"'];
        yield 'boiling off without a target' => [$steps(static function (array $s): array {
            unset($s[1]['target']);

            return $s;
        }), ['/steps/1/target'], 'needs a target'];
        yield 'more taken than there is' => [$steps(static function (array $s): array {
            $s[5]['takes'][] = ['from' => 'sweeten', 'share' => 0.5];

            return $s;
        }), ['/steps/2'], '150 %'];
        yield 'a result that is no step' => [static function (array $recipe): array {
            $recipe['result'] = 'applause';

            return $recipe;
        }, ['/result', '/steps/5'], 'no step "applause"'];
    }

    /**
     * @param \Closure(array<string, mixed>): array<string, mixed> $change
     * @param list<string>                                         $pointers
     */
    #[DataProvider('faults')]
    public function testEveryFaultIsReportedWithItsPointer(\Closure $change, array $pointers, string $says): void
    {
        try {
            $this->read($change(Shipped::document('recipes/basundi')));
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame($pointers, array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
            self::assertStringContainsString($says, $faulty->getMessage());
        }
    }

    public function testAllFaultsOfAFileAreReportedAtOnce(): void
    {
        $recipe = Shipped::document('recipes/basundi');
        \assert(\is_array($recipe['steps']));
        $recipe['version'] = 9;
        $recipe['slug'] = 'Not A Slug';
        $recipe['steps'][0]['flame'] = 'inferno';
        $recipe['steps'][2]['time'] = ['grows' => 'fixed', 'minutes' => [9, 3]];
        try {
            $this->read($recipe);
            self::fail('The faults were not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame(['/version', '/slug', '/steps/0/flame', '/steps/0/flame', '/steps/2/time/minutes', '/steps/2/time/minutes'], array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
        }
    }

    /** @param array<string, mixed> $document */
    private function read(array $document): Recipe
    {
        return (new RecipeReader(Shipped::larder()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }
}
