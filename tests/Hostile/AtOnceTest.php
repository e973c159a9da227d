<?php

declare(strict_types=1);

namespace App\Tests\Hostile;

use App\Doctrine\ComparesVersions;
use App\EventListener\NothingKeptListener;
use App\Repository\FeastPlanRepository;
use App\Repository\KitchenRepository;
use App\Service\ChangedMeanwhile;
use App\Service\CookingDay;
use App\Service\FeastDesk;
use App\Service\KitchenLarder;
use App\Service\PlanStore;
use App\Tests\Support\BrowserCase;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverFailure;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** Several at the same thing at once, and a disk that takes nothing. */
final class AtOnceTest extends BrowserCase
{
    public function testTwoFirstViewsKeepOnePlan(): void
    {
        $plans = self::getContainer()->get(FeastPlanRepository::class);
        $feast = $this->feast();
        // Both found none; both write.
        $plans->keep($feast, 'a', '{}', new \DateTimeImmutable('2031-01-01'));
        $plans->keep($feast, 'b', '{}', new \DateTimeImmutable('2031-01-02'));
        self::assertSame('b', $plans->of($feast)->getFingerprint());
        self::assertCount(1, $plans->findBy(['feast' => $feast]));
    }

    public function testAPlanThatCantBeKeptIsShownAllTheSame(): void
    {
        $open = self::getContainer()->get(FeastDesk::class)->open((int) $this->feast()->getId());
        $this->readOnly(true);
        try {
            self::assertNotSame([], self::getContainer()->get(PlanStore::class)->plan($open)->steps);
            $this->browser->request('GET', $this->address('run-sheet'));
            self::assertResponseIsSuccessful();
        } finally {
            $this->readOnly(false);
        }
    }

    public function testATickThatWasNotKeptIsNotToldAsKept(): void
    {
        $this->browser->request('GET', $this->address('cook'));
        $form = $this->browser->getCrawler()->filter('form[action$="/cook/events"]')->first()->form();
        $this->readOnly(true);
        try {
            $this->browser->submit($form);
            self::assertResponseStatusCodeSame(503);
            self::assertSelectorTextContains('h1', 'was not kept');
            self::assertStringNotContainsString('was lost', (string) $this->browser->getResponse()->getContent());
            $this->browser->request(
                'POST',
                $this->address('cook/events'),
                $form->getPhpValues(),
                [],
                ['HTTP_ACCEPT' => 'application/json'],
            );
            self::assertResponseStatusCodeSame(503);
            self::assertStringContainsString('"kept":false', (string) $this->browser->getResponse()->getContent());
        } finally {
            $this->readOnly(false);
        }
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
    }

    /** SQLite's code 10, and no writing asked for: nothing was sent that could be lost. */
    public function testABookThatCantBeReadSaysSo(): void
    {
        $broken = new \PDOException('disk I/O error', 10);
        $broken->errorInfo = ['HY000', 10, 'disk I/O error'];
        foreach (['text/html' => 'This can’t be shown now.', 'application/json' => '"kept":false'] as $type => $says) {
            $request = Request::create('/recipes', server: ['HTTP_ACCEPT' => $type]);
            self::getContainer()->get(RequestStack::class)->push($request);
            $event = new ExceptionEvent(
                self::$kernel ?? throw new \LogicException('There is no kernel.'),
                $request,
                HttpKernelInterface::MAIN_REQUEST,
                new DriverException(DriverFailure::new($broken), null),
            );
            (self::getContainer()->get(NothingKeptListener::class))($event);
            self::assertSame(503, $event->getResponse()?->getStatusCode());
            self::assertStringContainsString($says, (string) $event->getResponse()->getContent());
            self::assertStringNotContainsString('you sent', (string) $event->getResponse()->getContent());
        }
    }

