<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Frozen;

use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Solver;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Tests\Schedule\GeneratedKitchen;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What stands in each vessel, and when each step begins, as it was put down: so that no small fault in a law, a ledger or the search goes
 * unnoticed. Whether these numbers are right is asked elsewhere; here they only may not change by themselves. Write them anew with
 * FREEZE=1, and read the difference.
 */
final class FrozenTest extends TestCase
{
    /** @return iterable<string, array{Feast, Kitchen}> */
    public static function feasts(): iterable
    {
        yield 'home' => [Shipped::feast(), Shipped::kitchen()];
        yield 'temple' => [Shipped::templeFeast(), Shipped::temple()];
        yield 'bell' => [Shipped::bellFeast(), Shipped::bellYard()];
        yield 'crowded' => [Shipped::feast(60, 10, 10), Shipped::kitchen()];
    }

    #[DataProvider('feasts')]
    public function testWhatStandsInTheVesselsIsWhatWasPutDown(Feast $feast, Kitchen $kitchen): void
    {
        $larder = Shipped::larder();
        $lines = [];
        foreach ((new QuantityPlanner($larder))->plan($feast, $kitchen)->dishes as $id => $planned) {
            foreach ($planned->batchPlan->ledger->flows as $step => $flow) {
                $lines[] = \sprintf(
                    '%s/%s: %.3f g, %.3f ml, %.2f °C, water %.3f, sugar %.3f, fat %.3f; fullest %.2f ml, %.2f °C, off %.3f g',
                    $id,
                    $step,
                    $flow->gives->massGrams(),
                    $flow->gives->volumeMl($larder),
                    $flow->gives->celsius,
                    $flow->gives->waterGrams($larder),
                    $flow->gives->sugarGrams($larder),
                    $flow->gives->fatGrams($larder),
                    $flow->fullestMl,
                    $flow->peakCelsius,
                    $flow->waterOff,
                );
            }
            foreach ($planned->batchPlan->pots as $choice) {
                $lines[] = \sprintf(
                    '%s/%s: %d × %s, %.2f ml',
                    $id,
                    $choice->run->id,
                    \count($choice->vessels),
                    $choice->vessel()->id,
                    $choice->fullestMl,
                );
            }
        }
        Frozen::compare('amounts-'.$this->dataName(), implode("\n", $lines)."\n");
    }

    #[DataProvider('feasts')]
    public function testEachStepBeginsWhenItWasPutDown(Feast $feast, Kitchen $kitchen): void
    {
        $larder = Shipped::larder();
        $model = (new Solve($larder))->model(new Task($feast, $kitchen, (new QuantityPlanner($larder))->plan($feast, $kitchen)));
        $lines = [];
        foreach ($model->problem->activities as $id => $activity) {
            $needs = [];
            foreach ($activity->needs as $need) {
                $needs[] = $need->count.'×'.$need->units.' of '.implode(',', $need->from).' '.json_encode($need->durations);
            }
            $d = $activity->duration;
            $lines[] =
                "$id: $d->min $d->likely $d->max from $activity->earliestStart to $activity->latestEnd; ".implode('; ', $needs);
        }
        Frozen::compare('model-'.$this->dataName(), implode("\n", $lines)."\n");
    }

    /** @return iterable<string, array{int, int, int}> seed, size, rounds */
    public static function problems(): iterable
    {
        foreach ([[1, 30, 1], [2, 30, 30], [3, 60, 1], [4, 60, 40], [5, 90, 10]] as $row) {
            yield implode('-', $row) => $row;
        }
    }

    #[DataProvider('problems')]
    public function testTheSearchGoesTheSameWay(int $seed, int $size, int $rounds): void
    {
        [$document] = GeneratedKitchen::of($seed, $size);
        $problem = (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $solution = (new Solver())->solve($problem, Budget::iterations($rounds), $seed);
        $lines = [\sprintf('objective %s, bound %s', $solution->objective ?? '-', $solution->bound ?? '-')];
        foreach ($solution->activities as $id => $placement) {
            $lines[] = "$id: $placement->start to $placement->end on ".json_encode($placement->uses);
        }
        Frozen::compare('search-'.$this->dataName(), implode("\n", $lines)."\n");
    }
}
