<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Safety;

use FeastLadle\Flow\Ledger;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
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
        yield 'nuts stirred into glass-hot sugar' => ['peanut-brittle', 'fold', 1.0, ['hot-sugar', 'hot-fat', 'splash']];
        yield 'hot fat into a boiling mass' => ['gram-honeycomb', 'froth', 1.0, ['hot-fat', 'hot-sugar']];
        yield 'pressure' => ['sweet-pongal', 'pressure', 1.0, ['pressure']];
        yield 'milk that climbs' => ['basundi', 'boil', 1.0, ['boil-over']];
        yield 'a pot for two people' => ['basundi', 'boil', 10.0, ['boil-over', 'lifting']];
        yield 'lukewarm milk' => ['basundi', 'cool', 1.0, ['lukewarm']];
        yield 'honey and babies' => ['five-nectar-mix', 'measure', 1.0, ['honey']];
        yield 'camphor' => ['sweet-pongal', 'finish', 1.0, ['grade']];
        yield 'whole nuts' => ['fried-nuts', 'fry', 1.0, ['hot-fat', 'choking']];
        yield 'nothing at all' => ['gram-honeycomb', 'sieve', 1.0, []];
    }

    /** @param list<string> $dangers */
    #[DataProvider('steps')]
    public function testTheDangersOfAStepAreNamed(string $recipe, string $step, float $factor, array $dangers): void
    {
        $flow = Ledger::follow(Shipped::recipe($recipe), Shipped::larder(), $factor, 1)->flow($step);
        $found = array_map(static fn (Caution $c): string => $c->danger->value, (new Cautions(Shipped::larder()))->of($flow));
        sort($found);
        sort($dangers);
        self::assertSame($dangers, $found);
    }
}
