<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Repository\DayEventRepository;
use App\Service\FeastDesk;
use App\Service\KitchenDesk;
use App\Service\PlanStore;
use App\Tests\Support\BrowserCase;
use FeastLadle\Day\EventKind;
use FeastLadle\Day\LogReader;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use Symfony\Component\Clock\MockClock;

/** The cooking day on its screens: what is said is taken once, shown to all, answered and taken back. */
final class DayTest extends BrowserCase
{
    private const BOIL = 'basundi/1/boil';

    public function testBeforeTheDayTheScreensSayWhenItBegins(): void
    {
        foreach (['board', 'mine/asha'] as $screen) {
            $this->browser->request('GET', $this->address($screen));
            self::assertResponseIsSuccessful();
            self::assertStringContainsString('The day begins on Saturday 8 November', $this->text('main'));
        }
        $this->browser->request('GET', $this->address('mine/nobody'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testAStepIsBegunAndDoneFromAPhoneAndTheBoardShowsIt(): void
    {
        $boil = $this->on(self::BOIL, 0);
        $this->browser->request('GET', $this->address('mine/asha'));
        self::assertSame(self::BOIL, $this->browser->getCrawler()->filter('.my-step')->attr('data-step'));
        self::assertStringContainsString('Rises once, all over', $this->text('.my-sign'));
        $this->tap('Begin');
        self::assertSame('running', $this->browser->getCrawler()->filter('.my-step')->attr('data-state-of'));
        $this->pass(12);
        $this->browser->request('GET', $this->address('board'));
        $bar = $this->browser->getCrawler()->filter('[data-lane=asha] [data-bar="'.self::BOIL.'"]');
        self::assertStringContainsString('min more', $bar->text());
        $this->pass($boil->minutes() - 12);
        $this->browser->request('GET', $this->address('mine/asha'));
        $this->tap('Done');
        $this->browser->request('GET', $this->address('cook'));
        self::assertCount(1, $this->browser->getCrawler()->filter('[data-done="'.self::BOIL.'"]'));
        // Taken back from the list of what was said, it is not done.
        $this->browser->request('GET', $this->address('day/said'));
        self::assertStringContainsString('Asha done: B Bring the milk to the boil', $this->text('.said li'));
        $this->browser->submit($this->browser->getCrawler()->filter('.said li')->first()->selectButton('Take it back')->form());
        $this->browser->request('GET', $this->address('cook'));
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-done]'));
    }

    public function testAChildSeesAPictureOfTheTaskAndNoButton(): void
    {
        $desk = self::getContainer()->get(FeastDesk::class);
        $open = $desk->open((int) $this->feast()->getId());
        $kitchen = Shipped::document('kitchens/kumbhar-lane');
        self::assertIsArray($kitchen['people']);
        $kitchen['people'] = [...$kitchen['people'], ['id' => 'tara', 'name' => 'Tara', 'skill' => 'child']];
        self::getContainer()->get(KitchenDesk::class)->change($open->record->getKitchen(), (string) json_encode($kitchen));
        $open = $desk->open((int) $this->feast()->getId());
        $day = ['day' => 0, 'from' => '08:30', 'to' => '19:30'];
        $feast = ['hands' => [['person' => 'asha'] + $day, ['person' => 'tara'] + $day]] + $open->document;
        $desk->change($open, ['dishes' => [['id' => 'pongal', 'recipe' => 'sweet-pongal']]] + $feast);
        $wash = $this->on('pongal/1/wash', 0);
        self::assertSame(['tara'], $wash->people);

        $this->browser->request('GET', $this->address('mine/tara'));
        self::assertResponseIsSuccessful();
        self::assertSame('wash', $this->browser->getCrawler()->filter('.is-child [data-picture]')->attr('data-picture'));
        self::assertSame($wash->step->title, $this->text('.is-child h2'));
        self::assertCount(0, $this->browser->getCrawler()->filter('main .my-foot, main [name=kind]'), 'nothing to tap');
        // Somebody grown up ticks it on the wall.
        $this->browser->request('GET', $this->address('board'));
        self::assertStringContainsString('pongal/1/wash', $this->browser->getCrawler()->filter('main')->html());
    }

    public function testWhatAPhoneSendsIsTakenOnceAndRefusedSinglyAtItsPlace(): void
    {
        $this->on(self::BOIL, 0);
        $at = $this->now();
        $started = ['id' => 'a1', 'at' => $at, 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL];
        $answer = $this->send([
            $started,
            $started,
            ['id' => 'a2', 'at' => $at, 'kind' => 'reading', 'vessel' => 'tall-pot', 'celsius' => 900],
            ['id' => 'a3', 'at' => $at, 'kind' => 'danced'],
            ['id' => 'a4', 'at' => '2031-11-08T23:00:00+05:30', 'kind' => 'note', 'text' => 'from tomorrow'],
            'nonsense',
            ['id' => 'a5', 'at' => $at, 'kind' => 'done', 'step' => 'gone/1/step', 'by' => 'stranger'],
            ['id' => 'a1', 'at' => $at, 'by' => 'asha', 'kind' => 'done', 'step' => self::BOIL],
        ]);
        self::assertResponseIsSuccessful();
        self::assertSame(['a1', 'a1'], $answer['taken']);
        self::assertIsArray($answer['refused']);
        self::assertSame(['a2', 'a3', 'a4', null, 'a5', 'a1'], array_column($answer['refused'], 'id'));
        self::assertSame([422, 422, 422, 422, 422, 409], array_column($answer['refused'], 'status'));
        self::assertStringContainsString('/events/2/celsius', (string) json_encode($answer['refused'], \JSON_UNESCAPED_SLASHES));
        self::assertCount(1, $this->log());
        // A clock that is a little ahead is believed, a day ahead is not; what lies hours behind was kept on a phone.
        self::assertSame(
            ['b1'],
            $this->send([['id' => 'b1', 'at' => '2031-11-08T09:00:00+05:30', 'kind' => 'note', 'text' => 'early']])['taken'],
        );
    }

    public function testNothingIsTakenFromAnotherPlaceOrInTooLargeParts(): void
    {
        $this->on(self::BOIL, 0);
        $event = ['id' => 'a1', 'at' => $this->now(), 'kind' => 'started', 'step' => self::BOIL];
        $this->send([$event], ['HTTP_ORIGIN' => 'http://elsewhere.example']);
        self::assertResponseStatusCodeSame(403);
        foreach (['{', '[]', '{"events": {"a": 1}}', '{"events": 3}'] as $body) {
            $this->browser->request('POST', $this->address('day/events'), server: self::HEADERS, content: $body);
            self::assertResponseStatusCodeSame(400);
        }
        $this->send(array_fill(0, 501, $event));
        self::assertResponseStatusCodeSame(400);
        self::assertSame([], $this->log());
    }

    public function testASlipIsAnsweredByAWayThatChangesThePlan(): void
    {
        $this->on(self::BOIL, 0);
        $this->send([['id' => 'a1', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL]]);
        $this->pass(20);
        $this->browser->request('GET', $this->address('day/what/'.self::BOIL).'?by=asha');
        self::assertResponseIsSuccessful();
        $this->browser->submit($this->browser->getCrawler()->selectButton('Boiled over, about a tenth')->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('shut it, air the room', $this->text('.hazard'));
        $ways = $this->browser->getCrawler()->filter('[data-way]');
        self::assertSame(['computed', 'smaller', 'anew', 'leave'], $ways->each(static fn ($w): ?string => $w->attr('data-kind')));
        // A tenth of 4.05 kg of milk.
        self::assertMatchesRegularExpression('/40[0-9] g\s+Whole milk/', $ways->first()->text());
        self::assertStringContainsString('ready', $ways->first()->text());
        $this->browser->request('GET', $this->address('board'));
        self::assertCount(1, $this->browser->getCrawler()->filter('[data-slip]'));
        $before = $this->left();
        $this->browser->submit($this->browser->request('GET', $this->browser->getCrawler()->filter('[data-slip] a')->link()->getUri())
            ->filter('[data-kind=computed] button')->form());
        self::assertGreaterThan($before, $this->left(), 'it takes longer now');
        $this->browser->request('GET', $this->address('board'));
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-slip]'));
        self::assertCount(3, $this->log());
    }

    public function testAPlanThatIsProposedIsPutInForceOrLeft(): void
    {
        $boil = $this->on(self::BOIL, 0);
        $this->send([['id' => 'a1', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL]]);
        $this->pass($boil->minutes());
        $this->send([['id' => 'a2', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'done', 'step' => self::BOIL]]);
        $this->pass(2);
        $this->send([['id' => 'a3', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => 'basundi/1/reduce']]);
        // Five minutes before the syrup was to stand on it the other ring goes out for an hour: somebody has to be asked.
        $syrup = $this->on('balls/1/syrup', -5);
        self::assertNotSame($boil->burner, $syrup->burner);
        $this->send([
            [
                'id' => 'a4',
                'at' => $this->now(),
                'kind' => 'out',
                'thing' => $syrup->burner,
                'from' => $this->now(),
                'until' => (new \DateTimeImmutable($this->now()))->modify('+1 hour')->format(\DATE_ATOM),
            ],
        ]);
        $proposal = $this->browser->request('GET', $this->address('board'))->filter('[data-proposal]');
        self::assertCount(1, $proposal);
        $id = $proposal->attr('data-proposal');
        $this->browser->submit($proposal->selectButton('So be it')->form(['proposal' => 'p000000000000']));
        $this->browser->followRedirect();
        self::assertStringContainsString('The kitchen has gone on meanwhile', $this->text('main'));
        $this->browser->submit($this->browser->getCrawler()->filter('[data-proposal]')->selectButton('So be it')->form());
        $kinds = array_map(static fn ($e): EventKind => $e->getKind(), $this->log());
        self::assertContains(EventKind::Replanned, $kinds);
        self::assertContains(EventKind::Answered, $kinds);
        $after = $this->browser->request('GET', $this->address('board'))->filter('[data-proposal]');
        self::assertNotSame($id, $after->count() > 0 ? $after->attr('data-proposal') : null);
    }

    public function testWhoIsCalledAwayHandsOnAndComesBack(): void
    {
        $this->on(self::BOIL, 0);
        $this->send([['id' => 'a1', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL]]);
        $this->pass(3);
        $this->browser->request('GET', $this->address('mine/asha'));
        $this->browser->submit($this->browser->getCrawler()->selectButton('Called away')->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('You are away since', $this->text('[data-away]'));
        // Nilu is not here before three: what nobody can do is said, and why.
        $this->browser->request('GET', $this->address('board'));
        self::assertMatchesRegularExpression('/not in time|No plan from here/', $this->text('main'));
        $this->pass(10);
        $this->browser->request('GET', $this->address('mine/asha'));
        $this->browser->submit($this->browser->getCrawler()->selectButton('I am back')->form());
        $this->browser->followRedirect();
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-away]'));
        $this->browser->request('GET', $this->address('board'));
        self::assertStringNotContainsString('not in time', $this->text('main'));
        $kinds = array_map(static fn ($e): EventKind => $e->getKind(), $this->log());
        self::assertSame([], array_diff(['left', 'came'], array_map(static fn (EventKind $k): string => $k->value, $kinds)));
    }

    public function testAReadingCountsMoreThanTheClock(): void
    {
        $boil = $this->on(self::BOIL, 0);
        $this->send([['id' => 'a1', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL]]);
        $this->pass(10);
        $before = $this->left();
        $this->browser->request('GET', $this->address('mine/asha'));
        // From the 27 °C of this kitchen to the boil it is three fifths of the way in ten minutes: about seven more.
        $form = $this->browser->getCrawler()->filter('.measure')->selectButton('Say so')->form(['celsius' => '70']);
        self::assertSame($boil->vessels[0], $form->getValues()['vessel']);
        $this->browser->submit($form);
        self::assertGreaterThan(20, $before);
        self::assertEqualsWithDelta(7, $this->left(), 1);
        $this->browser->request('GET', $this->address('mine/asha'));
        $this->browser->submit($this->browser->getCrawler()->filter('.measure')->selectButton('Say so')->form(['celsius' => '900']));
        self::assertResponseStatusCodeSame(422);
        self::assertCount(1, array_filter($this->log(), static fn ($e): bool => EventKind::Reading === $e->getKind()));
    }

    public function testAroundTheOfferingAllIsQuietUntilItIsOffered(): void
    {
        $this->on(self::BOIL, 0);
        $offering = $this->browser->request('GET', $this->address('board'))->filter('main')->attr('data-quiet-from');
        $at = json_decode((string) $offering, true);
        self::assertIsArray($at);
        self::assertIsInt($at[0]);
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-offering]'), 'nobody is asked hours before');
        self::getContainer()->get(MockClock::class)->modify('@'.($at[0] + 300));
        $this->browser->request('GET', $this->address('board'));
        $this->browser->submit($this->browser->getCrawler()->filter('[data-offering] button')->form());
        $this->browser->followRedirect();
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-offering]'));
        self::assertSame('[]', $this->browser->getCrawler()->filter('main')->attr('data-quiet-from'));
        self::assertStringContainsString('"offered":true', $this->log()[0]->getBody());
    }

