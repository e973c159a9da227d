<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Batch;

use FeastLadle\Batch\PotChooser;
use FeastLadle\Batch\PotReason;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PotChooserTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function sizes(): iterable
    {
        foreach (['pineapple-kesari', 'basundi', 'milk-solids-balls', 'coconut-rose-barfi'] as $slug) {
            foreach ([0.2, 1.0, 1.7, 3.3, 7.0, 12.0] as $factor) {
                yield "$slug × $factor" => [$slug, $factor];
            }
        }
    }

    #[DataProvider('sizes')]
    public function testEveryRunOfEveryBatchStaysUnderItsLimit(string $slug, float $factor): void
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(Shipped::recipe($slug), static fn (): float => $factor);
        if ([] !== $plan->missing) {
            self::assertGreaterThan($plan->missing[0]->largestBrimMl, $plan->missing[0]->neededBrimMl);

            return;
        }
        foreach ($plan->pots as $choice) {
            self::assertTrue($choice->isWithinLimit(), $choice->run->id);
        }
    }

    public function testNoMoreBatchesThanThePotsAskFor(): void
    {
        $chooser = new PotChooser(Shipped::kitchen(), Shipped::larder());
        $basundi = Shipped::recipe('basundi');
        self::assertSame(1, $chooser->plan($basundi, static fn (): float => 1.0)->batches);
        // 3 kg of milk want 5.05 l to the brim: the tall pot, of 13.5 l, boils 2.68 times that; just beyond, two are needed.
        $limit = 13_547 / 5_055;
        self::assertSame(1, $chooser->plan($basundi, static fn (): float => 0.995 * $limit)->batches);
        self::assertSame(2, $chooser->plan($basundi, static fn (): float => 1.005 * $limit)->batches);
    }

    public function testWhatIsPouredTogetherNeverSharesAVessel(): void
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(
            Shipped::recipe('pineapple-kesari'),
            static fn (): float => 1.5,
        );
        self::assertNotSame($plan->pots['liquid']->vessel()->id, $plan->pots['roast']->vessel()->id);
        self::assertNotSame($plan->pots['nuts']->vessel()->id, $plan->pots['roast']->vessel()->id);
    }

    /** @return iterable<string, array{float, string}> */
    public static function fryings(): iterable
    {
        // 160 g of batter in three litres of fat or in a third of that; twelve kilos in either.
        yield 'a handful' => [0.1, 'small'];
        yield 'a hundredweight' => [40.0, 'great'];
    }

    #[DataProvider('fryings')]
    public function testAGreatPanOfFatIsTakenForMuchAndASmallOneForLittle(float $factor, string $pan): void
    {
        $document = Shipped::document('kitchens/kumbhar-lane');
        \assert(\is_array($document['vessels']));
        $vessels = array_filter($document['vessels'], static fn (mixed $v): bool => \is_array($v) && 'pan' !== $v['kind']);
        $shape = static fn (int $rim, int $height): array => [
            'form' => 'tapered',
            'baseMm' => $rim - 60,
            'rimMm' => $rim,
            'heightMm' => $height,
        ];
        $ironPan = ['kind' => 'pan', 'metal' => 'iron'];
        $vessels[] = ['id' => 'small', 'name' => 'Small pan', 'shape' => $shape(240, 120), 'emptyKg' => 1.5] + $ironPan;
        $vessels[] = ['id' => 'great', 'name' => 'Great pan', 'shape' => $shape(520, 170), 'emptyKg' => 6] + $ironPan;
        $kitchen = (new KitchenReader())->read(
            json_encode(['vessels' => array_values($vessels)] + $document, \JSON_THROW_ON_ERROR),
        );
        $plan = (new PotChooser($kitchen, Shipped::larder()))->plan(Shipped::recipe('jalebi'), static fn (): float => $factor);
        foreach ($plan->pots as $choice) {
            if (null !== $choice->frying) {
                self::assertSame($pan, $choice->vessel()->id);
            }
        }
    }

    public function testMilkThatIsReducedGetsTheWidestBase(): void
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(Shipped::recipe('basundi'), static fn (): float => 1.0);
        self::assertSame(PotReason::Widest, $plan->pots['boil']->reason);
    }

    public function testTheCooksOwnChoiceIsTakenEvenIfItMeansMoreBatches(): void
    {
        $chooser = new PotChooser(Shipped::kitchen(), Shipped::larder());
        $free = $chooser->plan(Shipped::recipe('basundi'), static fn (): float => 1.5);
        $wished = $chooser->plan(Shipped::recipe('basundi'), static fn (): float => 1.5, ['boil' => 'syrup-pot']);
        self::assertSame('syrup-pot', $wished->pots['boil']->vessel()->id);
        self::assertGreaterThan($free->batches, $wished->batches);
    }

    public function testAPotInUseByAnotherDishIsAvoidedWhereAnotherServes(): void
    {
        $chooser = new PotChooser(Shipped::kitchen(), Shipped::larder());
        $first = $chooser->plan(Shipped::recipe('basundi'), static fn (): float => 1.0)->pots['boil']->vessel()->id;
        $second = $chooser->plan(Shipped::recipe('basundi'), static fn (): float => 1.0, [], [$first => 1])->pots['boil']->vessel()->id;
        self::assertNotSame($first, $second);
    }

    public function testFryingCountsFatAndLoads(): void
    {
        $plan = (new PotChooser(Shipped::kitchen(), Shipped::larder()))->plan(
            Shipped::recipe('milk-solids-balls'),
            static fn (): float => 1.5,
        );
        $frying = $plan->pots['fry']->frying;
        self::assertNotNull($frying);
        self::assertGreaterThanOrEqual($plan->ledger->flow('fry')->taken->pieces, $frying->loads * $frying->piecesPerLoad);
        self::assertLessThanOrEqual(0.45, $plan->pots['fry']->fullShare());
    }
}
