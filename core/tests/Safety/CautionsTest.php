<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Safety;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Danger;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Larder\Without;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Schools\Choices;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What can hurt is found from what is in the vessel, whatever the step is called. */
final class CautionsTest extends TestCase
{
    /** @return iterable<string, array{string, string, float, list<string>}> recipe, step, factor, dangers */
    public static function steps(): iterable
    {
        yield 'boiling sugar' => ['cashew-diamonds', 'syrup', 1.0, ['hot-sugar']];
        yield 'nuts stirred into glass-hot sugar' => ['peanut-brittle', 'fold', 1.0, ['hot-sugar', 'splash']];
        yield 'hot fat into a boiling mass' => ['gram-honeycomb', 'froth', 1.0, ['hot-fat', 'hot-sugar']];
        yield 'pressure' => ['sweet-pongal', 'pressure', 1.0, ['pressure']];
        yield 'milk that climbs' => ['basundi', 'boil', 1.0, ['boil-over']];
        yield 'a pot for two people' => ['basundi', 'boil', 10.0, ['boil-over', 'lifting']];
        yield 'lukewarm milk' => ['basundi', 'cool', 1.0, ['lukewarm']];
        yield 'honey and babies' => ['five-nectar-mix', 'measure', 1.0, ['honey']];
        yield 'camphor' => ['sweet-pongal', 'finish', 1.0, ['grade']];
        yield 'whole nuts' => ['fried-nuts', 'fry', 1.0, ['hot-fat', 'choking']];
        yield 'dough kneaded hot' => ['millet-cups', 'knead', 1.0, ['hot-dough']];
        yield 'balls rolled hot' => ['sesame-balls', 'roll', 1.0, ['hot-dough', 'hot-sugar']];
        yield 'fat seeds in a dry pan' => ['sesame-balls', 'parch', 1.0, []];
        yield 'grain roasted in fat' => ['broken-wheat-pudding', 'roast', 1.0, ['hot-fat']];
        yield 'nothing at all' => ['gram-honeycomb', 'sieve', 1.0, []];
    }

    public function testAKitchensOwnNutIsAsDangerousAsOneThatShips(): void
    {
        $larder = Shipped::document('larder');
        self::assertIsArray($larder['ingredients']);
        foreach ($larder['ingredients'] as $i => $thing) {
            self::assertIsArray($thing);
            if ('cashews' === $thing['id']) {
                unset($thing['hazards']);
                $larder['ingredients'][$i] = $thing;
                $larder['ingredients'][] = ['id' => 'hill-nut', 'name' => 'Hill nut', 'hazards' => ['choking', 'law']] + $thing;
            }
        }
        $read = (new LarderReader())->read(json_encode($larder, \JSON_THROW_ON_ERROR));
        $recipe = Shipped::document('recipes/fried-nuts');
        $dangers = static function (string $nut) use ($recipe, $read): array {
            $json = str_replace('"cashews"', '"'.$nut.'"', json_encode($recipe, \JSON_THROW_ON_ERROR));
            $flow = Ledger::follow((new RecipeReader($read))->read($json), $read, 1.0, 1, Climate::usual())->flow('fry');

            return array_map(static fn (Caution $c): string => $c->danger->value, (new Cautions($read))->of($flow));
        };
        self::assertContains('choking', $dangers('hill-nut'));
        self::assertContains('law', $dangers('hill-nut'));
        self::assertNotContains('choking', $dangers('cashews'), 'no list of nuts in the code says so');
    }

    public function testADangerOfAThingIsOneThatAThingCanBe(): void
    {
        $larder = Shipped::document('larder');
        self::assertIsArray($larder['ingredients']);
        self::assertIsArray($larder['ingredients'][0]);
        $larder['ingredients'][0]['hazards'] = ['pressure'];
        try {
            (new LarderReader())->read(json_encode($larder, \JSON_THROW_ON_ERROR));
            self::fail('water under pressure is no property of water');
        } catch (FaultyDocument $faulty) {
            self::assertSame('/ingredients/0/hazards/0', $faulty->faults[0]->pointer);
        }
    }