    public function testStopIsOnEveryScreenUntilItIsOver(): void
    {
        $this->on(self::BOIL, 5);
        $this->browser->request('GET', $this->address('mine/asha'));
        $this->browser->clickLink('Stop');
        $this->browser->submit($this->browser->getCrawler()->filter('[data-stop=fire]')->form());
        foreach (['board', 'mine/asha', 'mine/nilu', 'day/said'] as $screen) {
            $this->browser->request('GET', $this->address($screen));
            self::assertStringContainsString('Never water on burning fat', $this->text('[data-stopped]'));
            self::assertCount(0, $this->browser->getCrawler()->filter('[data-tap], [data-proposal]'), 'all else is silent');
        }
        $this->browser->submit($this->browser->getCrawler()->selectButton('It is over: go on')->form());
        $this->browser->request('GET', $this->address('mine/asha'));
        self::assertCount(0, $this->browser->getCrawler()->filter('[data-stopped]'));
    }

    public function testWhatWasCookedWithoutAScreenIsAskedOnceByAList(): void
    {
        $this->on(self::BOIL, 240);
        $this->browser->request('GET', $this->address('board'));
        self::assertStringContainsString('Nothing was ticked since', $this->text('main'));
        $this->browser->clickLink('What is done?');
        $boxes = $this->browser->getCrawler()->filter('.catch-up input[type=checkbox]');
        self::assertGreaterThan(3, $boxes->count());
        $form = $this->browser->getCrawler()->selectButton('These are done')->form();
        $this->browser->submit($form, ['done' => $boxes->each(static fn ($b): ?string => $b->attr('value'))]);
        $this->browser->followRedirect();
        self::assertStringNotContainsString('Nothing was ticked since', $this->text('main'));
        self::assertCount($boxes->count(), array_filter($this->log(), static fn ($e): bool => EventKind::Done === $e->getKind()));
        self::assertStringContainsString('"about":true', $this->log()[0]->getBody());
    }

