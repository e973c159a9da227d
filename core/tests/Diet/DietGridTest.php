<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Diet;

use FeastLadle\Diet\Culprit;
use FeastLadle\Diet\DietGrid;
use FeastLadle\Feast\Feast;
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
