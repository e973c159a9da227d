<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Recipe;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A number that would change nothing is not taken in silence: whoever wrote it meant something by it. */
final class UnusedFieldsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, mixed}> recipe, place of a step's part, field, value */
    public static function fields(): iterable
    {
        $milk = 'basundi';
        foreach (
            ['power' => 0.5, 'secondsEach' => 10, 'medium' => 'air', 'load' => ['pieces' => 3], 'between' => 2] as $field => $value
        ) {
            yield 'reducing, '.$field => [$milk, '/steps/1/time', $field, $value];
        }
        foreach (
            ['grams' => 5, 'exponent' => 0.85, 'fatDepthMm' => 40, 'reserve' => 9, 'boilsOff' => 5, 'decides' => 'it'] as $field => $value
        ) {
            yield 'taken from a step, '.$field => [$milk, '/steps/1/takes/0', $field, $value];
        }
        foreach (['output' => 'milk', 'share' => 0.5, 'straightOn' => true, 'decides' => 'look'] as $field => $value) {
            yield 'a bowl, '.$field => [$milk, '/steps/0/takes/0', $field, $value];
        }
    }

    #[DataProvider('fields')]
    public function testAFieldOfWhichNothingComesIsAFault(string $recipe, string $place, string $field, mixed $value): void
    {
        $document = Document::changed(Shipped::document('recipes/'.$recipe), [$place.'/'.$field => $value]);
        try {
            (new RecipeReader(Shipped::larder()))->read($document);
            self::fail('It was taken in silence.');
        } catch (FaultyDocument $faulty) {
            self::assertContains($place.'/'.$field, array_map(static fn ($f): string => $f->pointer, $faulty->faults));
        }
    }
}