    public function testTheDayLeavesAsAFileThatReadsBack(): void
    {
        $this->on(self::BOIL, 0);
        $this->send([['id' => 'a1', 'at' => $this->now(), 'by' => 'asha', 'kind' => 'started', 'step' => self::BOIL]]);
        $this->browser->request('GET', $this->address('day-log.json'));
        $reader = new LogReader(Shipped::feast(), Shipped::kitchen(), Shipped::larder());
        $log = $reader->read((string) $this->browser->getResponse()->getContent());
        self::assertCount(1, $log->until(new \DateTimeImmutable('2031-11-16')));
        $this->browser->request('GET', $this->address('day-log.csv'));
        self::assertStringContainsString('began: B Bring the milk to the boil', (string) $this->browser->getResponse()->getContent());
    }

    private const HEADERS = ['CONTENT_TYPE' => 'application/json', 'HTTP_X_DAY_TOKEN' => 'csrf-token', 'HTTP_ORIGIN' => 'http://127.0.0.1'];

    /** It is so many minutes after a step should begin. */
    private function on(string $id, int $after): PlannedStep
    {
        $open = self::getContainer()->get(FeastDesk::class)->open((int) $this->feast()->getId());
        foreach (self::getContainer()->get(PlanStore::class)->plan($open)->steps as $step) {
            if ($step->key->id() === $id) {
                self::getContainer()->get(MockClock::class)->modify($step->start->modify("+$after minutes")->format(\DATE_ATOM));

                return $step;
            }
        }
        self::fail("There is no step $id.");
    }

