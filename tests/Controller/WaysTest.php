<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Schools and dials on the recipe's page and on the menu. */
final class WaysTest extends BrowserCase
{
    public function testASchoolAndADialChangeWhatIsMeasured(): void
    {
        $this->browser->request('GET', '/recipes/pineapple-kesari?schools[roast]=dry&schools[meet]=water&dials[sweet]=0.8');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('#step-warm', '95 g Ghee');
        self::assertSelectorTextContains('#step-finish', '232 g Sugar');
        self::assertSelectorTextNotContains('#step-liquid', 'Sugar');
        self::assertSelectorExists('input[name="schools[roast]"][value=dry][checked]');
    }

    public function testAQuestionAppearsOnlyWhenItArises(): void
    {
        $this->browser->request('GET', '/recipes/basundi');
        self::assertSelectorNotExists('input[name="schools[tin]"]');
        $this->browser->request('GET', '/recipes/basundi?schools[milk]=tinned&schools[skin]=kept');
        self::assertResponseIsSuccessful();
        self::assertSelectorExists('input[name="schools[tin]"]');
        self::assertSelectorNotExists('input[name="schools[skin]"]');
    }

    public function testWithoutDairyIsMeasuredAndWhatItCanNotStandIsSaid(): void
    {
        $this->browser->request('GET', '/recipes/sago-milk?without[]=dairy');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('#step-milk', 'Oat milk');
        self::assertSelectorTextContains('.trouble', 'must not boil');
        self::assertSelectorTextNotContains('.recipe-head strong', 'milk');
    }

    /** @return iterable<string, array{string, string}> query, part of what is said */
    public static function refused(): iterable
    {
        yield 'no such school' => ['schools[moon]=full', 'no school "moon"'];
        yield 'no such option' => ['schools[roast]=charred', 'has no option "charred"'];
        yield 'ways that do not go together' => ['schools[roast]=dry&schools[meet]=cold', 'semolina needs its coat of ghee'];
        yield 'a dial past its end' => ['dials[sweet]=3', 'Sweetness goes from 0.75 to 1.2 here, not 3'];
        yield 'a dial that is no number' => ['dials[sweet]=lots', 'Here must stand a number'];
        yield 'schools that are a word' => ['schools=dry', 'must stand an object'];
        yield 'an option that is a list' => ['schools[roast][]=dry', 'must stand text'];
        yield 'without the impossible' => ['without[]=water', 'one of dairy, nuts, gluten'];
    }

    #[DataProvider('refused')]
    public function testWhatTheRecipeDoesNotOfferIsRefusedAndItIsShownAsWritten(string $query, string $says): void
    {
        $this->browser->request('GET', '/recipes/pineapple-kesari?'.$query);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.ways .fault', $says);
        self::assertSelectorTextContains('#step-liquid', '290 g Sugar');
    }

    public function testADishOfTheMenuIsPlannedByItsOwnWay(): void
    {
        $page = $this->browser->request('GET', $this->address('menu'));
        $form = $page->filter('#menu-form')->form();
        $this->browser->submit($form, ['menu[dishes][0][schools][roast]' => 'dry']);
        self::assertResponseRedirects();
        self::assertStringContainsString('"schools":{"roast":"dry"}', $this->feast()->getDocument());
        self::assertSame(1, substr_count($this->feast()->getDocument(), '"schools"'), 'only what differs from the recipe is kept');
        $this->browser->request('GET', $this->address('run-sheet'));
        self::assertStringContainsString('Warm the roasted semolina in ghee', (string) $this->browser->getResponse()->getContent());
    }

    public function testADialBeyondItsLimitIsRefusedAtItsField(): void
    {
        $page = $this->browser->request('GET', $this->address('menu'));
        $form = $page->filter('#menu-form')->form();
        $this->browser->submit($form, ['menu[dishes][0][dials][sweet]' => '2.5']);
        self::assertSelectorTextContains('.dish-ways .has-fault', 'goes from 0.75 to 1.2');
        self::assertStringNotContainsString('2.5', $this->feast()->getDocument());
    }

    public function testTheSheetForTheWallIsMadeByTheSameWay(): void
    {
        $this->browser->request('GET', '/recipes/coconut-rose-barfi/print?schools[cutting]=warm&makes=60');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('.paper-recipe', 'When is it cut? Cut through while warm.');
        self::assertSelectorTextContains('.paper-recipe', 'Makes 60 × piece');
        self::assertSelectorNotExists('.reckoning');
    }
}
