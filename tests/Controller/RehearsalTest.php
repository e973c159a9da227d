<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Service\FeastDesk;
use App\Tests\Support\BrowserCase;

/** A day is played through before it is there: simulated cooks, the same board. */
final class RehearsalTest extends BrowserCase
{
    public function testTheSameDayIsTheSameEachTimeAndAnotherIsAnother(): void
    {
        $first = $this->said('?day=3&wrong=many&minute=2000');
        self::assertSame($first, $this->said('?day=3&wrong=many&minute=2000'));
        self::assertNotSame($first, $this->said('?day=4&wrong=many&minute=2000'));
    }

    public function testAtTheBeginningNothingWasSaidAndAtTheEndEveryStepIsDone(): void
    {
        $this->browser->request('GET', $this->address('rehearsal'));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('.rehearsal-said', 'Nothing was said yet.');
        $last = (int) $this->browser->getCrawler()->filter('.rehearsal')->attr('data-last');
        self::assertGreaterThan(300, $last, 'from the first soak to the last who eat');
        self::assertSelectorTextContains('[data-counts]', '25 steps are done');

        $this->browser->request('GET', $this->address('rehearsal/minute?minute='.$last));
        self::assertResponseIsSuccessful();
        self::assertCount(0, $this->browser->getCrawler()->filter('.bar-running'), 'nothing runs any more');
        self::assertStringContainsString('done:', $this->text('.rehearsal-said'));
        self::assertCount(0, $this->browser->getCrawler()->filter('form, button'), 'there is nothing to say in a rehearsal');
    }

    public function testWhatGoesWrongIsToldInWords(): void
    {
        $said = '';
        foreach (range(1, 4) as $day) {
            for ($minute = 60; $minute <= 540 && !str_contains($said, 'went wrong at'); $minute += 30) {
                $this->browser->request('GET', $this->address("rehearsal/minute?wrong=many&day=$day&minute=$minute"));
                $said = $this->text('.rehearsal-said');
            }
        }
        self::assertMatchesRegularExpression('/went wrong at [^:]+: (it|too|some|something|the|one) /', $said);
    }

    public function testInTheMiddleSomethingRunsAsOnTheWall(): void
    {
        $most = 0;
        foreach ([60, 120, 200, 280] as $minute) {
            $this->browser->request('GET', $this->address('rehearsal/minute?wrong=none&minute='.$minute));
            $most = max($most, $this->browser->getCrawler()->filter('.bar-running')->count());
        }
        self::assertGreaterThan(0, $most);
        self::assertCount(2, $this->browser->getCrawler()->filter('[data-moment]'));
    }

    public function testWhatIsAskedOutOfBoundsIsTakenAsTheNearest(): void
    {
        $this->browser->request('GET', $this->address('rehearsal?day=0&wrong=everything&minute=-5'));
        self::assertResponseIsSuccessful();
        self::assertSame('1', $this->browser->getCrawler()->filter('[name=day]')->attr('value'));
        self::assertSame('usual', $this->browser->getCrawler()->filter('[name=wrong] [selected]')->attr('value'));
    }

    public function testWithoutAPlanThereIsNothingToRehearse(): void
    {
        $desk = self::getContainer()->get(FeastDesk::class);
        $open = $desk->open((int) $this->feast()->getId());
        $desk->change($open, ['dishes' => []] + $open->document);
        $this->browser->request('GET', $this->address('rehearsal'));
        self::assertSelectorTextContains('.empty', 'There is no plan to rehearse yet.');
        $this->browser->request('GET', $this->address('rehearsal/minute'));
        self::assertResponseStatusCodeSame(404);
    }

    private function said(string $asked): string
    {
        $this->browser->request('GET', $this->address('rehearsal'.$asked));
        self::assertResponseIsSuccessful();

        return $this->text('.rehearsal-said');
    }
}
