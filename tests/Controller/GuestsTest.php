<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class GuestsTest extends BrowserCase
{
    public function testMoreGuestsChangeAmountsBatchesAndTimes(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        self::assertSame('28', $this->text('[data-guests]'));
        self::assertSame('2.32 kg', $this->text('[data-dish=kesari] [data-need]'));
        $this->browser->submitForm('Take over', ['guests[groups][0][count]' => '60']);
        self::assertResponseRedirects($this->address('guests'), 303);
        $this->browser->followRedirect();
        self::assertSame('70', $this->text('[data-guests]'));
        self::assertSame('5.93 kg', $this->text('[data-dish=kesari] [data-need]'));
        self::assertSame('2 batches', $this->text('[data-dish=kesari] .need-batches'));
    }

    /** @return iterable<string, array{string}> */
    public static function noCounts(): iterable
    {
        foreach (['0', '-3', '2.5', '1000000000', 'many', ''] as $count) {
            yield '"'.$count.'"' => [$count];
        }
    }

    #[DataProvider('noCounts')]
    public function testABadCountIsRefusedAtItsFieldAndNothingChanges(string $count): void
    {
        $before = $this->feast()->getDocument();
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', ['guests[groups][0][count]' => $count]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame($count, $this->browser->getCrawler()->filter('[name="guests[groups][0][count]"]')->attr('value', ''));
        self::assertStringContainsString('' === $count ? 'missing' : 'a whole number from 1 to 100000', $this->text('td.has-fault .fault'));
        self::assertSame($before, $this->feast()->getDocument());
    }

    public function testAMomentInThePastIsRefused(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', ['guests[date]' => '2031-10-01']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.moment-row .fault', 'is in the past');
    }

    public function testAGroupIsAddedAndTakenAwayAgain(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('+ another group');
        $this->browser->followRedirect();
        self::assertSame('29', $this->text('[data-guests]'));
        $this->browser->submit($this->browser->getCrawler()->filter('button[name="remove[groups]"][value="3"]')->form());
        $this->browser->followRedirect();
        self::assertSame('28', $this->text('[data-guests]'));
    }

    public function testOfTwoWhoEditAtOnceTheSecondIsToldAndTheFirstIsKept(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $second = $this->browser
            ->getCrawler()
            ->selectButton('Take over')
            ->form(['guests[groups][2][count]' => '9']);
        $this->browser->submitForm('Take over', ['guests[groups][0][count]' => '30']);
        $this->browser->submit($second);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#guests-form .fault', 'changed elsewhere while you worked');
        self::assertStringContainsString('"count":30', $this->feast()->getDocument());
        self::assertStringNotContainsString('"count":9', $this->feast()->getDocument());
        // Her entries still stand there; sent again, knowingly, they are taken.
        self::assertSame('9', $this->browser->getCrawler()->filter('[name="guests[groups][2][count]"]')->attr('value'));
        $this->browser->submitForm('Take over');
        self::assertResponseRedirects($this->address('guests'), 303);
    }

    public function testARowThatIsNotThereIsNotTakenAway(): void
    {
        $before = $this->feast()->getDocument();
        $this->browser->request('GET', $this->address('guests'));
        $form = $this->browser->getCrawler()->selectButton('Take over')->form();
        foreach (['-1', '99', 'x'] as $row) {
            $this->browser->request(
                'POST',
                $this->address('guests'),
                ['remove' => ['groups' => $row]] + array_diff_key($form->getPhpValues(), ['version' => true]),
            );
        }
        self::assertSame(substr_count($before, '"appetite"'), substr_count($this->feast()->getDocument(), '"appetite"'));
    }

    public function testAFormWithoutItsTokenChangesNothing(): void
    {
        $before = $this->feast()->getDocument();
        $this->browser->request('POST', $this->address('guests'), [
            'guests' => [
                'name' => 'Stolen',
                'date' => '2031-11-15',
                'groups' => [['id' => 'x', 'name' => 'x', 'count' => '3', 'appetite' => '1']],
                'moments' => [],
            ],
        ]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame($before, $this->feast()->getDocument());
    }

    public function testScriptInANameIsShownAsText(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $this->browser->submitForm('Take over', [
            'guests[name]' => '<script>alert(1)</script>',
            'guests[groups][0][name]' => '"><img src=x>',
        ]);
        $this->browser->followRedirect();
        self::assertSame('<script>alert(1)</script>', $this->text('h1'));
        self::assertCount(0, $this->browser->getCrawler()->filter('main script, main img'));
    }
}
