<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;

/** A menu is chosen by eye or found; what is taken stands beside what was there. */
final class MenuBookTest extends BrowserCase
{
    public function testEverySweetShowsItsWorkItsSeasonAndWhetherItFitsAndGoesOnTheMenu(): void
    {
        $this->browser->request('GET', $this->address('menu/book'));
        self::assertResponseIsSuccessful();
        $cards = $this->browser->getCrawler()->filter('.menu-card');
        self::assertGreaterThan(10, $cards->count());
        self::assertCount(0, $cards->filter('[data-sweet=jaggery-syrup]'), 'a base is no sweet');
        $card = $cards->filter('[data-sweet=sago-milk]');
        self::assertStringContainsString('by hand', $card->text());
        self::assertContains($card->filter('.fit')->text(), ['room enough', 'tight', 'can not fit']);
        self::assertGreaterThan(0, $card->filter('svg .heap')->count());
        self::assertStringContainsString('on the menu', $cards->filter('[data-sweet=basundi]')->text());
        $this->browser->submit($card->filter('form')->form());
        $this->browser->followRedirect();
        $served = implode(', ', array_map(static fn (string $how): string => '.thali .served-'.$how, ['hot', 'warm', 'cold', 'room']));
        self::assertCount(5, $this->browser->getCrawler()->filter($served));
        self::assertSelectorTextContains('.thalis', 'Sago');
    }

    public function testAMenuIsFoundLineByLine(): void
    {
        $this->browser->request('GET', $this->address('menu/book'));
        $token = (string) $this->browser->getCrawler()->filter('[name=_token]')->attr('value');
        $this->browser->request('POST', $this->address('menu/search'), ['sweets' => '5', 'everybody' => '1', '_token' => $token]);
        self::assertResponseIsSuccessful();
        $lines = explode("\n", trim($this->browser->getInternalResponse()->getContent()));
        $found = 0;
        $before = 0;
        foreach ($lines as $line) {
            /** @var array{done: int, of: int, html: string, rank: list<int>|null} $news */
            $news = json_decode($line, true, 8, \JSON_THROW_ON_ERROR);
            self::assertSame(++$before, $news['done']);
            self::assertLessThanOrEqual($news['of'], $news['done']);
            self::assertSame('' === $news['html'], null === $news['rank']);
            if ('' !== $news['html']) {
                ++$found;
                self::assertStringContainsString('of 100', $news['html']);
                self::assertStringContainsString('name="sweets[]"', $news['html']);
                self::assertStringContainsString($token, $news['html'], 'it can be taken');
            }
        }
        self::assertGreaterThan(0, $found);
    }

    public function testAMenuIsTakenWithItsWays(): void
    {
        $this->browser->request('GET', $this->address('menu/book'));
        $crawler = $this->browser->getCrawler();
        $token = (string) $crawler->filter('[name=_token]')->attr('value');
        $this->browser->request('POST', $this->address('menu/search'), ['sweets' => '5', '_token' => 'forged']);
        self::assertResponseStatusCodeSame(403, 'so much work is not done for whoever asks');
        $this->browser->request('POST', $this->address('menu/take'), [
            '_token' => $token,
            'version' => (string) $crawler->filter('[name=version]')->attr('value'),
            'sweets' => ['sesame-balls', 'cashew-diamonds'],
            'bought' => ['sesame-balls' => ['jaggery-syrup']],
            'schools' => ['cashew-diamonds' => ['cutting' => 'warm']],
        ]);
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        /** @var array{dishes: list<array<string, mixed>>} $document */
        $document = json_decode($this->feast()->getDocument(), true);
        self::assertCount(6, $document['dishes']);
        self::assertSame(['jaggery-syrup'], $document['dishes'][4]['bought'] ?? null);
        self::assertSame(['cutting' => 'warm'], $document['dishes'][5]['schools'] ?? null);
    }

    public function testWhatCanNotBeTakenIsRefusedAndNothingChanges(): void
    {
        $this->browser->request('GET', $this->address('menu/book'));
        $token = (string) $this->browser->getCrawler()->filter('[name=_token]')->attr('value');
        $before = $this->feast()->getDocument();
        $this->browser->request('POST', $this->address('menu/take'), ['_token' => $token, 'sweets' => ['moon-cheese']]);
        $this->browser->followRedirect();
        self::assertSelectorExists('.flash-bad, .trouble, [role=alert]');
        self::assertSame($before, $this->feast()->getDocument());
    }
}
