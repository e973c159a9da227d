<?php

declare(strict_types=1);

namespace App\Tests\View;

use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Service\CookingDay;
use App\Service\FeastDesk;
use App\Service\OpenFeast;
use App\Service\PlanStore;
use App\View\CookBoard;
use App\View\PotSections;
use App\View\RunSheetChart;
use App\View\StoreRows;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Clock\MockClock;

/** What is drawn is where it should be. */
final class DrawingsTest extends KernelTestCase
{
    private OpenFeast $open;

    private Plan $plan;

    protected function setUp(): void
    {
        $container = self::getContainer();
        $kitchen = $container->get(KitchenRepository::class)->local();
        self::assertNotNull($kitchen);
        $this->open = $container->get(FeastDesk::class)->open((int) $container->get(FeastRepository::class)->all($kitchen)[0]->getId());
        $this->plan = $container->get(PlanStore::class)->plan($this->open);
    }

    public function testEveryStepIsDrawnInTheLanesOfItsFireAndItsHands(): void
    {
        $chart = self::getContainer()->get(RunSheetChart::class)->draw($this->plan, $this->open);
        $drawn = ['fire' => 0, 'hands' => 0, 'alone' => 0];
        foreach ($chart['lanes'] as $lane) {
            foreach ($lane['blocks'] as $block) {
                ++$drawn[$lane['kind']];
                self::assertGreaterThanOrEqual($lane['y'], $block['y']);
                self::assertLessThanOrEqual($lane['y'] + $lane['h'], $block['y'] + $block['h']);
                self::assertGreaterThanOrEqual($chart['gutter'], $block['x']);
                self::assertLessThanOrEqual($chart['width'], $block['x'] + $block['w']);
            }
        }
        $fires = \count(array_filter($this->plan->steps, static fn ($s): bool => null !== $s->burner));
        $hands = array_sum(array_map(static fn ($s): int => \count($s->people), $this->plan->steps));
        self::assertSame([$fires, $hands], [$drawn['fire'], $drawn['hands']]);
        self::assertSame(4, $drawn['alone']);
    }

    public function testBlocksInOneLaneDoNotCoverEachOther(): void
    {
        foreach (self::getContainer()->get(RunSheetChart::class)->draw($this->plan, $this->open)['lanes'] as $lane) {
            foreach ($lane['blocks'] as $i => $a) {
                foreach ($lane['blocks'] as $j => $b) {
                    self::assertTrue(
                        $i === $j || $a['y'] !== $b['y'] || $a['x'] + $a['w'] <= $b['x'] + 3 || $b['x'] + $b['w'] <= $a['x'] + 3,
                        $a['step']->key->id().' '.$b['step']->key->id(),
                    );
                }
            }
        }
    }

    public function testLaterIsFurtherRightAndMomentsStandWhereTheyAre(): void
    {
        $chart = self::getContainer()->get(RunSheetChart::class)->draw($this->plan, $this->open);
        $blocks = array_merge(...array_map(static fn (array $lane): array => $lane['blocks'], $chart['lanes']));
        usort($blocks, static fn (array $a, array $b): int => $a['step']->startMinute <=> $b['step']->startMinute);
        $xs = array_column($blocks, 'x');
        $sorted = $xs;
        sort($sorted);
        self::assertSame($sorted, $xs);
        self::assertSame(['18:00', '18:40'], array_column($chart['moments'], 'time'));
        foreach ($blocks as $block) {
            self::assertLessThanOrEqual(
                $chart['moments'][0]['x'] + 1,
                $block['x'] + $block['w'],
                'everything is drawn before the offering',
            );
        }
        self::assertContains('15:00', array_column($chart['ticks'], 'label'));
    }

    public function testTimesOfBlocksAreThoseOfTheFeastNotOfTheServer(): void
    {
        $lanes = self::getContainer()->get(RunSheetChart::class)->draw($this->plan, $this->open)['lanes'];
        foreach (array_merge(...array_map(static fn (array $lane): array => $lane['blocks'], $lanes)) as $block) {
            self::assertSame($block['step']->start->setTimezone($this->open->feast->timeZone)->format('H:i'), substr($block['time'], 0, 5));
        }
    }

    public function testContentsAreDrawnBelowTheLimit(): void
    {
        foreach ((new PotSections(Shipped::larder()))->of($this->plan->quantities, $this->open->kitchen) as $entry) {
            foreach ($entry['pots'] as $pot) {
                self::assertLessThanOrEqual($pot['limitPercent'] + 0.01, $pot['percent'], $pot['title']);
                foreach ($pot['levels'] as $level) {
                    self::assertGreaterThanOrEqual(0, $level['y']);
                    self::assertLessThanOrEqual($pot['height'], $level['y']);
                }
                self::assertStringStartsWith('M', $pot['contents']);
                self::assertArrayNotHasKey('', $pot['options']);
            }
        }
    }

    public function testStoresSayWhatToBuyAndForWhat(): void
    {
        $rows = array_column(
            array_merge(...array_column((new StoreRows())->of($this->plan->quantities, $this->open->kitchen)['places'], 'rows')),
            null,
            'name',
        );
        self::assertSame(['B', 'C', 'D'], array_column($rows['Whole milk']['dishes'], 'letter'));
        self::assertSame(5, $rows['Whole milk']['buy']);
        self::assertSame('700 g', $rows['Milk solids, fresh']['pack']->text());
    }

    public function testTheBoardShowsEachPersonTheFirstOpenStepAndWhatComesThen(): void
    {
        $board = self::getContainer()->get(CookBoard::class);
        $hers = array_values(array_filter($this->plan->steps, static fn (PlannedStep $s): bool => \in_array('asha', $s->people, true)));
        [$first, $second] = array_map(static fn (PlannedStep $s): string => $s->key->id(), $hers);
        $people = array_column($board->of($this->open, $this->plan)['people'], null, 'id');
        self::assertSame($first, $people['asha']['now'][0]['step']->key->id());
        self::assertSame($second, $people['asha']['next'][0]->key->id());
        self::assertFalse($people['asha']['now'][0]['due']);
        self::getContainer()->get(CookingDay::class)->tick($this->open->record, $first, true, 'client-0001');
        $people = array_column($board->of($this->open, $this->plan)['people'], null, 'id');
        self::assertSame($second, $people['asha']['now'][0]['step']->key->id());
    }

    public function testWhatIsDueAndWhatIsPastItsTimeIsMarked(): void
    {
        $clock = self::getContainer()->get(MockClock::class);
        $first = $this->plan->steps[0];
        $clock->modify($first->start->modify('+1 minute')->format(\DATE_ATOM));
        $board = self::getContainer()->get(CookBoard::class)->of($this->open, $this->plan);
        self::assertTrue($board['begun']);
        self::assertTrue($board['people'][0]['now'][0]['due']);
        self::assertFalse($board['people'][0]['now'][0]['overdue']);
        $clock->modify($first->end->modify('+20 minutes')->format(\DATE_ATOM));
        $now = self::getContainer()->get(CookBoard::class)->of($this->open, $this->plan)['people'][0]['now'];
        self::assertTrue($now[0]['overdue']);
        // What should have begun meanwhile stands beside it.
        self::assertGreaterThan(1, \count($now));
    }
}
