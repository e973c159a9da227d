<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Repository\DayEventRepository;
use App\Service\FeastDesk;
use App\Service\PlanStore;
use App\Tests\Support\BrowserCase;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Solving\PlannedStep;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\MockClock;

final class StationsTest extends BrowserCase
{
    /** @return iterable<array{string, string}> */
    public static function stations(): iterable
    {
        yield ['guests', 'Who comes'];
        yield ['menu', 'Pineapple kesari'];
        yield ['pots', 'Tall milk pot'];
        yield ['stores', 'Whole milk'];
        yield ['run-sheet', 'Pour the hot syrup'];
        yield ['cook', 'Bring the milk to the boil'];
        yield ['afterwards', 'Note for next time'];
    }

    #[DataProvider('stations')]
    public function testEachStationShowsItsWorkUnderStrictHeaders(string $station, string $shows): void
    {
        $this->browser->request('GET', $this->address($station));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('main', $shows);
        self::assertCount(7, $this->browser->getCrawler()->filter('.rail a'));
        $policy = (string) $this->browser->getResponse()->headers->get('Content-Security-Policy');
        self::assertStringContainsString("default-src 'none'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertCount(
            0,
            $this->browser->getCrawler()->filter('[style], [onclick], style, script:not([src])'),
            'The policy forbids anything inline.',
        );
    }

    public function testAFeastOfNobodyIsNotThere(): void
    {
        foreach (['guests', 'cook', 'cook/state', 'schedule-problem.json'] as $page) {
            $this->browser->request('GET', '/feasts/9999/'.$page);
            self::assertResponseStatusCodeSame(404);
        }
        $this->browser->request('GET', '/feasts/99999999999999999999/guests');
        self::assertResponseStatusCodeSame(404);
    }

    public function testAPotIsChosenAndAPotThatDoesNotExistIsRefused(): void
    {
        $this->browser->request('GET', $this->address('pots'));
        $this->browser->submitForm('Take over', ['pots[basundi][boil]' => 'broad-pot']);
        $this->browser->followRedirect();
        self::assertSame('broad-pot', $this->browser->getCrawler()->filter('[name="pots[basundi][boil]"] option[selected]')->attr('value'));
        $token = $this->browser->getCrawler()->filter('[name=_token]')->attr('value');
        $before = $this->feast()->getDocument();
        $this->browser->request('POST', $this->address('pots'), ['_token' => $token, 'pots' => ['basundi' => ['boil' => 'cauldron']]]);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.trouble', 'This kitchen has no pot "cauldron".');
        self::assertSame($before, $this->feast()->getDocument());
        $this->browser->request('POST', $this->address('pots'), ['_token' => 'forged', 'pots' => []]);
        self::assertResponseStatusCodeSame(403);
    }

    public function testASweetIsTakenOffTheMenuAndPutBackInItsRevision(): void
    {
        $this->browser->request('GET', $this->address('menu'));
        $this->browser->submit($this->browser->getCrawler()->filter('button[name=remove][value="1"]')->form());
        $this->browser->followRedirect();
        self::assertSelectorTextNotContains('.thalis', 'revised: drunk cold');
        self::assertCount(3, $this->browser->getCrawler()->filter('.thali header'));
        $this->browser->submitForm('Add to the menu', ['recipe' => 'basundi']);
        $this->browser->followRedirect();
        self::assertCount(4, $this->browser->getCrawler()->filter('.thali header'));
        self::assertStringContainsString('"revision":1', $this->feast()->getDocument());
    }

