<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Diet;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Diet\Culprit;
use FeastLadle\Diet\DietGrid;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class DietGridTest extends TestCase
{
    public function testACulpritIsNamedWithWhatCouldStandInForIt(): void
    {
        $culprits = $this->grid()->of(Shipped::templeFeast())['kesari']['plant'];
        self::assertSame(['ghee'], array_map(static fn ($c): ?string => $c->source->ingredient?->id, $culprits));
        self::assertNotNull($culprits[0]->substitute);
    }

    public function testADishTurnedForThemIsForThem(): void
    {
        $grid = $this->grid()->of(Shipped::templeFeast());
        self::assertSame([], $grid['sesame']['plant']);
        self::assertSame([], $grid['kesari']['grown-ups']);
        self::assertNotSame([], $grid['kesari']['nutfree']);
    }

    public function testADishIsCookedWithWhatIsTakenInsteadAndWeighedByIt(): void
    {
        $document = Shipped::document('feasts/boat-lamp');
        \assert(\is_array($document['dishes']) && \is_array($document['dishes'][0]));
        $instead = ['instead' => [['for' => 'ghee', 'ingredient' => 'coconut-oil', 'ratio' => 0.8]]];
        $dish = $document['dishes'][0];
        $read = static fn (array $dish): Feast => (new FeastReader(Shipped::temple(), Shipped::shelf()))->read(
            json_encode(['dishes' => [$dish], 'boxes' => []] + $document, \JSON_THROW_ON_ERROR),
        );
        $feast = $read($instead + $dish);
        self::assertSame([], $this->grid()->of($feast)['kesari']['plant']);
        $grams = static function (Feast $feast): array {
            $sum = [];
            foreach ((new QuantityPlanner(Shipped::larder()))->plan($feast, Shipped::temple())->dishes['kesari']->bowls as $bowls) {
                foreach ($bowls as $bowl) {
                    $sum[$bowl->ingredient->id] = ($sum[$bowl->ingredient->id] ?? 0.0) + $bowl->exactGrams;
                }
            }

            return $sum;
        };
        $now = $grams($feast);
        self::assertArrayNotHasKey('ghee', $now);
        // A little more of all, as the oil is lighter.
        self::assertEqualsWithDelta(0.8 * $grams($read($dish))['ghee'], $now['coconut-oil'], 0.03 * $now['coconut-oil']);
    }

    public function testWhatNobodyKnowsIsNotTakenInstead(): void
    {
        $document = ['dishes' => [['id' => 'it', 'recipe' => 'pineapple-kesari', 'instead' => [
            ['for' => 'ghee', 'ingredient' => 'moon-dust'],
        ]]]] + Shipped::document('feasts/new-roof');
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage('The larder knows no "moon-dust"');
        (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    public function testRulesOfTheDayHoldForEverybodyAndReachThroughBases(): void
    {
        $feast = $this->feast(['rules' => ['no-grain']]);
        $grid = $this->grid()->of($feast);
        self::assertSame('No grain on the fasting day', $grid['kesari']['grown-ups'][0]->why);
        $dark = $this->feast(['groups' => [['id' => 'g', 'name' => 'G', 'count' => 10, 'avoids' => ['jaggery-free']]]]);
        self::assertSame([], $this->grid()->of($dark)['pudding']['g']);
        $pudding = $this->grid()->of($this->feast(['groups' => [['id' => 'g', 'name' => 'G', 'count' => 10, 'avoids' => ['cashew']]]]))[
            'pudding'
        ]['g'];
        self::assertSame('without cashew', $pudding[0]->why);
    }

    public function testWhatTheHouseTakesInsteadIsNamedWithHowMuchOfIt(): void
    {
        $feast = $this->feast(['rules' => ['no-white-sugar']]);
        $kitchen = static fn (string $by): Kitchen => (new KitchenReader())->read(json_encode([
            ...Shipped::document('kitchens/tamarind-ghat'),
            'rules' => [[
                'id' => 'no-white-sugar',
                'name' => 'Dark sugar only',
                'forbids' => ['sugar'],
                'instead' => [['for' => 'sugar', 'ingredient' => $by, 'ratio' => 1.1, 'caution' => 'Darker.']],
            ]],
        ], \JSON_THROW_ON_ERROR));
        $of = static fn (string $by, Feast $feast): ?Culprit => array_values(array_filter(
            (new DietGrid(Shipped::larder(), $kitchen($by)))->of($feast)['kesari'][$feast->groups[0]->id],
            static fn (Culprit $c): bool => 'sugar' === $c->source->ingredient?->id,
        ))[0] ?? null;
        $culprit = $of('jaggery', $feast);
        self::assertSame(['jaggery', 1.1, 'Darker.'], [$culprit?->substitute?->id, $culprit?->ratio, $culprit?->caution]);
        // Something that the group avoids for another reason is no way out, nor is what this larder has not.
        $milkless = $this->feast([
            'rules' => ['no-white-sugar'],
            'groups' => [['id' => 'g', 'name' => 'G', 'count' => 10, 'avoids' => ['dairy']]],
        ]);
        self::assertSame('jaggery', $of('jaggery', $milkless)?->substitute?->id);
        foreach ([$of('condensed-milk', $milkless), $of('moon-dust', $feast)] as $without) {
            self::assertNotNull($without);
            self::assertNull($without->substitute);
            self::assertSame('', $without->caution);
        }
    }

    public function testAMenuWithNothingForAGroupSaysSo(): void
    {
        $feast = $this->feast(['dishes' => [['id' => 'kesari', 'recipe' => 'pineapple-kesari', 'uptake' => 0.9]], 'boxes' => []]);
        $names = array_map(static fn ($g): string => $g->id, $this->grid()->withNothing($feast, $this->grid()->of($feast)));
        self::assertSame(['plant', 'nutfree'], $names);
        $none = $this->feast(['dishes' => [], 'boxes' => []]);
        self::assertSame([], $this->grid()->withNothing($none, $this->grid()->of($none)));
    }

    public function testWhatIsFreeOfMostIsCookedFirst(): void
    {
        $rows = $this->grid()->order(Shipped::templeFeast());
        $counts = array_map(static fn (array $r): int => \count($r['allergens']), $rows);
        $sorted = $counts;
        sort($sorted);
        self::assertSame($sorted, $counts);
    }

    private function grid(): DietGrid
    {
        return new DietGrid(Shipped::larder(), Shipped::temple());
    }

    /** @param array<string, mixed> $change */
    private function feast(array $change): Feast
    {
        return Shipped::templeFeast(static fn (array $d): array => [...$d, ...$change]);
    }
}
