<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Glance;

use FeastLadle\Glance\Glancing;
use FeastLadle\Glance\Shape;
use FeastLadle\Glance\Sweet;
use FeastLadle\Glance\Tint;
use FeastLadle\Glance\Tints;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a sweet looks like follows from its recipe; what a cook would draw is written down by hand. */
final class GlancingTest extends TestCase
{
    /** @return iterable<string, array{string, Shape}> */
    public static function shapes(): iterable
    {
        yield 'coils squeezed into fat' => ['jalebi', Shape::Coil];
        yield 'cut in a tray' => ['coconut-rose-barfi', Shape::Square];
        yield 'broken along lines' => ['peanut-brittle', Shape::Square];
        yield 'cut in diamonds' => ['cashew-diamonds', Shape::Diamond];
        yield 'ladled and drunk' => ['basundi', Shape::Drink];
        yield 'spooned' => ['sweet-pongal', Shape::Bowl];
        yield 'rolled by hand' => ['sesame-balls', Shape::Ball];
        yield 'from the griddle' => ['filled-flatbread', Shape::Disc];
        yield 'turned out of a mould' => ['rose-milk-moulds', Shape::Disc];
        yield 'a filling in a dough' => ['steamed-coconut-parcels', Shape::Parcel];
        yield 'cut off a roll' => ['date-nut-rolls', Shape::Slice];
    }

    #[DataProvider('shapes')]
    public function testShapeFollowsFromTheLastWorkAndTheNameOfAPiece(string $slug, Shape $shape): void
    {
        self::assertSame($shape, $this->at($slug)->shape);
    }

    public function testColourFollowsFromWhatIsInItAndWhatHeatDoes(): void
    {
        $light = fn (string $slug): float => $this->at($slug)->tint->lightness();
        // Dark sugar against white, a dark millet against milk, fried dough against coconut.
        self::assertLessThan($light('sago-milk') - 0.2, $light('sweet-pongal'));
        self::assertLessThan($light('rose-milk-moulds') - 0.4, $light('millet-cups'));
        self::assertLessThan($light('coconut-rose-barfi') - 0.2, $light('milk-solids-balls'));
        $guava = $this->at('guava-squares')->tint;
        self::assertGreaterThan($guava->green + 50, $guava->red);
        $pineapple = $this->at('pineapple-kesari')->tint;
        self::assertGreaterThan($pineapple->blue + 80, $pineapple->red);
    }

    public function testWhatLiesOnTopIsNoPartOfTheColour(): void
    {
        $toast = $this->at('dipped-toast');
        self::assertSame([Tints::of('pistachios')[0]->asHex()], array_map(static fn (Tint $t): string => $t->asHex(), $toast->garnish));
        self::assertGreaterThan($toast->tint->green, $toast->tint->red);
    }

    public function testWhoAsksWithoutWhatIsToldAllThatGetsIn(): void
    {
        self::assertSame(['milk', 'peanut'], $this->at('peanut-brittle')->allergens);
        self::assertFalse($this->at('peanut-brittle')->isOfPlants);
        self::assertTrue($this->at('date-nut-rolls')->isOfPlants);
        self::assertContains('Dates, stoned, chopped', $this->at('date-nut-rolls')->things);
    }

    /** What nobody stands at costs no hands; stirring for an hour does. */
    public function testHandsAreThoseThatTheStepsAskFor(): void
    {
        self::assertGreaterThan(60, $this->at('guava-squares')->handMinutes);
        self::assertLessThan(20, $this->at('basundi')->handMinutes);
    }

    public function testMixingIsWeighedAndKeepsWithinWhatIsMixed(): void
    {
        $red = Tint::hex('ff0000');
        $white = Tint::hex('ffffff');
        self::assertSame('#ff8080', Tint::mixed([[$red, 2.0], [$white, 2.0]])->asHex());
        self::assertSame('#ff4040', $red->towards($white, 0.25)->asHex());
        self::assertSame(1.0, $white->lightness());
    }

    private function at(string $slug): Sweet
    {
        return (new Glancing(Shipped::larder()))->at(Shipped::recipe($slug));
    }
}
