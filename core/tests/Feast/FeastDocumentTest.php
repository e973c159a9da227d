<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Feast;

use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** A feast is changed by changes with a name; what is not named stays as it was. */
final class FeastDocumentTest extends TestCase
{
    public function testAChangeChangesWhatItNamesAndNothingElse(): void
    {
        $before = Shipped::document('feasts/new-roof');
        $after = FeastDocument::of($before)
            ->withMargin(20)
            ->withRules(['no-grain'])->fields;
        self::assertSame([20, ['no-grain']], [$after['marginMinutes'], $after['rules']]);
        unset($before['marginMinutes'], $before['rules'], $after['marginMinutes'], $after['rules']);
        self::assertSame($before, $after);
    }

    public function testAShiftComesToTheOthersAndTheFirstOfTheDayBeginsSooner(): void
    {
        $feast = FeastDocument::of([
            'hands' => [
                ['person' => 'asha', 'day' => -1, 'from' => '14:00', 'to' => '18:00'],
                ['person' => 'nilu', 'from' => '09:15', 'to' => '12:00'],
                ['person' => 'asha', 'day' => 0, 'from' => '01:30', 'to' => '12:00'],
                ['person' => 'asha', 'day' => 0, 'from' => '16:00', 'to' => '19:00'],
                'no shift',
            ],
        ]);
        $sooner = $feast->withShiftBegunSooner('asha', 2)->withShift('som', 0, '10:00', '11:00');
        self::assertSame(
            ['14:00', '09:15', '00:30', '16:00', '10:00'],
            array_column($sooner->rows('hands'), 'from'),
            'not before midnight',
        );
        self::assertSame('07:15', $feast->withShiftBegunSooner('nilu', 2)->rows('hands')[1]['from']);
        self::assertEquals($feast->rows('hands'), $feast->withShiftBegunSooner('nobody', 2)->rows('hands'));
    }

    public function testAStepIsHeldOnceAndLetGo(): void
    {
        $feast = FeastDocument::of([])
            ->withPin('a/1/boil', 0, '10:00')
            ->withPin('b/1/boil', -1, '20:00')
            ->withPin('a/1/boil', 0, '10:05');
        self::assertSame(
            [['step' => 'b/1/boil', 'day' => -1, 'time' => '20:00'], ['step' => 'a/1/boil', 'day' => 0, 'time' => '10:05']],
            $feast->rows('pins'),
        );
        self::assertSame(['b/1/boil'], array_column($feast->withoutPin('a/1/boil')->withoutPin('c')->rows('pins'), 'step'));
    }

    public function testADishGetsOtherWishesAndARowGoes(): void
    {
        $feast = FeastDocument::of(['dishes' => [['id' => 'a', 'uptake' => 0.5], ['id' => 'b']]]);
        self::assertSame(
            ['id' => 'a', 'uptake' => 0.5, 'bought' => ['x']],
            $feast->withDish(0, ['bought' => ['x']])->rows('dishes')[0],
        );
        self::assertEquals($feast, $feast->withDish(7, ['bought' => ['x']]));
        self::assertSame(['b'], array_column($feast->withoutRow('dishes', 0)->rows('dishes'), 'id'));
        self::assertCount(2, $feast->withoutRow('dishes', 2)->rows('dishes'));
    }

    public function testWhatIsWrittenReadsAsItWas(): void
    {
        $document = Shipped::document('feasts/new-roof');
        $reader = new FeastReader(Shipped::kitchen(), Shipped::shelf());
        self::assertEquals(Shipped::feast(), $reader->read(FeastDocument::of($document)->json()));
        self::assertStringContainsString('"uptake":1.0', FeastDocument::of(['uptake' => 1.0])->json());
    }
}