    private function pass(int $minutes): void
    {
        self::getContainer()->get(MockClock::class)->sleep(60 * $minutes);
    }

    private function now(): string
    {
        return self::getContainer()->get(MockClock::class)->now()->format(\DATE_ATOM);
    }

    /**
     * @param list<mixed>           $events
     * @param array<string, string> $headers
     *
     * @return array<mixed>
     */
    private function send(array $events, array $headers = []): array
    {
        $this->browser->request('POST', $this->address('day/events'), server: [
            ...self::HEADERS,
            ...$headers,
        ], content: (string) json_encode([
            'events' => $events,
        ]));
        $answer = json_decode((string) $this->browser->getResponse()->getContent(), true);

        return \is_array($answer) ? $answer : [];
    }

    private function tap(string $word): void
    {
        $form = $this->browser->getCrawler()->filter('.my-foot')->selectButton($word)->form();
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
    }

    /** Minutes that the boiling still takes, as the board says. */
    private function left(): int
    {
        $text = $this->browser->request('GET', $this->address('board'))->filter('[data-lane=asha] [data-bar="'.self::BOIL.'"]')->text();
        self::assertSame(1, preg_match('/about (\d+) min/', $text, $found), $text);

        return (int) $found[1];
    }

    /** @return list<\App\Entity\DayEvent> */
    private function log(): array
    {
        return self::getContainer()->get(DayEventRepository::class)->log($this->feast());
    }
}
