<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Measure;

use FeastLadle\Measure\AmountWriter;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A little too much of a strong thing is too much: it is never rounded by more than a tenth. Worked out by hand. */
final class StrongThingsTest extends TestCase
{
    /** @return iterable<string, array{float, string}> grams of camphor, 0.6 g/ml: an eighth of a spoon is 0.375 g; a scale of 1 g */
    public static function camphor(): iterable
    {
        yield 'a quarter spoon, near enough' => [0.8, '¼ tsp'];
        yield 'three eighths' => [1.2, '⅜ tsp'];
        yield 'between two eighths' => [0.9, 'weigh 11 g, take 1 of 12 parts'];
        yield 'a spoon and an eighth' => [3.375, '1⅛ tsp'];
        yield 'counted, five grains of 0.02 g' => [0.1, '5 × grain'];
        yield 'in more parts than an eye makes' => [0.6, 'weigh 10 g, stir it into 17 tsp of water, take 1 tsp'];
        yield 'enough for the scale' => [12.3, '12 g'];
    }

    #[DataProvider('camphor')]
    public function testCamphorIsMeasuredAsItCanBe(float $grams, string $amount): void
    {
        $writer = new AmountWriter(240, 1);
        $camphor = Shipped::larder()->get('camphor');
        self::assertSame($amount, $writer->main($camphor, $writer->measuredGrams($camphor, $grams))->text());
    }

    public function testNoStrongThingIsRoundedByMoreThanATenth(): void
    {
        $random = new Randomizer(new Mt19937(20311115));
        $strong = array_filter(Shipped::larder()->all(), static fn ($i): bool => $i->weights->strong && null === $i->weights->eachGrams);
        self::assertGreaterThan(8, \count($strong));
        foreach ($strong as $thing) {
            for ($i = 0; $i < 200; ++$i) {
                $grams = 10 ** ($random->getInt(-2000, 4000) / 1000);
                $measured = (new AmountWriter(240, $random->getInt(1, 5)))->measuredGrams($thing, $grams);
                self::assertEqualsWithDelta(1.0, $measured / $grams, 0.1000001, $thing->id.' '.$grams);
            }
        }
    }
}
