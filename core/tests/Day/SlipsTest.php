<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\LogReader;
use FeastLadle\Day\Slips\Added;
use FeastLadle\Day\Slips\Scene;
use FeastLadle\Day\Slips\SlipAnswer;
use FeastLadle\Day\Slips\Slips;
use FeastLadle\Day\Slips\Way;
use FeastLadle\Day\Slips\WayKind;
use FeastLadle\Feast\Feast;
use FeastLadle\Recipe\Process;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\Sentence;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/**
 * What is answered when something went wrong, held against what was written down before.
 *
 * @phpstan-import-type Case from SlipCases
 */
final class SlipsTest extends TestCase
{
    private const AT = '2031-11-22T12:00:00+05:30';

    /**
     * @param array<string, mixed> $said
     * @param array{first?: string, nobody?: bool, ways?: list<string>, adds?: array<string, array{string, float, float}>, noWay?: bool,
     *     says?: string, never?: string} $expects
     */
    #[DataProviderExternal(SlipCases::class, 'all')]
    public function testWhatACarefulCookWouldAnswer(string $recipe, string $step, array $said, array $expects): void
    {
        $scene = self::scene($recipe, $step, $said);
        $answer = Slips::answer($scene);
        $kinds = array_map(static fn (Way $w): string => $w->kind->value, $answer->ways);
        foreach ($expects['ways'] ?? [] as $kind) {
            self::assertContains($kind, $kinds);
        }
        if (isset($expects['first'])) {
            self::assertMatchesRegularExpression($expects['first'], self::told($answer->first));
        }
        if (isset($expects['says'])) {
            self::assertMatchesRegularExpression($expects['says'], self::all($answer));
        }
        self::assertSame($expects['nobody'] ?? false, $answer->isForNobody);
        self::assertSame(($expects['noWay'] ?? false) || ($expects['nobody'] ?? false), null !== $answer->noWayBack);
        if (isset($expects['never'])) {
            foreach ($answer->ways as $way) {
                self::assertDoesNotMatchRegularExpression($expects['never'], $way->does->text().' '.$way->asWritten);
                foreach ($way->adds as $added) {
                    self::assertDoesNotMatchRegularExpression($expects['never'], $added->thing->name);
                }
            }
        }
        foreach ($expects['adds'] ?? [] as $things => [$of, $least, $most]) {
            $whole = 'pot' === $of ? $scene->pot()->massGrams() : self::bowl($scene, $of);
            $added = self::added($answer, explode('|', $things));
            self::assertNotNull($added, $things);
            self::assertGreaterThanOrEqual($least * $whole, $added->grams);
            self::assertLessThanOrEqual($most * $whole, $added->grams);
            self::assertLessThanOrEqual($added->grams, $added->least);
            self::assertGreaterThanOrEqual($added->grams, $added->most);
        }
    }

    public function testNobodyEatsItComesFirstAndLeavesNoOtherWay(): void
    {
        foreach (SlipCases::all() as $name => [$recipe, $step, $said, $expects]) {
            $answer = Slips::answer(self::scene($recipe, $step, $said));
            if ($expects['nobody'] ?? false) {
                self::assertSame(WayKind::Discard, $answer->ways[0]->kind, $name);
                self::assertSame(
                    [WayKind::Discard, WayKind::Anew],
                    array_map(static fn (Way $w): WayKind => $w->kind, $answer->ways),
                    $name,
                );
            }
            $ids = array_map(static fn (Way $w): string => $w->id, $answer->ways);
            self::assertSame($ids, array_unique($ids), $name);
        }
    }

