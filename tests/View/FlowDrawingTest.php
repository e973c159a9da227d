<?php

declare(strict_types=1);

namespace App\Tests\View;

use App\View\FlowDrawing;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\Sentence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FlowDrawingTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function recipes(): iterable
    {
        foreach (['pineapple-kesari', 'basundi', 'milk-solids-balls', 'coconut-rose-barfi'] as $slug) {
            yield $slug => [$slug];
        }
    }

    #[DataProvider('recipes')]
    public function testNoStepCoversAnotherAndEveryStreamRunsToTheRight(string $slug): void
    {
        $recipe = Shipped::recipe($slug);
        $drawing = (new FlowDrawing(Shipped::larder()))->draw(
            $recipe,
            Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual()),
            new AmountWriter(240, 1),
        );
        self::assertCount(\count($recipe->steps), $drawing['nodes']);
        foreach ($drawing['nodes'] as $i => $a) {
            self::assertLessThanOrEqual($drawing['width'], $a['x'] + $a['w']);
            self::assertLessThanOrEqual($drawing['height'], $a['y'] + $a['h']);
            foreach ($drawing['nodes'] as $j => $b) {
                self::assertTrue(
                    $i === $j
                        || $a['x'] + $a['w'] <= $b['x']
                        || $b['x'] + $b['w'] <= $a['x']
                        || $a['y'] + $a['h'] <= $b['y']
                        || $b['y'] + $b['h'] <= $a['y'],
                    $a['id'].' '.$b['id'],
                );
            }
        }
        $taken = array_sum(array_map(static fn ($s): int => \count($s->sources()), $recipe->steps));
        self::assertCount($taken, $drawing['streams']);
        foreach ($drawing['streams'] as $stream) {
            self::assertSame(1, preg_match('/^M([\d.]+) [\d.]+ C.* ([\d.]+) [\d.]+$/', $stream['path'], $ends));
            self::assertLessThan((float) $ends[2], (float) $ends[1]);
        }
    }

    public function testAHeavierStreamIsThicker(): void
    {
        $recipe = Shipped::recipe('pineapple-kesari');
        $ledger = Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual());
        $streams = (new FlowDrawing(Shipped::larder()))->draw($recipe, $ledger, new AmountWriter(240, 1))['streams'];
        $masses = [];
        foreach ($ledger->flows as $flow) {
            foreach ($flow->step->sources() as $source) {
                $masses[] = $ledger->flow($source)->gives->massGrams();
            }
        }
        $widths = array_column($streams, 'width');
        array_multisort($masses, $widths);
        $inOrder = $widths;
        sort($inOrder);
        self::assertSame($inOrder, $widths);
        self::assertGreaterThan(2 * $widths[0], end($widths), 'the heaviest and the lightest differ');
    }

    public function testAStepShowsItsFlameItsHandsAndWhatGoesIn(): void
    {
        $recipe = Shipped::recipe('milk-solids-balls');
        $nodes = array_column(
            (new FlowDrawing(Shipped::larder()))->draw(
                $recipe,
                Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual()),
                new AmountWriter(240, 1),
            )['nodes'],
            null,
            'id',
        );
        self::assertSame(
            [2, 'watch', ['700 g Sugar', '820 g Water']],
            [
                $nodes['syrup']['flame'],
                $nodes['syrup']['attention'],
                array_map(static fn (Sentence $b): string => $b->text(), $nodes['syrup']['bowls']),
            ],
        );
        self::assertSame('Frying oil, 55 mm deep', $nodes['fry']['bowls'][0]->text());
        self::assertSame('+ 2', $nodes['dough']['bowls'][3]->text());
        self::assertSame([0, 'none'], [$nodes['rest']['flame'], $nodes['rest']['attention']]);
    }
}
