<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** The recipe book: each sweet drawn as it is, found by words, how it is served, how long it keeps, hands, and without what. */
final class BookTest extends BrowserCase
{
    public function testEachSweetIsDrawnInItsShapeAndColour(): void
    {
        $page = $this->browser->request('GET', '/recipes');
        self::assertGreaterThanOrEqual(30, $page->filter('.book-rows svg.sweet')->count());
        $fill = static fn (string $name): ?string => $page->filter('.book-rows li')
            ->reduce(static fn ($row): bool => str_contains($row->text(), $name))
            ->filter('svg')
            ->attr('fill');
        self::assertMatchesRegularExpression('/^#[0-9a-f]{6}$/', (string) $fill('Basundi'));
        self::assertNotSame($fill('Basundi'), $fill('Date and nut rolls'));
    }

    /** @return iterable<string, array{string, list<string>, list<string>}> what is asked, what must be there, what must not */
    public static function asked(): iterable
    {
        yield 'a word of what is in it' => ['q=peanuts', ['Peanut brittle'], ['Basundi']];
        yield 'two words, both of them' => ['q=coconut+milk+set', ['Coconut and rose barfi'], ['Peanut brittle']];
        yield 'how it comes to the plate' => ['served=cold', ['Basundi'], ['Peanut brittle']];
        yield 'how long it keeps' => ['keeps=7', ['Cashew diamonds', 'Peanut brittle'], ['Basundi', 'Coconut and rose barfi']];
        yield 'how much work' => ['hands=15', ['Basundi', 'Peanut brittle'], ['Guava squares']];
        yield 'without what' => ['without=cashew', ['Basundi'], ['Cashew diamonds']];
        yield 'of plants alone' => ['without=plants', ['Date and nut rolls'], ['Basundi', 'Peanut brittle']];
        yield 'several at once' => ['served=room&keeps=14&hands=30', ['Peanut brittle'], ['Date and nut rolls', 'Cashew diamonds']];
        yield 'what means nothing asks for nothing' => ['served=boiling&keeps=-3&hands=x&without=', ['Basundi', 'Peanut brittle'], []];
    }

    /**
     * @param list<string> $there
     * @param list<string> $gone
     */
    #[DataProvider('asked')]
    public function testOnlyWhatFitsIsShown(string $query, array $there, array $gone): void
    {
        $page = $this->browser->request('GET', '/recipes?'.$query);
        self::assertResponseIsSuccessful();
        $names = $page->filter('.book-rows a')->each(static fn ($a): string => $a->text());
        foreach ($there as $name) {
            self::assertContains($name, $names);
        }
        foreach ($gone as $name) {
            self::assertNotContains($name, $names);
        }
    }

    public function testNothingFoundSaysWhatToDoAndEscapesWhatWasAsked(): void
    {
        $this->browser->request('GET', '/recipes?q='.urlencode('<b>"moon"'));
        self::assertSelectorTextContains('.empty', 'Ask for less at once.');
        self::assertSelectorNotExists('.book-search b');
        self::assertSame('<b>"moon"', $this->browser->getCrawler()->filter('.book-search [name="q"]')->attr('value'));
        $this->browser->clickLink('Show all');
        self::assertSelectorNotExists('.empty');
    }

    /** A base is found among the bases, and what another kitchen would not know is no fault. */
    public function testBasesAreLookedThroughToo(): void
    {
        $page = $this->browser->request('GET', '/recipes?q=syrup');
        self::assertSelectorTextContains('h2', 'Bases that others take from');
        self::assertStringContainsString('jaggery syrup', $page->filter('.book-rows')->last()->text());
    }
}
