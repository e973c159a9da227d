<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Flow;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\Parting;
use FeastLadle\Heat\Climate;
use FeastLadle\Recipe\Output;
use FeastLadle\Recipe\OutputKind;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pieces out of a syrup, nuts out of a fat, solids and their liquid: worked by hand. */
final class PartingTest extends TestCase
{
    public function testPiecesDrinkOfTheSyrupAndTheRestStays(): void
    {
        $larder = Shipped::larder();
        // 1,000 g of pieces (flour that counts 40) in 536 g of sugar and 264 g of water: 30 % of 1,000 g are 300 of 800.
        $pieces = Contents::of('wheat-flour', 1000, 90)->withPieces(40);
        $syrup = Contents::of('sugar', 536, 90)->plus(Contents::of('water', 264, 90), $larder);
        $apart = Parting::of([$this->gives('pieces', OutputKind::Pieces, 0.3), $this->gives('syrup', OutputKind::Rest)], $syrup->plus(
            $pieces,
            $larder,
        ), $pieces, $larder);

        self::assertEqualsWithDelta(1300, $apart['pieces']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(40, $apart['pieces']->pieces, 1e-9);
        self::assertEqualsWithDelta(300 * 0.67, $apart['pieces']->grams['sugar'], 1e-6);
        self::assertEqualsWithDelta(500, $apart['syrup']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(335, $apart['syrup']->grams['sugar'], 1e-6);
        self::assertSame(0.0, $apart['syrup']->pieces);
        self::assertArrayNotHasKey('wheat-flour', array_filter($apart['syrup']->grams, static fn (float $g): bool => $g > 1e-9));
    }

    public function testTheyDrinkNoMoreThanThereIs(): void
    {
        $larder = Shipped::larder();
        $pieces = Contents::of('wheat-flour', 1000, 90)->withPieces(40);
        $apart = Parting::of(
            [$this->gives('pieces', OutputKind::Pieces, 0.5), $this->gives('syrup', OutputKind::Rest)],
            $pieces->plus(Contents::of('water', 200, 90), $larder),
            $pieces,
            $larder,
        );
        self::assertEqualsWithDelta(1200, $apart['pieces']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(0, $apart['syrup']->massGrams(), 1e-6);
    }

    public function testNutsAreLiftedOutOfAFatThatStays(): void
    {
        $larder = Shipped::larder();
        $all = Contents::of('ghee', 300, 140)->plus(Contents::of('cashews', 100, 140), $larder)->withWaterOff(2);
        $apart = Parting::of(
            [$this->gives('nuts', OutputKind::Solids, 0.05), $this->gives('fat', OutputKind::Rest)],
            $all,
            Contents::nothing(),
            $larder,
        );
        // 98 g of nuts, dried, and 4.9 g of fat on them.
        self::assertEqualsWithDelta(102.9, $apart['nuts']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(4.9, $apart['nuts']->grams['ghee'], 1e-6);
        self::assertEqualsWithDelta(295.1, $apart['fat']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(295.1, $apart['fat']->grams['ghee'], 1e-6);
    }

    public function testAPulseKeepsWhatItHoldsOfItsWater(): void
    {
        $larder = Shipped::larder();
        $dry = $larder->get('split-chana');
        $all = Contents::of('split-chana', 500, 98)->plus(Contents::of('water', 1500, 98), $larder)->withWaterOff(200);
        $apart = Parting::of(
            [$this->gives('pulse', OutputKind::Solids), $this->gives('water', OutputKind::Rest)],
            $all,
            Contents::nothing(),
            $larder,
        );
        // Cooked it holds 1.5 g for each gram: 750 of the 1,300 that are left.
        self::assertEqualsWithDelta(1.5, $dry->water->cooked, 1e-9);
        self::assertEqualsWithDelta(1250, $apart['pulse']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(550, $apart['water']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(550, $apart['water']->waterGrams($larder), 1e-6);
    }

    public function testGourdIsNoLiquidHoweverWetAndMilkIs(): void
    {
        $larder = Shipped::larder();
        $all = Contents::of('ash-gourd', 400, 30)->plus(Contents::of('milk', 600, 30), $larder);
        $apart = Parting::of(
            [$this->gives('gourd', OutputKind::Solids), $this->gives('milk', OutputKind::Rest)],
            $all,
            Contents::nothing(),
            $larder,
        );
        self::assertEqualsWithDelta(400, $apart['gourd']->massGrams(), 1e-6);
        self::assertEqualsWithDelta(600, $apart['milk']->massGrams(), 1e-6);
    }

    public function testARecipeTellsWhatIsLiftedOutAndHowItKeeps(): void
    {
        $document = Document::changed(Shipped::document('recipes/fried-nuts'), [
            '/steps/0/outputs' => [
                ['id' => 'nuts', 'is' => 'solids', 'drinks' => 0.1, 'keeping' => ['minutes' => 600, 'place' => 'shelf']],
                ['id' => 'fat', 'is' => 'rest', 'waste' => true],
            ],
            '/steps/1' => [
                'id' => 'tip', 'process' => 'mix-in', 'title' => 'Tip out', 'takes' => [['from' => 'fry', 'output' => 'nuts']],
                'time' => ['grows' => 'fixed', 'minutes' => [1, 1, 2]], 'attention' => ['kind' => 'constant', 'skill' => 'any'],
            ],
            '/result' => 'tip',
        ]);
        $recipe = (new RecipeReader(Shipped::larder()))->read($document);
        $flow = Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual())->flow('fry');
        // 120 g of cashews and 80 g of raisins, and a tenth as much of the 30 g of ghee.
        self::assertEqualsWithDelta(220, $flow->given('nuts')->massGrams(), 0.01);
        self::assertEqualsWithDelta(10, $flow->waste, 0.01);
        self::assertSame(600, $recipe->step('fry')->gives->outputs['nuts']->keeping?->minutes);
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function faults(): iterable
    {
        $rest = ['id' => 'b', 'is' => 'rest'];
        yield 'no rest' => [[['id' => 'a', 'is' => 'pieces']], 'the rest'];
        yield 'two rests' => [[$rest, ['id' => 'a', 'is' => 'rest']], 'the rest'];
        yield 'two liftings' => [[$rest, ['id' => 'a', 'is' => 'solids'], ['id' => 'c', 'is' => 'pieces']], 'the rest'];
        yield 'a share beside it' => [[$rest, ['id' => 'a', 'share' => 0.5]], 'the rest'];
        yield 'neither' => [[['id' => 'a'], ['id' => 'c', 'share' => 0.5]], 'share'];
        yield 'both' => [[$rest, ['id' => 'a', 'is' => 'solids', 'share' => 0.5]], 'share'];
        yield 'a rest that drinks' => [[[...$rest, 'drinks' => 0.2], ['id' => 'a', 'is' => 'solids']], 'drinks'];
    }

    /** @param list<array<string, mixed>> $outputs */
    #[DataProvider('faults')]
    public function testWhatCannotBePartedIsAFault(array $outputs, string $says): void
    {
        $document = Document::changed(Shipped::document('recipes/fried-nuts'), ['/steps/0/outputs' => $outputs]);
        $this->expectExceptionMessageMatches('/'.$says.'/');
        (new RecipeReader(Shipped::larder()))->read($document);
    }

    private function gives(string $id, OutputKind $kind, float $drinks = 0.0): Output
    {
        return new Output($id, 0.0, null, false, '', $kind, $drinks);
    }
}