    /** Whatever is said at whatever step, something can be done next, nothing is negative, and water never goes near hot fat. */
    public function testEverySlipAtEveryStepHasAnAnswer(): void
    {
        $slips = [
            ['slip' => 'forgotten', 'bowl' => 1], [
                'slip' => 'too-much',
                'bowl' => 1,
                'grams' => 9000,
            ], ['slip' => 'too-little', 'bowl' => 2, 'grams' => 0],
            ['slip' => 'swapped', 'bowl' => 1, 'with' => 'sugar'], ['slip' => 'out-of-order', 'bowl' => 2, 'before' => 1],
            [
                'slip' => 'something-else',
                'ingredient' => 'peanuts',
                'grams' => 50,
            ], ['slip' => 'skipped'], ['slip' => 'went-past', 'celsius' => 130],
            ['slip' => 'too-wet'], ['slip' => 'too-dry'], ['slip' => 'too-hot', 'celsius' => 200], ['slip' => 'too-cold', 'celsius' => 20],
            ['slip' => 'spilt', 'share' => 0.1], ['slip' => 'dropped', 'share' => 1], ['slip' => 'caught'], ['slip' => 'touched'],
            ['slip' => 'foreign', 'what' => 'a wire'],
        ];
        $asked = 0;
        foreach (['milk-solids-balls', 'gram-honeycomb', 'sweet-pongal', 'filled-flatbread'] as $recipe) {
            foreach (self::dish($recipe)->batchPlan->ledger->flows as $flow) {
                foreach ($slips as $slip) {
                    $scene = self::scene($recipe, $flow->step->id, $slip);
                    $answer = Slips::answer($scene);
                    ++$asked;
                    self::assertNotSame([], $answer->ways, $recipe.'/'.$flow->step->id.' '.json_encode($slip));
                    foreach ($answer->ways as $way) {
                        self::assertGreaterThanOrEqual(0, $way->minutes);
                        foreach ($way->adds as $added) {
                            self::assertGreaterThanOrEqual(0.0, $added->least);
                            $isWater = 'water' === $added->thing->id && WayKind::Anew !== $way->kind && 'spilt' !== $slip['slip'];
                            self::assertFalse($isWater && Process::DeepFry === $flow->step->process, $flow->step->id.json_encode($slip));
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(400, $asked);
    }

    /** @param array<string, mixed> $said */
    private static function scene(string $recipe, string $step, array $said): Scene
    {
        $dish = self::dish($recipe, $step);
        if (\is_int($said['hours'] ?? null)) {
            $said['since'] = (new \DateTimeImmutable(self::AT))->modify('-'.$said['hours'].' hours')->format(\DATE_ATOM);
            unset($said['hours']);
        }
        $event = (new LogReader(self::feast($recipe, $step), Shipped::temple(), Shipped::larder()))->readEvent(json_encode(
            ['id' => 's1', 'at' => self::AT, 'kind' => 'slipped', 'step' => "d/1/$step", ...$said],
            \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION,
        ));
        self::assertInstanceOf(Slipped::class, $event->what);

        return new Scene(
            $event->what,
            $dish,
            $dish->batchPlan->ledger->flow($step)->step,
            Shipped::temple(),
            Shipped::larder(),
            new \DateTimeImmutable(self::AT),
            4.0,
        );
    }

    private static function dish(string $recipe, ?string $step = null): PlannedDish
    {
        return (new QuantityPlanner(Shipped::larder()))->plan(self::feast($recipe, $step), Shipped::temple())->dishes['d'];
    }

    private static function feast(string $recipe, ?string $step): Feast
    {
        return Shipped::templeFeast(static function (array $document) use ($recipe, $step): array {
            unset($document['boxes']);
            $document['groups'] = [['id' => 'all', 'name' => 'All', 'count' => 60, 'appetite' => 1, 'at' => 'first']];
            $document['dishes'] = [['id' => 'd', 'recipe' => $recipe, 'uptake' => 1, ...match ($step) {
                'bloom' => ['schools' => ['spice' => 'bloomed']],
                'batter' => ['schools' => ['rise' => 'machine']],
                default => [],
            }]];

            return $document;
        });
    }

    private static function bowl(Scene $scene, string $ingredient): float
    {
        foreach ($scene->flow->bowls as $bowl) {
            if ($bowl->ingredient === $ingredient) {
                return $bowl->grams;
            }
        }
        self::fail("There is no bowl of $ingredient.");
    }

    /** @param list<string> $things */
    private static function added(SlipAnswer $answer, array $things): ?Added
    {
        foreach ($answer->ways as $way) {
            foreach ($way->adds as $added) {
                if (\in_array($added->thing->id, $things, true)) {
                    return $added;
                }
            }
        }

        return null;
    }

    /** @param list<Sentence> $sentences */
    private static function told(array $sentences): string
    {
        return implode(' ', array_map(static fn (Sentence $s): string => $s->text(), $sentences));
    }

    private static function all(SlipAnswer $answer): string
    {
        $ways = array_map(static fn (Way $w): string => $w->does->text().' '.$w->asWritten.' '.$w->loses?->text(), $answer->ways);

        return self::told([...$answer->first, ...$answer->changes]).' '.implode(' ', $ways).' '.$answer->noWayBack?->text();
    }
}
