<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BatchesInTurnTest extends TestCase
{
    /** @return iterable<array{string}> */
    public static function recipes(): iterable
    {
        foreach (['broken-wheat-pudding', 'pineapple-kesari', 'sweet-pongal', 'jalebi'] as $recipe) {
            yield $recipe => [$recipe];
        }
    }

    #[DataProvider('recipes')]
    public function testTheFirstBatchIsTheOneThatIsDoneFirst(string $recipe): void
    {
        $document = ['dishes' => [['id' => 'it', 'recipe' => $recipe]]] + Shipped::document('feasts/bell-raising');
        unset($document['boxes'], $document['otherWork'], $document['rules']);
        $feast = (new FeastReader(Shipped::bellYard(), Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $plan = (new FeastPlanner(Shipped::larder()))->glance($feast, Shipped::bellYard());
        $ends = [];
        foreach ($plan->steps as $step) {
            if ('it' === $step->key->dish && null !== $step->key->round->batch) {
                $ends[$step->key->round->batch] = max($ends[$step->key->round->batch] ?? 0, $step->endMinute);
            }
        }
        ksort($ends);
        $sorted = $ends;
        sort($sorted);
        self::assertSame($sorted, array_values($ends));
        self::assertGreaterThan(1, \count(array_filter($plan->steps, static fn (PlannedStep $s): bool => 2 === $s->key->round->batch)));
    }
}
