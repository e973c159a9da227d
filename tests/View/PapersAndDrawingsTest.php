<?php

declare(strict_types=1);

namespace App\Tests\View;

use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Service\FeastDesk;
use App\Service\OpenFeast;
use App\Service\PlanStore;
use App\Service\Scenarios;
use App\Service\WhatIf;
use App\View\LoadDrawing;
use App\View\PlateDrawing;
use App\View\StickSheet;
use App\View\StoveFrames;
use App\View\TrayBench;
use FeastLadle\Cards\PotStick;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Tray\Cut;
use FeastLadle\Vessel\Dipstick;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Drawings of the temple feast, held against the plan they are drawn from. */
final class PapersAndDrawingsTest extends KernelTestCase
{
    private OpenFeast $open;

    private Plan $plan;

    protected function setUp(): void
    {
        $container = self::getContainer();
        $temple = $container->get(KitchenRepository::class)->household()[1];
        $this->open = $container->get(FeastDesk::class)->open((int) $container->get(FeastRepository::class)->all($temple)[0]->getId());
        $this->plan = $container->get(PlanStore::class)->plan($this->open);
    }

    public function testTheStoveShowsEachFireOneThingAtATime(): void
    {
        $stove = self::getContainer()->get(StoveFrames::class)->of($this->plan, $this->open);
        self::assertCount(\count($this->open->kitchen->burners), $stove['fires']);
        $shown = 0;
        foreach ($stove['fires'] as $fire) {
            $items = $fire['items'];
            usort($items, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
            foreach ($items as $i => $item) {
                self::assertLessThan($item['to'], $item['from']);
                self::assertGreaterThanOrEqual($items[$i - 1]['to'] ?? 0, $item['from'], $fire['name']);
                self::assertLessThanOrEqual($fire['r'], $item['fill']);
                ++$shown;
            }
        }
        self::assertSame(\count(array_filter($this->plan->steps, static fn ($s): bool => null !== $s->burner)), $shown);
        self::assertArrayHasKey($stove['first'], $stove['instants']);
    }

    public function testLoadNeverShowsMoreFiresThanThereAre(): void
    {
        $load = (new LoadDrawing())->draw($this->plan, $this->open->feast, $this->open->kitchen);
        [$fires, $hands] = $load['curves'];
        self::assertLessThanOrEqual((float) \count($this->open->kitchen->burners), $fires['peak']);
        self::assertLessThanOrEqual((float) \count($this->open->kitchen->people), $hands['peak']);
        self::assertGreaterThan(0, $hands['peak']);
        self::assertNotNull($fires['peakAt']);
        self::assertSame(
            [],
            (new LoadDrawing())->draw(Plan::unscheduled($this->plan->quantities), $this->open->feast, $this->open->kitchen)['curves'],
        );
    }

    public function testThePlateHoldsWhatIsPlanned(): void
    {
        $plate = (new PlateDrawing(Shipped::larder()))->of($this->plan->quantities, $this->open->feast->plateCapGrams);
        self::assertCount(6, $plate['heaps']);
        // The cap holds for what is eaten over all guests.
        self::assertEqualsWithDelta(240, $plate['eaten'], 1);
        self::assertGreaterThan($plate['eaten'], $plate['served']);
        foreach ($plate['heaps'] as $heap) {
            self::assertLessThan(PlateDrawing::PLATE_MM / 2, hypot($heap['x'], $heap['y']) + $heap['r'], $heap['name']);
        }
        self::assertTrue((new PlateDrawing(Shipped::larder()))->of($this->plan->quantities, null)['usual']);
    }

    /** @return iterable<string, array{string, int}> */
    public static function papers(): iterable
    {
        yield 'A4' => ['A4', 190];
        yield 'Letter' => ['letter', 175];
    }

    #[DataProvider('papers')]
    public function testAStickIsCutIntoPartsAtTrueScale(string $paper, int $page): void
    {
        $vessel = $this->open->kitchen->vessels['great-pot'];
        $levels = [
            ['label' => 'Cook', 'depthMm' => 300.0, 'what' => 'begin', 'celsius' => 100.0, 'ml' => 1.0],
            ['label' => 'Cook', 'depthMm' => 298.0, 'what' => 'stop', 'celsius' => 100.0, 'ml' => 1.0],
        ];
        $sheet = self::getContainer()
            ->get(StickSheet::class)
            ->of(new PotStick($vessel, 'x', Dipstick::marks($vessel->shape), $levels), $paper);
        self::assertCount((int) ceil(480 / $page), $sheet['parts']);
        self::assertEqualsWithDelta(480, array_sum(array_column($sheet['parts'], 'height')), 1e-6);
        $ticks = array_merge(...array_column($sheet['parts'], 'ticks'));
        self::assertCount(\count(Dipstick::marks($vessel->shape)), $ticks);
        foreach ($sheet['parts'] as $part) {
            $words = array_column($part['levels'], 'words');
            for ($i = 1; $i < \count($words); ++$i) {
                // Words of levels close together are moved apart.
                self::assertGreaterThanOrEqual($words[$i - 1] + 6.9, $words[$i]);
            }
        }
        self::assertSame(100.0, end($sheet['ruler'])['left'] ?? null);
    }

    public function testAllCutsAreDrawnWithinReach(): void
    {
        $asked = array_map(static fn (array $a): float => (float) $a[2], TrayBench::ASKED);
        foreach (Cut::cases() as $cut) {
            $bench = (new TrayBench())->of($asked, $cut, true, $this->open->kitchen);
            self::assertNotNull($bench['plan'], $cut->value);
            self::assertGreaterThan(10, \count($bench['lines']), $cut->value);
            foreach ($bench['lines'] as [$x1, $y1, $x2, $y2]) {
                self::assertGreaterThanOrEqual(0.0, $y1);
                self::assertLessThanOrEqual($asked['width'], $y2);
                // Each line meets the tray.
                self::assertTrue(max($x1, $x2) >= 0 && min($x1, $x2) <= $asked['length'], $cut->value);
            }
            $former = 0.0;
            foreach ($bench['windows'] as $window) {
                self::assertGreaterThan($former, $window['from']);
                $former = $window['from'];
            }
        }
    }

    public function testEveryScenarioReadsAndNoneChangesTheFeast(): void
    {
        $whatIf = self::getContainer()->get(WhatIf::class);
        $before = $this->open->record->getDocument();
        $scenarios = self::getContainer()->get(Scenarios::class)->of($this->open, $this->plan);
        self::assertArrayHasKey('helper-som', $scenarios);
        self::assertArrayHasKey('less-cups', $scenarios);
        // What the boxes hold can't be left out.
        self::assertArrayNotHasKey('less-sesame', $scenarios);
        foreach (['margin-60', 'fire', 'earlier', 'day-before', 'helper-som', 'less-cups'] as $id) {
            $tried = $whatIf->try($this->open, $this->plan, $scenarios[$id]);
            self::assertNotNull($tried, $id);
            self::assertNotSame([], $tried->steps, $id);
        }
        self::assertFalse($scenarios['fire']->canBeKept());
        self::assertSame($before, $this->open->record->getDocument());
        $margin = $whatIf->try($this->open, $this->plan, $scenarios['margin-60']);
        self::assertLessThan($this->plan->timings['kesari']->ready, $margin?->timings['kesari']->ready);
    }

    /** Somebody keeps what they tried because of what they saw. */
    public function testWhatIsKeptIsPlannedAsItWasTried(): void
    {
        $whatIf = self::getContainer()->get(WhatIf::class);
        $less = self::getContainer()->get(Scenarios::class)->of($this->open, $this->plan)['less-cups'];
        $document = $less->document;
        $tried = $whatIf->try($this->open, $this->plan, $less);
        self::assertNotNull($document);
        self::assertTrue($tried?->isOnTime());
        self::getContainer()->get(FeastDesk::class)->change($this->open, $document->fields, null);
        $changed = self::getContainer()->get(FeastDesk::class)->open((int) $this->open->record->getId());
        $kept = self::getContainer()->get(PlanStore::class)->plan($changed);
        $starts = static fn (Plan $plan): array => array_map(
            static fn (PlannedStep $s): string => $s->key->id().' '.$s->start->format('c'),
            $plan->steps,
        );
        self::assertSame($starts($tried), $starts($kept));
    }
}
