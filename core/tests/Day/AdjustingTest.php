<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\Adjusting;
use FeastLadle\Flow\Contents;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** After the offering a pot is tasted: grams for this pot, not for the recipe. */
final class AdjustingTest extends TestCase
{
    public function testATenthSweeterIsATenthOfTheSugarInThisPot(): void
    {
        $larder = Shipped::larder();
        $pot = Contents::of('milk', 3000.0, 60.0)->plus(Contents::of('sugar', 300.0, 20.0), $larder);
        $sugars = $pot->sugarGrams($larder);
        $ways = (new Adjusting($larder))->of($pot);
        self::assertSame('sugar', $ways['sweeter'][0]);
        self::assertEqualsWithDelta($sugars / 10, $ways['sweeter'][1], 0.5);
        // A twentieth of 3,300 g, of what it is ladled in.
        self::assertSame('milk', $ways['looser'][0]);
        self::assertEqualsWithDelta(165.0, $ways['looser'][1], 0.1);
    }

    public function testWhatIsInPiecesIsNotStirredAgain(): void
    {
        self::assertSame([], (new Adjusting(Shipped::larder()))->of(Contents::of('sugar', 500.0, 20.0)->withPieces(20)));
    }

    public function testWhatIsStiffIsSweetenedButNotThinned(): void
    {
        $larder = Shipped::larder();
        $stiff = Contents::of('semolina', 500.0, 60.0)->plus(Contents::of('sugar', 400.0, 20.0), $larder);
        self::assertSame(['sweeter'], array_keys((new Adjusting($larder))->of($stiff)));
    }
}