    public function testASecondTabOfAKitchenIsToldAndChangesNothing(): void
    {
        $this->browser->request('GET', '/kitchen');
        $crawler = $this->browser->getCrawler();
        $first = $crawler->filter('form[name=kitchen]')->form();
        $second = $crawler->filter('form[name=kitchen]')->form();
        $first['kitchen[name]'] = 'First was here';
        $this->browser->submit($first);
        self::assertResponseStatusCodeSame(303);
        $second['kitchen[name]'] = 'Second too';
        $this->browser->submit($second);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('changed elsewhere', (string) $this->browser->getResponse()->getContent());
        $kitchen = self::getContainer()->get(KitchenRepository::class)->local();
        self::assertSame('First was here', $kitchen?->getName());
        // What was typed still stands there; sent again, knowing, it is taken.
        $again = $this->browser->getCrawler()->filter('form[name=kitchen]')->form();
        self::assertSame('Second too', $again->getValues()['kitchen[name]'] ?? null);
        $this->browser->submit($again);
        self::assertResponseStatusCodeSame(303);
    }

    public function testASecondTabOfTheLarderIsTold(): void
    {
        $larder = self::getContainer()->get(KitchenLarder::class);
        $thing = $larder->thing('sugar');
        self::assertNotNull($thing);
        self::assertSame(0, $larder->version('sugar'));
        $larder->keep('sugar', [...$thing, 'density' => 0.8], 0);
        self::assertSame(1, $larder->version('sugar'));
        $larder->keep('sugar', [...$thing, 'density' => 0.81], 1);
        $this->expectException(ChangedMeanwhile::class);
        try {
            $larder->keep('sugar', [...$thing, 'density' => 0.9], 1);
        } finally {
            self::assertSame(0.81, $larder->thing('sugar')['density'] ?? null);
        }
    }

    public function testAnEditConflictLeavesTheEntityManagerOpen(): void
    {
        $feast = $this->feast();
        $name = $feast->getName();
        $entities = self::getContainer()->get(EntityManagerInterface::class);
        // Somebody else stores between our reading and our writing.
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement('UPDATE feast SET version = version + 1 WHERE id = ?', [$feast->getId()]);
        try {
            (new ComparesVersions($entities))->change(
                $feast,
                null,
                static fn () => $feast->change('x', '{}'),
                ChangedMeanwhile::feast(...),
            );
            self::fail('a change over another was taken');
        } catch (ChangedMeanwhile) {
            self::assertTrue($entities->isOpen());
            self::assertSame($name, $feast->getName());
        }
        $this->browser->request('GET', $this->address('guests'));
        self::assertResponseIsSuccessful();
    }

    public function testAClientIdThatStandsForSomethingElseIsNotTakenOver(): void
    {
        $day = self::getContainer()->get(CookingDay::class);
        $feast = $this->feast();
        $day->tick($feast, 'basundi/1/reduce', true, 'one-client-id');
        $day->tick($feast, 'basundi/1/reduce', true, 'one-client-id');
        self::assertCount(1, $day->done($feast));
        $this->expectException(ConflictHttpException::class);
        $day->tick($feast, 'basundi/1/reduce', false, 'one-client-id');
    }

    public function testAClientIdEndsWhereItEnds(): void
    {
        $this->browser->request('GET', $this->address('cook'));
        $values = $this->browser->getCrawler()->filter('form[action$="/cook/events"]')->first()->form()->getPhpValues();
        $this->browser->request('POST', $this->address('cook/events'), [...$values, 'client' => "abcdefgh-1\n"]);
        self::assertResponseStatusCodeSame(422);
    }

    public function testTheStateOfTheDayIsOneQuery(): void
    {
        $id = (int) $this->feast()->getId();
        $day = self::getContainer()->get(CookingDay::class);
        self::assertSame(0, $day->versionOf($id));
        $day->tick($this->feast(), 'basundi/1/reduce', true, 'one-client-id');
        self::assertSame($day->version($this->feast()), $day->versionOf($id));
        self::assertNull($day->versionOf(999_999));
        $this->browser->request('GET', '/feasts/999999/cook/state');
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', $this->address('cook/state'));
        self::assertSame(
            ['version' => $day->versionOf($id), 'now' => 1_951_270_200],
            json_decode((string) $this->browser->getResponse()->getContent(), true),
        );
    }

    /** As a read-only folder is to a writer. */
    private function readOnly(bool $is): void
    {
        self::getContainer()
            ->get(Connection::class)
            ->executeStatement('PRAGMA query_only = '.($is ? 'ON' : 'OFF'));
    }
}
