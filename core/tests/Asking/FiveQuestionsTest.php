<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Asking;

use FeastLadle\Asking\Asked;
use FeastLadle\Asking\BookShares;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Asking\Hypercube;
use FeastLadle\Asking\Unsaids;
use FeastLadle\Drafting\DraftOfTelling;
use FeastLadle\Telling\TextReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What is asked first is what would change the sweet most. */
final class FiveQuestionsTest extends TestCase
{
    private const TOLD = 'Boil five hundred grams of water with the sugar. Roast 200 g of semolina in 100 g of ghee for ten minutes. '
        .'Pour the boiling water over it and stir until it leaves the pan. Half a teaspoon of cardamom, and a little salt.';

    public function testEveryPartOfEveryRangeIsTriedEquallyOften(): void
    {
        $rows = Hypercube::samples(60, 4, 7);
        self::assertSame($rows, Hypercube::samples(60, 4, 7));
        self::assertNotSame($rows, Hypercube::samples(60, 4, 8));
        foreach ([0, 1, 2, 3] as $k) {
            $parts = array_map(static fn (array $row): int => (int) floor(60 * $row[$k]), $rows);
            sort($parts);
            self::assertSame(range(0, 59), $parts);
        }
    }

    public function testTheSugarComesBeforeTheSalt(): void
    {
        $asked = self::ask(self::TOLD);
        self::assertStringStartsWith('Sugar: how much?', $asked[0]->point->text());
        self::assertTrue($asked[0]->matters());
        self::assertMatchesRegularExpression('/^Between \d+ g and \d+ g, /', $asked[0]->effect?->text() ?? '');
        $salt = array_values(array_filter($asked, static fn (Asked $a): bool => str_starts_with($a->point->text(), 'Salt')))[0];
        self::assertFalse($salt->matters());
        self::assertNull($salt->effect);
    }

    public function testWhatContradictsItselfIsAskedFirstAndNothingIsLost(): void
    {
        $text = self::TOLD.' Two cups of milk, that is 200 g of milk, go in last.';
        $told = (new DraftOfTelling(Shipped::lines(), Shipped::telling(), 240))->make(self::reader()->read($text), 'told');
        $asked = self::questions()->of($told);
        self::assertTrue($asked[0]->point->isContradiction());
        self::assertCount(\count($told->questions), $asked);
        self::assertEquals($asked, self::questions()->of($told), 'the same telling asks the same');
    }

    public function testATellingThatLeavesNothingOpenAsksNothingThatMatters(): void
    {
        $all = 'Boil 500 g of water with 200 g of sugar. Roast 200 g of semolina in 100 g of ghee for ten minutes. Pour the boiling water '
            .'over it and stir for 5 minutes until it leaves the pan. 2 g of cardamom.';
        self::assertSame([], array_filter(self::ask($all), static fn (Asked $a): bool => $a->matters()));
    }

    /** @return list<Asked> */
    private static function ask(string $text): array
    {
        $told = (new DraftOfTelling(Shipped::lines(), Shipped::telling(), 240))->make(self::reader()->read($text), 'told');

        return self::questions()->of($told);
    }

    private static function reader(): TextReader
    {
        return new TextReader(Shipped::lines(), Shipped::telling());
    }

    private static function questions(): FiveQuestions
    {
        $book = BookShares::of(array_map(Shipped::recipe(...), Shipped::recipes()));

        return new FiveQuestions(Shipped::larder(), Shipped::temple()->climate, new Unsaids($book, 240));
    }
}
