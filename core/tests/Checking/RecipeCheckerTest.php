<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Checking;

use FeastLadle\Checking\Finding;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Checking\Severity;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeCheckerTest extends TestCase
{
    public function testEveryWayOfEveryShippedRecipeIsClean(): void
    {
        $ways = 0;
        foreach (Shipped::recipes() as $slug) {
            foreach (Shipped::everyWay($slug) as $recipe) {
                ++$ways;
                self::assertSame(
                    [],
                    array_map(
                        static fn (Finding $f): string => $f->step.': '.$f->reason->text(),
                        (new RecipeChecker(Shipped::larder()))->check($recipe),
                    ),
                    $slug.' '.implode(' ', $recipe->way->options),
                );
            }
        }
        self::assertGreaterThan(100, $ways);
    }

    public function testADialAtEitherEndLeavesADishThatStillWorks(): void
    {
        foreach (Shipped::recipes() as $slug) {
            foreach (Shipped::recipe($slug)->way->dials as $dial) {
                foreach ([$dial->least, $dial->most] as $value) {
                    $turned = Shipped::recipe($slug, new Choices([], [$dial->kind->value => $value]));
                    self::assertSame(
                        [],
                        array_map(
                            static fn (Finding $f): string => $f->step.': '.$f->reason->text(),
                            (new RecipeChecker(Shipped::larder()))->check($turned),
                        ),
                        $slug.' '.$dial->kind->value.' '.$value,
                    );
                }
            }
        }
    }

    /**
     * @return iterable<string, array{string, array<string, mixed>, Severity, string, string}> recipe, changes, severity,
     *     step, part of the reason
     */
    public static function flawed(): iterable
    {
        yield 'lukewarm in the cold' => [
            'yoghurt-sweet',
            ['/steps/5/target/value' => 8],
            Severity::Warning,
            'chill',
            'chilled to 8 °C only',
        ];
        yield 'a mass is fried' => [
            'milk-solids-balls',
            [
                '/steps/3/process' => 'knead',
                '/steps/3/pieces' => null,
                '/steps/3/time' => ['grows' => 'fixed', 'minutes' => [5, 8, 10]],
            ],
            Severity::Error,
            'fry',
            'does not come in pieces',
        ];
        yield 'a syrup past its stage before it boils' => [
            'milk-solids-balls',
            ['/steps/0/takes/1/grams' => 300],
            Severity::Error,
            'syrup',
            'past "tacky"',
        ];
        yield 'a stage without sugar' => [
            'milk-solids-balls',
            ['/steps/0/takes/0' => ['ingredient' => 'water', 'grams' => 700]],
            Severity::Error,
            'syrup',
            'no sugar in the pot',
        ];
        yield 'more reduced than there is water' => [
            'basundi',
            ['/steps/1/target/value' => 0.1],
            Severity::Error,
            'reduce',
            'would have to leave',
        ];
        yield 'ties that leave no time between' => [
            'pineapple-kesari',
            ['/steps/7/ties/1' => ['after' => 'roast', 'max' => 1], '/steps/6/time/minutes' => [5, 6, 7]],
            Severity::Error,
            'merge',
            'cannot all keep their ties',
        ];
        yield 'a wait longer than it keeps' => [
            'basundi',
            ['/steps/8/ties' => [['after' => 'chill', 'min' => 2000]]],
            Severity::Error,
            'dish-up',
            'keeps only 1200 min',
        ];
        yield 'warm and wet, and nobody says for how long' => [
            'filled-flatbread',
            ['/steps/4/ties' => []],
            Severity::Warning,
            'filling',
            'is warm and wet',
        ];
        yield 'done by taste alone' => [
            'basundi',
            ['/steps/5/cues' => [['kind' => 'done', 'sign' => 'Sweet enough', 'tasting' => true]]],
            Severity::Warning,
            'sweeten',
            'is its taste',
        ];
        yield 'never left, but when does it end' => [
            'coconut-rose-barfi',
            ['/steps/0/cues' => []],
            Severity::Warning,
            'cook',
            'nothing says when',
        ];
        yield 'a wrong sign without rescue' => [
            'basundi',
            ['/steps/1/cues/2/rescue' => null],
            Severity::Warning,
            'reduce',
            'has no rescue',
        ];
        yield 'hot fat left alone' => [
            'milk-solids-balls',
            ['/steps/4/attention' => ['kind' => 'watch']],
            Severity::Error,
            'fry',
            'left alone',
        ];
        yield 'hotter than it boils' => [
            'pineapple-kesari',
            ['/steps/2/target/value' => 130],
            Severity::Error,
            'liquid',
            'boils at 10',
        ];
        yield 'a cooker opened under pressure' => ['sweet-pongal', ['/steps/3/ties' => []], Severity::Error, 'mash', 'under pressure'];
        yield 'hot fat ladled by one alone' => [
            'gram-honeycomb',
            ['/steps/4/attention/people' => 1],
            Severity::Error,
            'froth',
            'by one person',
        ];
        yield 'a child at the fire' => [
            'basundi',
            ['/steps/0/attention/skill' => 'child'],
            Severity::Error,
            'boil',
            'child would stand at the fire',
        ];
        yield 'nobody takes over the spoon' => [
            'ash-gourd-halwa',
            ['/steps/3/attention/turns' => 0],
            Severity::Warning,
            'stir',
            'without anyone taking over',
        ];
        yield 'first pressing boiled' => [
            'pulse-coconut-pudding',
            ['/steps/8/target' => null, '/steps/8/flame' => 'low'],
            Severity::Warning,
            'finish',
            'splits above 85',
        ];
        yield 'a side that is not hot enough' => [
            'sago-milk',
            ['/steps/2/target/value' => 60],
            Severity::Warning,
            'pearls',
            'wants at least 85',
        ];
        yield 'a side that is too hot' => [
            'roasted-gram-balls',
            ['/steps/2/target/value' => 70],
            Severity::Warning,
            'sugar',
            'wants at most 45',
        ];
        yield 'a hot side nothing keeps hot' => ['sago-milk', ['/steps/3/ties' => []], Severity::Warning, 'pearls', 'Nothing keeps'];
        yield 'more fat pressed out than there is' => [
            'pulse-coconut-pudding',
            ['/steps/1/outputs/0/share' => 0.9, '/steps/1/outputs/1/share' => 0.1, '/steps/1/takes/0/grams' => 300],
            Severity::Error,
            'press-1',
            'Its outputs hold',
        ];
        yield 'less than one portion' => [
            'basundi',
            ['/portion/grams' => 1999, '/steps/0/takes/0/grams' => 1000],
            Severity::Warning,
            'dish-up',
            'of a portion',
        ];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('flawed')]
    public function testAFlawIsFoundAtItsStepWithItsReasonAndAdvice(
        string $recipe,
        array $changes,
        Severity $severity,
        string $step,
        string $reason,
    ): void {
        $read = (new RecipeReader(Shipped::larder()))->read(
            Document::changed(Shipped::document('recipes/'.$recipe), $changes),
            null,
            Shipped::shelf(),
        );
        foreach ((new RecipeChecker(Shipped::larder()))->check($read) as $finding) {
            if ($finding->step === $step && str_contains($finding->reason->text(), $reason)) {
                self::assertSame($severity, $finding->severity);
                self::assertNotSame('', $finding->advice->text());
                self::assertStringNotContainsString('{', $finding->reason->text().$finding->advice->text());

                return;
            }
        }
        self::fail('The flaw was not found.');
    }

    public function testErrorsStandBeforeWarnings(): void
    {
        $read = (new RecipeReader(Shipped::larder()))->read(
            Document::changed(Shipped::document('recipes/basundi'), ['/steps/0/cues/1/rescue' => null, '/steps/1/target/value' => 0.1]),
        );
        // No rescue for a cue, milk that never boils so far, and sand in what is left.
        self::assertSame(
            [Severity::Error, Severity::Warning, Severity::Warning],
            array_map(static fn (Finding $f): Severity => $f->severity, (new RecipeChecker(Shipped::larder()))->check($read)),
        );
    }
}
