<?php

declare(strict_types=1);

namespace App\Tests\Service;

use App\Repository\FeastPlanRepository;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Service\CookingDay;
use App\Service\FeastDesk;
use App\Service\OpenFeast;
use App\Service\PlanStore;
use App\Service\Setup;
use FeastLadle\Document\FaultyDocument;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

final class PlanStoreTest extends KernelTestCase
{
    public function testAPlanIsKeptAndComesBackAsItWas(): void
    {
        $plans = self::getContainer()->get(PlanStore::class);
        $open = $this->open();
        $first = $plans->plan($open);
        self::assertTrue($plans->isKept($open));
        $computed = self::getContainer()->get(FeastPlanRepository::class)->of($open->record)->getComputedAt();
        $again = $plans->plan($this->open());
        self::assertEquals($first->steps, $again->steps);
        self::assertEquals($first->timings, $again->timings);
        self::assertEquals($computed, self::getContainer()->get(FeastPlanRepository::class)->of($open->record)->getComputedAt());
    }

    public function testWhyItIsLateIsKeptWithIt(): void
    {
        $open = $this->withGrownUps($this->open(), 110);
        $plans = self::getContainer()->get(PlanStore::class);
        $first = $plans->plan($open);
        self::assertFalse($first->isOnTime());
        $again = $plans->plan($this->open());
        self::assertEquals($first->obstacles, $again->obstacles);
        self::assertEquals($first->timings, $again->timings);
    }

    public function testAPlanWithoutTheRoomThatWasWishedComesBackSo(): void
    {
        $open = $this->withGrownUps($this->open(), 94);
        $plans = self::getContainer()->get(PlanStore::class);
        $first = $plans->plan($open);
        self::assertTrue($first->isToTheMinute);
        $again = $plans->plan($this->open());
        self::assertTrue($again->isToTheMinute);
        self::assertTrue($plans->isKept($open));
        self::assertEquals($first->steps, $again->steps);
        self::assertTrue($plans->improve($this->open(), 3)->isToTheMinute);
        self::assertTrue($plans->plan($this->open())->isToTheMinute);
    }

    public function testAKeptPlanThatHoldsNoLongerIsMadeAnew(): void
    {
        $plans = self::getContainer()->get(PlanStore::class);
        $open = $this->open();
        $plan = $plans->plan($open);
        $kept = self::getContainer()->get(FeastPlanRepository::class)->of($open->record);
        // As if an earlier planner had let a step begin before what it takes.
        $id = $plan->steps[0]->activity;
        /** @var array{solution: array{activities: array<string, array<string, mixed>>}} $document */
        $document = json_decode($kept->getDocument(), true, 64, \JSON_THROW_ON_ERROR);
        $document['solution']['activities'][$id]['start'] = 1439;
        $document = json_encode($document, \JSON_THROW_ON_ERROR);
        self::getContainer()
            ->get(FeastPlanRepository::class)
            ->keep($open->record, $kept->getFingerprint(), $document, new \DateTimeImmutable());
        self::assertEquals($plan->steps, $plans->plan($this->open())->steps);
    }

    public function testAChangedWishMakesItStale(): void
    {
        $plans = self::getContainer()->get(PlanStore::class);
        $before = $plans->plan($this->open());
        $open = $this->withGrownUps($this->open(), 40);
        self::assertFalse($plans->isKept($open));
        self::assertNotEquals($before->steps[0]->start, $plans->plan($open)->steps[0]->start);
    }

    public function testOnTheDayNothingIsPlannedBeforeNowUntilWorkIsTicked(): void
    {
        $open = $this->open();
        $morning = $open->feast->firstMoment()->at->modify('-6 hours');
        self::getContainer()->get(MockClock::class)->modify($morning->format(\DATE_ATOM));
        $plans = self::getContainer()->get(PlanStore::class);
        $open = $this->withGrownUps($open, 19);
        foreach ($plans->plan($open)->steps as $step) {
            self::assertGreaterThanOrEqual($morning, $step->start, $step->key->id());
        }
        self::getContainer()
            ->get(CookingDay::class)
            ->tick($open->record, $plans->plan($open)->steps[0]->key->id(), true, 'client-0002');
        self::getContainer()
            ->get(MockClock::class)
            ->modify($morning->modify('+3 hours')->format(\DATE_ATOM));
        $open = $this->withGrownUps($this->open(), 20);
        self::assertLessThan(
            $morning->modify('+3 hours'),
            $plans->plan($open)->steps[0]->start,
            'what is cooking is not planned anew after now',
        );
    }

    public function testAFaultyChangeChangesNothing(): void
    {
        $open = $this->open();
        $before = $open->record->getDocument();
        try {
            self::getContainer()
                ->get(FeastDesk::class)
                ->change($open, ['dishes' => 'none'] + $open->document);
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument) {
            self::assertSame($before, $this->open()->record->getDocument());
        }
    }

    public function testAFeastThatIsOverCanStillBeCorrected(): void
    {
        $open = $this->open();
        self::getContainer()->get(MockClock::class)->modify('2032-02-02');
        $open = $this->withGrownUps($open, 21);
        self::assertSame(31, $open->feast->guests());
        $this->expectException(FaultyDocument::class);
        self::getContainer()
            ->get(FeastDesk::class)
            ->change($open, ['date' => '2031-12-24'] + $open->document);
    }

    public function testTheSameEventTwiceIsOne(): void
    {
        $day = self::getContainer()->get(CookingDay::class);
        $record = $this->open()->record;
        foreach (['a-client-1', 'a-client-1', 'a-client-2'] as $client) {
            $day->tick($record, 'basundi/1/boil', true, $client);
        }
        self::assertCount(1, $day->done($record));
        $version = $day->version($record);
        $day->tick($record, 'basundi/1/boil', false, 'a-client-3');
        self::assertSame([], $day->done($record));
        self::assertGreaterThan($version, $day->version($record));
    }

    public function testSetUpTwiceIsSetUpOnce(): void
    {
        $container = self::getContainer();
        $container->get(Setup::class)->run(true);
        $container->get(Setup::class)->run(true);
        self::assertCount(3, $container->get(KitchenRepository::class)->findAll());
        self::assertCount(3, $container->get(FeastRepository::class)->findAll());
    }

    public function testTheDemoFeastLiesAheadOnASaturday(): void
    {
        $at = $this->open()->feast->firstMoment()->at;
        self::assertSame('Saturday', $at->format('l'));
        self::assertGreaterThan(new \DateTimeImmutable('2031-11-03'), $at);
    }

    public function testAFeastThatIsNotThereIsNotFound(): void
    {
        $this->expectException(NotFoundHttpException::class);
        self::getContainer()->get(FeastDesk::class)->open(424242);
    }

    private function open(): OpenFeast
    {
        $kitchen = self::getContainer()->get(KitchenRepository::class)->local();
        self::assertNotNull($kitchen);

        return self::getContainer()
            ->get(FeastDesk::class)
            ->open((int) self::getContainer()->get(FeastRepository::class)->all($kitchen)[0]->getId());
    }

    private function withGrownUps(OpenFeast $open, int $count): OpenFeast
    {
        $document = $open->document;
        self::assertIsArray($document['groups']);
        self::assertIsArray($document['groups'][0]);
        $document['groups'][0]['count'] = $count;
        self::getContainer()->get(FeastDesk::class)->change($open, $document);

        return $this->open();
    }
}
