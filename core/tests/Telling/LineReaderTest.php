<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Telling\QuantityReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LineReaderTest extends TestCase
{
    /** @return iterable<string, array{string, float, float, string}> text, from, to, rest */
    public static function quantities(): iterable
    {
        yield 'whole' => ['2 cups', 2.0, 2.0, 'cups'];
        yield 'mixed fraction' => ['1 1/2 cups', 1.5, 1.5, 'cups'];
        yield 'joined fraction' => ['1½ cups', 1.5, 1.5, 'cups'];
        yield 'thousands' => ['1,200 g', 1200.0, 1200.0, 'g'];
        yield 'decimal' => ['0.25l', 0.25, 0.25, 'l'];
        yield 'words' => ['half a cup', 0.5, 0.5, 'cup'];
        yield 'words with and' => ['One and a half cups', 1.5, 1.5, 'cups'];
        yield 'range' => ['2-3 tbsp', 2.0, 3.0, 'tbsp'];
        yield 'range in words' => ['two to three ladles', 2.0, 3.0, 'ladles'];
        yield 'range of fractions' => ['1/2 to 3/4 cup', 0.5, 0.75, 'cup'];
        yield 'about' => ['about 200 g', 200.0, 200.0, 'g'];
        yield 'a falling range is no range' => ['3-2 cups', 3.0, 3.0, '-2 cups'];
    }

    #[DataProvider('quantities')]
    public function testReadsTheNumberAtTheBeginning(string $text, float $from, float $to, string $rest): void
    {
        $read = (new QuantityReader())->read($text);
        self::assertNotNull($read);
        self::assertEqualsWithDelta([$from, $to], [$read[0]->from, $read[0]->to], 1e-9);
        self::assertSame($rest, $read[1]);
    }

    public function testWhatIsNoNumberIsNotRead(): void
    {
        foreach (['', 'salt', '1/0 cup', '-3 cups', '99999999 g', '½x'] as $i => $text) {
            self::assertSame(5 === $i, null !== (new QuantityReader())->read($text), $text);
        }
    }

    public function testTheCorpusIsReadRightOrMarkedAsAGuess(): void
    {
        /**
         * @var list<array{line: string, from: float|int|null, to: float|int|null, unit: string|null,
         *     ingredient: string|null, grams: float|int|null}> $corpus
         */
        $corpus = json_decode((string) file_get_contents(__DIR__.'/ingredient-lines.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertGreaterThanOrEqual(80, \count($corpus));
        $reader = Shipped::lines();
        $fields = $right = 0;
        $wrong = [];
        foreach ($corpus as $expected) {
            $line = $reader->read($expected['line']);
            foreach (
                [
                    'from' => [$expected['from'], $line->quantity?->from],
                    'to' => [$expected['to'], $line->quantity?->to],
                    'unit' => [$expected['unit'], $line->unit?->value],
                    'ingredient' => [$expected['ingredient'], $line->ingredient?->id],
                    'grams' => [$expected['grams'], $line->grams],
                ] as $field => [$want, $got]
            ) {
                ++$fields;
                $same = is_numeric($want) && is_numeric($got) ? abs($want - $got) < 0.011 + 0.001 * $want : $want === $got;
                $right += $same || [] !== $line->guesses ? 1 : 0;
                if (!$same) {
                    $wrong[] = $expected['line'].': '.$field.' '.json_encode($got).' for '.json_encode($want);
                }
            }
        }
        self::assertGreaterThanOrEqual(
            0.95,
            $right / $fields,
            \sprintf("%.1f %% of %d fields right or marked\n%s", (100 * $right) / $fields, $fields, implode("\n", $wrong)),
        );
        self::assertSame([], $wrong, 'Lines that were once read right.');
    }

    public function testTheCupIsTheKitchensOwn(): void
    {
        $grams = static fn (float $cup): ?float => Shipped::lines($cup)->read('2 cups sugar')->grams;
        self::assertEqualsWithDelta(408, $grams(240), 1e-9);
        self::assertEqualsWithDelta(340, $grams(200), 1e-9);
    }

    public function testNothingIsInventedForWhatIsNotKnown(): void
    {
        $line = Shipped::lines()->read('2 cups of moonbeams, shredded');
        self::assertNull($line->ingredient);
        self::assertNull($line->grams);
        self::assertSame('moonbeams', $line->named);
        self::assertSame('shredded', $line->note);
    }

    public function testALongOrHostileLineCostsLittle(): void
    {
        $reader = Shipped::lines();
        foreach ([str_repeat('1 1/2 cups ', 5000), str_repeat('(', 300), "\u{202E}sugar", '<script>alert(1)</script>'] as $line) {
            self::assertLessThanOrEqual(300, mb_strlen($reader->read($line)->named));
        }
    }
}
