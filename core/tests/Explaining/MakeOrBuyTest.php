<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Explaining\MakeOrBuy;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** A base made or bought, in grams, minutes and money. */
final class MakeOrBuyTest extends TestCase
{
    public function testWhatAllDishesTakeIsMadeOnceOrBoughtByItsRatio(): void
    {
        $kitchen = Shipped::temple();
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen);
        $syrup = MakeOrBuy::all(Shipped::templeFeast(), $kitchen, $quantities, Shipped::larder())['jaggery-syrup'];

        self::assertSame(
            ['pulse-coconut-pudding', 'sesame-balls'],
            array_map(static fn (PlannedDish $d): string => $d->dish->recipe->slug, $syrup->takers),
        );
        self::assertEqualsWithDelta(
            $quantities->dishes['base-jaggery-syrup']->batchPlan->ledger->yieldGrams(),
            $syrup->makeGrams,
            1.0,
            'as the plan makes it',
        );
        self::assertEqualsWithDelta(0.9 * $syrup->makeGrams, $syrup->buyGrams, 1e-6);
        self::assertEqualsWithDelta((4.2 * $syrup->buyGrams) / 1000, $syrup->buyCost ?? 0, 1e-6);
        // The jaggery is priced by the pack, the water comes from the tap.
        $jaggery = $quantities->dishes['base-jaggery-syrup']->measured['jaggery'];
        self::assertEqualsWithDelta(
            (1.9 * $jaggery) / Shipped::larder()->get('jaggery')->buying->pack->grams,
            $syrup->makeCost ?? 0,
            0.02 * ($syrup->makeCost ?? 0),
        );
        self::assertSame([], $syrup->unpriced);
        self::assertGreaterThan(0, $syrup->handMinutes);
        self::assertGreaterThan(0, $syrup->fireMinutes);
        self::assertFalse($syrup->isBought);
    }

    public function testOneThatIsBoughtIsStillWeighedAgainstMaking(): void
    {
        $feast = Shipped::templeFeast(static function (array $document): array {
            \assert(\is_array($document['dishes']));
            $document['dishes'] = array_map(
                static fn (mixed $d): mixed => \is_array($d) && \in_array($d['recipe'], ['pulse-coconut-pudding', 'sesame-balls'], true)
                    ? [...$d, 'bought' => ['jaggery-syrup']]
                    : $d,
                $document['dishes'],
            );

            return $document;
        });
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
        $syrup = MakeOrBuy::all($feast, Shipped::temple(), $quantities, Shipped::larder())['jaggery-syrup'];

        self::assertTrue($syrup->isBought);
        self::assertArrayNotHasKey('base-jaggery-syrup', $quantities->dishes);
        self::assertEqualsWithDelta(
            $syrup->buyGrams,
            ($quantities->dishes['pudding']->measured['date-syrup'] ?? 0) + ($quantities->dishes['sesame']->measured['date-syrup'] ?? 0),
            30,
            'as the cards measure it',
        );
        self::assertGreaterThan(0, $syrup->handMinutes);
    }

    public function testThisKitchensPriceOfAPackKnowsBetter(): void
    {
        $kitchen = $this->kitchen(['date-syrup' => 3.0]);
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), $kitchen);
        $syrup = MakeOrBuy::all(Shipped::templeFeast(), $kitchen, $quantities, Shipped::larder())['jaggery-syrup'];
        $packs = ceil($syrup->buyGrams / Shipped::larder()->get('date-syrup')->buying->pack->grams);

        self::assertEqualsWithDelta(3.0 * $packs, $syrup->buyCost ?? 0, 1e-9, 'whole packs');
        self::assertNull($syrup->makeCost, 'nothing that goes in has a price');
        self::assertSame(['Jaggery, grated'], $syrup->unpriced);
    }

    /** @param array<string, float> $prices */
    private function kitchen(array $prices): Kitchen
    {
        return (new KitchenReader())->read(Document::changed(Shipped::document('kitchens/tamarind-ghat'), ['/prices' => $prices]));
    }
}
