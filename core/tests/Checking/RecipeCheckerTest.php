<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Checking;

use FeastLadle\Checking\Finding;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Checking\Severity;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeCheckerTest extends TestCase
{
    public function testShippedRecipesAreClean(): void
    {
        foreach (['pineapple-kesari', 'basundi', 'milk-solids-balls', 'coconut-rose-barfi'] as $slug) {
            self::assertSame([], array_map(static fn (Finding $f): string => $f->step.': '.$f->reasonText(), (new RecipeChecker(Shipped::larder()))->check(Shipped::recipe($slug))), $slug);
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, Severity, string, string}> recipe, changes, severity, step, part of the reason */
    public static function flawed(): iterable
    {
        yield 'a syrup past its stage before it boils' => ['milk-solids-balls', ['/steps/0/takes/1/grams' => 300], Severity::Error, 'syrup', 'past "tacky"'];
        yield 'a stage without sugar' => ['milk-solids-balls', ['/steps/0/takes/0' => ['ingredient' => 'water', 'grams' => 700]], Severity::Error, 'syrup', 'no sugar in the pot'];
        yield 'more reduced than there is water' => ['basundi', ['/steps/1/target/value' => 0.1], Severity::Error, 'reduce', 'would have to leave'];
        yield 'ties that leave no time between' => ['pineapple-kesari', ['/steps/5/ties/1' => ['after' => 'roast', 'max' => 1], '/steps/4/time/minutes' => [5, 6, 7]], Severity::Error, 'merge', 'cannot all keep their ties'];
        yield 'a wait longer than it keeps' => ['basundi', ['/steps/5/ties' => [['after' => 'chill', 'min' => 2000]]], Severity::Error, 'dish-up', 'keeps only 1200 min'];
        yield 'done by taste alone' => ['basundi', ['/steps/2/cues' => [['kind' => 'done', 'sign' => 'Sweet enough', 'tasting' => true]]], Severity::Warning, 'sweeten', 'is its taste'];
        yield 'never left, but when does it end' => ['coconut-rose-barfi', ['/steps/0/cues' => []], Severity::Warning, 'cook', 'nothing says when'];
        yield 'a wrong sign without rescue' => ['basundi', ['/steps/1/cues/2/rescue' => null], Severity::Warning, 'reduce', 'has no rescue'];
        yield 'hot fat left alone' => ['milk-solids-balls', ['/steps/4/attention' => ['kind' => 'watch']], Severity::Error, 'fry', 'left alone'];
        yield 'less than one portion' => ['basundi', ['/portion/grams' => 1999, '/steps/0/takes/0/grams' => 1000], Severity::Warning, 'dish-up', 'of a portion'];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('flawed')]
    public function testAFlawIsFoundAtItsStepWithItsReasonAndAdvice(string $recipe, array $changes, Severity $severity, string $step, string $reason): void
    {
        $read = (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/'.$recipe), $changes));
        foreach ((new RecipeChecker(Shipped::larder()))->check($read) as $finding) {
            if ($finding->step === $step && str_contains($finding->reasonText(), $reason)) {
                self::assertSame($severity, $finding->severity);
                self::assertNotSame('', $finding->adviceText());
                self::assertStringNotContainsString('{', $finding->reasonText().$finding->adviceText());

                return;
            }
        }
        self::fail('The flaw was not found.');
    }

    public function testErrorsStandBeforeWarnings(): void
    {
        $read = (new RecipeReader(Shipped::larder()))->read(Document::changed(Shipped::document('recipes/basundi'), ['/steps/0/cues/1/rescue' => null, '/steps/1/target/value' => 0.1]));
        self::assertSame([Severity::Error, Severity::Warning], array_map(static fn (Finding $f): Severity => $f->severity, (new RecipeChecker(Shipped::larder()))->check($read)));
    }
}
