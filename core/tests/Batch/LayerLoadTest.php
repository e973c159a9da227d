<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Batch;

use FeastLadle\Batch\LayerLoad;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\Process;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked by hand: tiers × ⌊0.55 A/footprint⌋ in a steamer, ⌊0.6 A/footprint⌋ on a griddle. */
final class LayerLoadTest extends TestCase
{
    /** @return iterable<string, array{Process, Shape, int, float, int}> process, shape, tiers, mm of a piece, pieces that lie in it */
    public static function loads(): iterable
    {
        // 24 cm: 0.04524 m²; a piece of 50 mm 0.0019635 m²: 12.67, two tiers.
        yield 'two tiers' => [Process::Steam, StraightShape::round(240, 200), 2, 50.0, 24];
        yield 'one tier' => [Process::Steam, StraightShape::round(240, 200), 1, 50.0, 12];
        // 110 × 52 cm: 0.572 m²; a flatbread of 150 mm 0.017671 m²: 19.4.
        yield 'a long griddle' => [Process::Griddle, StraightShape::rectangular(1100, 520, 25), 1, 150.0, 19];
        // 28 cm: 0.061575 m²: 2.09.
        yield 'a round griddle' => [Process::Griddle, StraightShape::round(280, 15), 1, 150.0, 2];
        // Pieces lie on the base of a pan, 20 cm: 0.031416 m², not on its wider rim: 1.07.
        yield 'the base of a pan' => [Process::Griddle, new TaperedShape(100, 150, 60), 1, 150.0, 1];
        yield 'one at least, a little over the edge' => [Process::Griddle, StraightShape::round(150, 15), 1, 150.0, 1];
        yield 'none where it is wider than the griddle' => [Process::Griddle, StraightShape::round(140, 15), 1, 150.0, 0];
    }

    #[DataProvider('loads')]
    public function testPiecesOfALoad(Process $process, Shape $shape, int $tiers, float $widthMm, int $pieces): void
    {
        $kind = Process::Steam === $process ? VesselKind::Steamer : VesselKind::Griddle;
        $vessel = new Vessel('v', 'Vessel', $kind, $shape, Metal::Aluminium, 3.0, $tiers);
        self::assertSame($pieces, LayerLoad::piecesIn($vessel, $process, $widthMm));
    }

    public function testAPieceWiderThanAnyGriddleIsRefusedInItsOwnWords(): void
    {
        $kitchen = Shipped::document('kitchens/kumbhar-lane');
        \assert(\is_array($kitchen['vessels']));
        foreach ($kitchen['vessels'] as $i => $vessel) {
            if (\is_array($vessel) && 'griddle' === $vessel['kind']) {
                $kitchen['vessels'][$i] = ['shape' => ['form' => 'straight', 'diameterMm' => 90, 'heightMm' => 10]] + $vessel;
            }
        }
        $small = (new KitchenReader())->read(json_encode($kitchen, \JSON_THROW_ON_ERROR));
        $document = ['dishes' => [['id' => 'it', 'recipe' => 'filled-flatbread']]] + Shipped::document('feasts/new-roof');
        $feast = (new FeastReader($small, Shipped::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $obstacles = (new FeastPlanner(Shipped::larder()))->plan($feast, $small)->obstacles;
        self::assertStringStartsWith('No griddle is wide enough for a piece of "Griddle them"', ($obstacles[0] ?? null)?->text() ?? '');
    }

    public function testAKitchenReadsItsTiers(): void
    {
        $document = Shipped::document('kitchens/kumbhar-lane');
        \assert(\is_array($document['vessels']));
        $steamer = array_search('steamer', array_column($document['vessels'], 'kind'), true);
        $kitchen = (new KitchenReader())->read(Document::changed($document, ['/vessels/'.$steamer.'/tiers' => 5]));
        $tiers = array_map(
            static fn (Vessel $v): int => $v->tiers,
            array_values(array_filter($kitchen->vessels, static fn (Vessel $v): bool => VesselKind::Steamer === $v->kind)),
        );
        self::assertSame([5], array_values(array_unique($tiers)));
    }
}
