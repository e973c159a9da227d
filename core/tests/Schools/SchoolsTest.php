<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schools;

use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Without;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\Swap;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Schools, dials and substitutions change the flow that is read. */
final class SchoolsTest extends TestCase
{
    public function testASchoolSwitchesStepsAmountsAndTimes(): void
    {
        $written = Shipped::recipe('pineapple-kesari');
        $dry = Shipped::recipe('pineapple-kesari', new Choices(['roast' => 'dry', 'meet' => 'water']));

        self::assertArrayNotHasKey('warm', $written->steps);
        self::assertArrayHasKey('warm', $dry->steps);
        self::assertSame(4320, $dry->step('roast')->gives->keeping?->minutes, 'roasted dry it keeps for days');
        self::assertNull($written->step('roast')->gives->keeping);
        self::assertSame(
            ['water', 'saffron'],
            array_column($dry->step('liquid')->takes, 'ingredient'),
            'plain water: sugar comes last',
        );
        self::assertContains('sugar', array_column($dry->step('finish')->takes, 'ingredient'));
        self::assertSame('warm', $dry->step('merge')->vessel?->continues);
    }

    public function testAQuestionArisesOnlyUnderTheChoiceItBelongsTo(): void
    {
        self::assertArrayNotHasKey('tin', Shipped::recipe('basundi')->way->options);
        self::assertSame('last', Shipped::recipe('basundi', new Choices(['milk' => 'tinned']))->way->options['tin']);
        self::assertCount(6, Shipped::everyWay('basundi'), 'slow and ground with two skins each, tinned early and last');
    }

    public function testWhatDoesNotGoTogetherIsRefusedWithItsReason(): void
    {
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage('semolina needs its coat of ghee');
        Shipped::recipe('pineapple-kesari', new Choices(['roast' => 'dry', 'meet' => 'cold']));
    }

    public function testADialMovesAllItsBowlsAndNoOthers(): void
    {
        $written = Ledger::follow(Shipped::recipe('dipped-toast'), Shipped::larder(), 1.0, 1, Climate::usual());
        $less = Ledger::follow(
            Shipped::recipe('dipped-toast', new Choices([], ['sweet' => 0.9])),
            Shipped::larder(),
            1.0,
            1,
            Climate::usual(),
        );
        foreach (['syrup', 'milk'] as $step) {
            self::assertEqualsWithDelta(0.9 * $written->flow($step)->bowls[0]->grams, $less->flow($step)->bowls[0]->grams, 1e-9, $step);
        }
        self::assertSame($written->flow('toast')->bowls[0]->grams, $less->flow('toast')->bowls[0]->grams);
    }

    public function testARoastDialMovesTheTimeAndAFirmDialTheTarget(): void
    {
        self::assertEqualsWithDelta(
            12 * 1.2,
            Shipped::recipe('pineapple-kesari', new Choices([], ['roast' => 1.2]))->step('roast')->work->time->likelyMinutes,
            1e-9,
        );
        self::assertEqualsWithDelta(
            0.5 / 1.25,
            Shipped::recipe('basundi', new Choices([], ['firm' => 1.25]))->step('reduce')->work->target->value,
            1e-9,
            'firmer is reduced further',
        );
    }

    public function testWithoutDairyEveryMilkBowlIsReplacedAndWhatTheOtherCanNotStandIsSaid(): void
    {
        $recipe = Shipped::recipe('pineapple-kesari', new Choices([], [], [Without::Dairy]));
        self::assertSame('coconut-oil', $recipe->step('roast')->takes[0]->ingredient);
        self::assertEqualsWithDelta(0.95 * 95, $recipe->step('roast')->takes[0]->grams, 1e-9);
        self::assertSame(['ghee'], array_values(array_unique(array_map(static fn (Swap $s): string => $s->ingredient, $recipe->swaps))));

        $milk = Shipped::recipe('sago-milk', new Choices([], [], [Without::Dairy]));
        $said = implode(
            ' ',
            array_map(
                static fn ($f): string => $f->reason->text().' '.$f->advice->text(),
                (new RecipeChecker(Shipped::larder()))->check($milk),
            ),
        );
        self::assertStringContainsString('must not boil', $said);
        self::assertStringContainsString('Oat milk splits above 92 °C; here it reaches 99 °C', $said);
    }

    public function testTheSchoolThatDoesNotBoilDownAPlantMilkIsTakenByItselfAndSaid(): void
    {
        $json = Document::changed(Shipped::document('recipes/basundi'), [
            '/schools/0/options/3' => ['id' => 'starch', 'name' => 'Thickened with starch', 'why' => 'Nothing is boiled down.'],
            '/steps/1/variants/3' => [
                'when' => ['milk' => 'starch'],
                'process' => 'simmer',
                'flame' => 'low',
                'time' => ['grows' => 'fixed', 'minutes' => [8, 10, 15]],
                'target' => ['kind' => 'none'],
            ],
        ]);
        $reader = new RecipeReader(Shipped::larder());
        $without = $reader->read($json, new Choices([], [], [Without::Dairy]), Shipped::shelf());
        self::assertSame(['milk' => 'starch'], array_intersect_key($without->way->options, ['milk' => true]));
        self::assertSame('oat-milk', $without->otherWay->ingredient ?? null);
        $said = array_map(static fn ($f): string => $f->reason->text(), (new RecipeChecker(Shipped::larder()))->check($without));
        self::assertContains('"Thickened with starch" is taken by itself: as it is written it would boil Oat milk down.', $said);

        self::assertSame('slow', $reader->read($json, null, Shipped::shelf())->way->options['milk'], 'with milk it stays as written');
        $chosen = $reader->read($json, new Choices(['milk' => 'slow'], [], [Without::Dairy]), Shipped::shelf());
        self::assertSame('slow', $chosen->way->options['milk'], 'what somebody chose is kept, and refused when it is planned');
    }

