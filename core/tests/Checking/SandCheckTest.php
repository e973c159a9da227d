<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Checking;

use FeastLadle\Checking\Finding;
use FeastLadle\Checking\SandCheck;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SandCheckTest extends TestCase
{
    /** Whole milk has 4.7 g of milk sugar in 87.5 g of water: boiled to a quarter of its mass it passes 18 in 100. */
    #[TestWith([0.5, 'cold', false])]
    #[TestWith([0.25, 'cold', true])]
    #[TestWith([0.25, 'warm', false])]
    public function testMilkBoiledDownFarTurnsSandyInTheCold(float $to, string $place, bool $warns): void
    {
        $document = [
            'format' => 'feast-ladle/recipe',
            'version' => 1,
            'slug' => 'reduced',
            'name' => 'Reduced',
            'serving' => ['way' => 'cold', 'keepMinutes' => 600],
            'portion' => ['grams' => 100],
            'steps' => [
                [
                    'id' => 'reduce',
                    'process' => 'reduce',
                    'title' => 'Reduce',
                    'takes' => [['ingredient' => 'milk', 'grams' => 4000]],
                    'vessel' => ['kind' => 'pot'],
                    'flame' => 'medium',
                    'time' => ['grows' => 'boil-off'],
                    'target' => ['kind' => 'volume-to', 'value' => $to],
                    'attention' => ['kind' => 'watch'],
                    'keeping' => ['minutes' => 600, 'place' => $place],
                ],
            ],
            'result' => 'reduce',
        ];
        $recipe = (new RecipeReader(Shipped::larder()))->read(
            json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
        );
        $findings = (new SandCheck(Shipped::larder()))->check(
            $recipe,
            Ledger::follow($recipe, Shipped::larder(), 1.0, 1, Climate::usual()),
        );
        self::assertSame($warns ? ['reduce'] : [], array_map(static fn (Finding $f): string => $f->step, $findings));
        if ($warns) {
            self::assertStringContainsString('milk sugar in 100 g of its water', $findings[0]->reason->text());
        }
    }
}