    public function testLiftingCountsThePotWhereItIsKnown(): void
    {
        $flow = Ledger::follow(Shipped::recipe('sweet-pongal'), Shipped::larder(), 6.0, 1, Climate::usual())->flow('pressure');
        $kg = $flow->taken->massGrams() / 1000;
        $says = static fn (float $limit, ?float $pot): array => array_values(
            array_filter(
                (new Cautions(Shipped::larder()))->of($flow, $limit, $pot),
                static fn (Caution $c): bool => Danger::Lifting === $c->danger,
            ),
        );
        self::assertSame([], $says($kg + 1, null));
        self::assertSame([], $says($kg + 1, 0.5));
        self::assertSame(['kg' => round($kg + 4)], $says($kg + 1, 4.0)[0]->sentence->values, 'with a pot of 4 kg it is too much');
        self::assertStringContainsString('with the pot', $says($kg + 1, 4.0)[0]->sentence->id);
    }

    /** @param list<string> $dangers */
    #[DataProvider('steps')]
    public function testTheDangersOfAStepAreNamed(string $recipe, string $step, float $factor, array $dangers): void
    {
        $flow = Ledger::follow(Shipped::recipe($recipe), Shipped::larder(), $factor, 1, Climate::usual())->flow($step);
        $found = array_map(static fn (Caution $c): string => $c->danger->value, (new Cautions(Shipped::larder()))->of($flow));
        sort($found);
        sort($dangers);
        self::assertSame($dangers, $found);
    }

    public function testDarkSugarIntoBoilingMilkAndPlantMilkAtTheBoilAreSaid(): void
    {
        $document = Shipped::document('recipes/sago-milk');
        $dangers = static function (string $json, Choices $choices = new Choices()): array {
            $recipe = (new RecipeReader(Shipped::larder()))->read($json, $choices);
            $cautions = [];
            foreach (Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual())->flows as $flow) {
                foreach ((new Cautions(Shipped::larder()))->of($flow) as $caution) {
                    $cautions[] = $caution->sentence->text();
                }
            }

            return $cautions;
        };
        $json = json_encode($document, \JSON_THROW_ON_ERROR);
        $curdles = 'Dark sugar is sour: into boiling milk it curdles. Take the milk off the flame first, and the dark sugar lukewarm.';
        self::assertNotContains($curdles, $dangers($json));
        \assert(\is_array($document['steps']));
        $at = array_search('milk', array_column($document['steps'], 'id'), true);
        self::assertContains($curdles, $dangers(Document::changed($document, [
            '/steps/'.$at.'/takes/1' => ['ingredient' => 'jaggery', 'grams' => 100],
        ])));
        // Oat milk splits above 92 °C.
        $splits = 'It splits above 92 °C: keep it below, by the thermometer.';
        self::assertNotContains($splits, $dangers($json));
        self::assertContains($splits, $dangers($json, new Choices(without: [Without::Dairy])));
    }

    public function testAPlantMilkIsLedBelowTheBoilAndNotBoiledDown(): void
    {
        $plan = static function (string $recipe): Plan {
            $document = ['dishes' => [['id' => 'it', 'recipe' => $recipe, 'without' => ['dairy']]]] + Shipped::document('feasts/boat-lamp');
            unset($document['boxes']);
            $feast = (new FeastReader(Shipped::temple(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));

            return (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
        };
        $warmed = $plan('sago-milk');
        self::assertSame([], $warmed->obstacles);
        self::assertEqualsWithDelta(92, $warmed->quantities->dishes['it']->batchPlan->ledger->flow('milk')->gives->celsius, 1e-9);
        $reduced = $plan('basundi');
        self::assertSame('reduce', $reduced->obstacles[0]->step);
        self::assertSame(ObstacleKind::Heat, $reduced->obstacles[0]->kind);
    }
}