    public function testWhatNothingReplacesIsAnError(): void
    {
        $recipe = Shipped::recipe('milk-solids-balls', new Choices([], [], [Without::Dairy]));
        $said = array_map(
            static fn ($f): string => $f->severity->value.' '.$f->reason->text(),
            (new RecipeChecker(Shipped::larder()))->check($recipe),
        );
        self::assertContains('error Nothing is known that replaces Milk solids, fresh without dairy.', $said);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> changes to basundi, pointer, part of the message */
    public static function faults(): iterable
    {
        yield 'a condition on no school' => [['/steps/2/when' => ['weather' => 'wet']], '/steps/2/when/weather', 'no school "weather"'];
        yield 'a condition on no option' => [
            ['/steps/2/when' => ['milk' => 'dusty']],
            '/steps/2/when/milk',
            'has no option "dusty"; it has: slow, tinned, ground',
        ];
        yield 'a school with one option' => [
            ['/schools/0/options' => [['id' => 'slow', 'name' => 'Slow', 'why' => 'So.']]],
            '/schools/0/options',
            'at least 2 items',
        ];
        yield 'a fault that only one school meets' => [
            ['/steps/4/takes/0/from' => 'nowhere'],
            '/steps/4/takes/0/from',
            'no step "nowhere"',
        ];
        yield 'an unknown field in a variant' => [
            ['/steps/0/variants/0/flaem' => 'low'],
            '/steps/0/variants/0/flaem',
            'no field "flaem"',
        ];
        yield 'a flame nobody knows, in a way that is not chosen' => [
            ['/steps/0/variants/0/flame' => 'inferno'],
            '/steps/0/variants/0/flame',
            'one of none, low, medium, high',
        ];
        yield 'minutes that fall, in a way that is not chosen' => [
            ['/steps/0/variants/0/time' => ['grows' => 'fixed', 'minutes' => [9, 5, 3]]],
            '/steps/0/variants/0/time/minutes',
            'must rise',
        ];
        yield 'a thing the larder does not hold, in a way that is not chosen' => [
            ['/steps/0/variants/0/takes' => [['ingredient' => 'moon-dust', 'grams' => 3]]],
            '/steps/0/variants/0/takes/0/ingredient',
            'holds no "moon-dust"',
        ];
        yield 'a variant of no way' => [['/steps/0/variants/0' => ['flame' => 'low']], '/steps/0/variants/0/when', 'missing'];
        yield 'an exclusion of no ways' => [['/excludes' => [['why' => 'So.']]], '/excludes/0/when', 'missing'];
        yield 'grams and pieces' => [['/portion/pieces' => 2], '/portion/grams', 'no field "grams"'];
        yield 'a dial that moves no step' => [['/dials/0/moves/0/step' => 'nowhere'], '/dials/0/moves/0/step', 'no step "nowhere"'];
        yield 'a dial beyond reason' => [['/dials/0/most' => 30], '/dials/0/most', 'from 1 to 3'];
        yield 'a base nobody has' => [
            ['/steps/5/takes/1' => ['base' => 'moon-syrup', 'grams' => 100]],
            '/steps/5/takes/1/base',
            'no recipe "moon-syrup"',
        ];
        yield 'a base that is a dish' => [
            ['/steps/5/takes/1' => ['base' => 'jalebi', 'grams' => 100]],
            '/steps/5/takes/1/base',
            'not a base',
        ];
        yield 'its own base' => [
            ['/steps/5/takes/1' => ['base' => 'basundi', 'grams' => 100]],
            '/steps/5/takes/1/base',
            'no recipe "basundi"',
        ];
        yield 'outputs that do not add up' => [
            ['/steps/0/outputs' => [['id' => 'a', 'share' => 0.5], ['id' => 'b', 'share' => 0.2]]],
            '/steps/0/outputs',
            '70 %, not 100',
        ];
        yield 'an output nobody names' => [
            ['/steps/0/outputs' => [['id' => 'a', 'share' => 0.5], ['id' => 'b', 'share' => 0.5]]],
            '/steps/1/takes/0/from',
            'say which "output": a, b',
        ];
        yield 'an output that is not there' => [['/steps/1/takes/0/output' => 'cream'], '/steps/1/takes/0/output', 'no output "cream"'];
        yield 'a mark at no time' => [['/steps/0/marks' => [['do' => 'stir']]], '/steps/0/marks/0', 'a minute or a sign'];
        yield 'warmth that can not be' => [
            ['/steps/1/takes/0/wants' => ['least' => 80, 'most' => 40]],
            '/steps/1/takes/0/wants',
            'can\'t both be',
        ];
        yield 'loads that say no load' => [
            ['/steps/8/time' => ['grows' => 'load', 'minutes' => [1, 2, 3]]],
            '/steps/8/time',
            'what one holds',
        ];
        yield 'a depth without a tray' => [
            ['/steps/6/target' => ['kind' => 'depth', 'value' => 20], '/steps/6/time' => ['grows' => 'fixed', 'minutes' => [1, 2, 3]]],
            '/steps/6/target',
            'needs a tray',
        ];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('faults')]
    public function testAFaultInAnyWayIsAFaultOfTheDocument(array $changes, string $pointer, string $says): void
    {
        try {
            (new RecipeReader(Shipped::larder()))->readEvery(
                Document::changed(Shipped::document('recipes/basundi'), $changes),
                Shipped::shelf(),
            );
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertContains(
                $pointer,
                array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults),
                $faulty->getMessage(),
            );
            self::assertStringContainsString($says, $faulty->getMessage());
        }
    }
}