    public function testAShiftThatEndsTheHelpersDayMovesTheWork(): void
    {
        $this->browser->request('GET', $this->address('run-sheet'));
        $this->browser->submitForm('Take over', ['hands[hands][2][from]' => '17:30']);
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        $this->browser->submitForm('Take over', ['hands[hands][2][from]' => 'noon']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', 'hours:minutes');
    }

    public function testTheChartTellsTheFeastsOwnTime(): void
    {
        $this->browser->request('GET', $this->address('run-sheet'));
        $start = $this->text('tr[data-step="kesari/1/merge"] [data-start]');
        $labels = $this->browser
            ->getCrawler()
            ->filter('.chart [data-activity="kesari/1/merge"]')
            ->each(static fn ($block): string => (string) $block->attr('aria-label'));
        self::assertNotEmpty($labels);
        foreach ($labels as $label) {
            self::assertStringStartsWith($start.'–', $label);
            self::assertStringContainsString('Pour the hot syrup', $label);
        }
    }

    public function testAMomentSaysHowLongItServes(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', ['guests[moments][1][servingMinutes]' => '75']);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->address('plan.json'));
        $plan = json_decode((string) $this->browser->getResponse()->getContent(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($plan);
        self::assertIsArray($plan['moments']);
        self::assertSame([30, 75], array_column($plan['moments'], 'servingMinutes'), 'where nothing is said, half an hour');
        self::assertIsArray($plan['holds']);
        self::assertIsArray($plan['holds'][0]);
        self::assertSame('2031-11-08T19:55:00+05:30', $plan['holds'][0]['until']);
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', ['guests[moments][1][servingMinutes]' => 'long']);
        self::assertResponseStatusCodeSame(422);
    }

    public function testABetterPlanIsLookedForAndKept(): void
    {
        // Eighty guests on two rings leave something to look for.
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', ['guests[groups][0][count]' => '70']);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->address('run-sheet'));
        $token = (string) $this->browser->getCrawler()->filter('.search')->attr('data-token');
        $this->browser->request('GET', $this->address('plan.json'));
        /** @var array{schedule: array{objective: int}, moments: list<array{chance: float|null}>} $before */
        $before = json_decode((string) $this->browser->getResponse()->getContent(), true);
        $this->browser->request('POST', $this->address('search'), ['_token' => $token, 'round' => '2']);
        $found = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($found);
        $sure = (int) floor(100 * min([1.0, ...array_map(static fn (array $m): float => $m['chance'] ?? 1.0, $before['moments'])]));
        self::assertTrue(
            $found['of100'] > $sure || $found['objective'] <= $before['schedule']['objective'],
            'surer, or as sure and with less waiting',
        );
        $this->browser->request('GET', $this->address('plan.json'));
        /** @var array{schedule: array{objective: int}} $after */
        $after = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertSame($found['objective'], $after['schedule']['objective'], 'The better plan is kept.');
        $this->browser->request('POST', $this->address('search'), ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(403);
    }

    public function testTheScheduleProblemComesInTheOpenFormat(): void
    {
        $this->browser->request('GET', $this->address('schedule-problem.json'));
        $problem = (new ProblemReader())->read((string) $this->browser->getResponse()->getContent());
        self::assertArrayHasKey('kesari/1/merge', $problem->activities);
    }

    public function testATickIsKeptOnceAndCanBeUndone(): void
    {
        $this->browser->request('GET', $this->address('cook'));
        $card = $this->browser->getCrawler()->filter('[data-step]')->first();
        $step = (string) $card->attr('data-step');
        $form = $card->filter('form')->form();
        $this->browser->submit($form);
        $this->browser->submit($form);
        $this->browser->request('GET', $this->address('cook'));
        self::assertCount(1, static::getContainer()->get(DayEventRepository::class)->log($this->feast()));
        self::assertCount(1, $this->browser->getCrawler()->filter('[data-done="'.$step.'"]'));
        self::assertSelectorTextContains('[data-station=cook]', '1 of 25 done');
        $this->browser->request('GET', $this->address('cook/state'));
        self::assertJson((string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $this->address('cook'));
        $this->browser->submit(
            $this->browser
                ->getCrawler()
                ->filter('[data-done="'.$step.'"] form')
                ->form(),
        );
        $this->browser->followRedirect();
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-done]'));
        self::assertCount(1, $this->browser->getCrawler()->filter('[data-step="'.$step.'"]'));
    }

    public function testATickTellsHowTheDayStandsFromThere(): void
    {
        $plans = static::getContainer()->get(PlanStore::class);
        $plan = $plans->plan(static::getContainer()->get(FeastDesk::class)->open((int) $this->feast()->getId()));
        $clock = static::getContainer()->get(MockClock::class);
        $first = $plan->steps[0];
        $tick = function (PlannedStep $step, \DateTimeImmutable $at) use ($clock): void {
            $clock->modify($at->format('Y-m-d H:i:s P'));
            $this->browser->request('GET', $this->address('cook'));
            $this->browser->submit($this->browser->getCrawler()->filter('[data-step="'.$step->key->id().'"] form')->first()->form());
            $this->browser->followRedirect();
        };
        $clock->modify($first->start->format('Y-m-d H:i:s P'));
        $this->browser->request('GET', $this->address('cook'));
        self::assertSelectorNotExists('.from-here', 'nothing was ticked yet');

        $tick($first, $first->end);
        self::assertSelectorTextContains('.from-here [data-moment=offering]', 'of 100');
        self::assertSelectorTextContains('.from-here', 'The plan stands.');

        // The next is done three quarters of an hour late: what follows moves, and each says from when to when.
        $next = array_values(array_filter($plan->steps, static fn (PlannedStep $s): bool => 'basundi/1/reduce' === $s->key->id()))[0];
        $tick($next, $next->end->modify('+45 minutes'));
        self::assertSelectorTextContains('.from-here [data-because]', 'min behind');
        $moved = $this->browser->getCrawler()->filter('.from-here [data-move]')->extract(['data-move']);
        // What nobody was just told to do has moved by itself, and the log says so; the rest is proposed.
        foreach (static::getContainer()->get(DayEventRepository::class)->log($this->feast()) as $event) {
            $said = json_decode($event->getBody(), true);
            array_push($moved, ...array_column(\is_array($said) && \is_array($said['moves'] ?? null) ? $said['moves'] : [], 'step'));
        }
        self::assertContains('basundi/1/sweeten', $moved);
        self::assertNotContains('basundi/1/reduce', $moved);

        // The day after nobody is told anything.
        $clock->modify('+1 day');
        $this->browser->request('GET', $this->address('cook'));
        self::assertSelectorNotExists('.from-here');
    }

    public function testATickOfAStepThatIsNotInThePlanIsRefused(): void
    {
        $this->browser->request('GET', $this->address('cook'));
        $token = $this->browser->getCrawler()->filter('[name=_token]')->attr('value');
        foreach (
            [
                ['kind' => 'done', 'step' => 'soup/1/boil', 'client' => '12345678'],
                ['kind' => 'eaten', 'step' => 'basundi/1/boil', 'client' => '12345678'],
                ['kind' => 'done', 'step' => 'basundi/1/boil', 'client' => 'x'],
            ] as $event
        ) {
            $this->browser->request('POST', $this->address('cook/events'), ['_token' => $token, ...$event]);
            self::assertResponseStatusCodeSame(422);
        }
        self::assertSame([], static::getContainer()->get(DayEventRepository::class)->log($this->feast()));
    }

    public function testWhatWasLeftOverIsKeptForNextTime(): void
    {
        $this->browser->request('GET', $this->address('afterwards'));
        $this->browser->submitForm('Keep this', [
            'outcomes[lines][kesari][made]' => '2300',
            'outcomes[lines][kesari][leftOver]' => '150',
            'outcomes[lines][kesari][note]' => 'Less sugar',
        ]);
        $this->browser->followRedirect();
        self::assertSame('Less sugar', $this->browser->getCrawler()->filter('[name="outcomes[lines][kesari][note]"]')->attr('value'));
        self::assertSelectorTextContains('[data-station=afterwards]', '1 noted');
        $this->browser->submitForm('Keep this', ['outcomes[lines][kesari][leftOver]' => 'some']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.has-fault .fault', 'a number');
    }
}
