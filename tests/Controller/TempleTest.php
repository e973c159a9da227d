<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** The stations of the temple feast: amounts, pots, stores, cards, boxes, who may eat what; and the benches. */
final class TempleTest extends BrowserCase
{
    public function testStoresKnowThePantryAndPrices(): void
    {
        $this->browser->request('GET', $this->at('stores'));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('[data-thing=ghee]', 'nothing');
        $form = $this->browser->getCrawler()->filter('main form')->form();
        $form['have[sugar]'] = '2500';
        $form['price[sugar]'] = '1,4';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSame('2500', $this->browser->getCrawler()->filter('[name="have[sugar]"]')->attr('value'));
        self::assertSame('1.4', $this->browser->getCrawler()->filter('[name="price[sugar]"]')->attr('value'));
        // The rest of the pantry stays.
        self::assertSame('3000', $this->browser->getCrawler()->filter('[name="have[ghee]"]')->attr('value'));
    }

    public function testTwoAtOnePantryKeepEachOthersRows(): void
    {
        $this->browser->request('GET', $this->at('stores'));
        $mine = $this->browser->getCrawler()->filter('main form')->form();
        $theirs = clone $mine;
        $mine['have[sugar]'] = '2500';
        $this->browser->submit($mine);
        $theirs['have[semolina]'] = '800';
        $this->browser->submit($theirs);
        $this->browser->request('GET', $this->at('stores'));
        self::assertSame('2500', $this->browser->getCrawler()->filter('[name="have[sugar]"]')->attr('value'));
        self::assertSame('800', $this->browser->getCrawler()->filter('[name="have[semolina]"]')->attr('value'));
    }

    public function testAnAmountThatIsNoneIsRefusedAndNothingIsKept(): void
    {
        $this->browser->request('GET', $this->at('stores'));
        $form = $this->browser->getCrawler()->filter('main form')->form();
        $form['have[sugar]'] = 'plenty';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.trouble', 'Here must stand a number');
        $this->browser->request('GET', $this->at('stores'));
        self::assertSame('', (string) $this->browser->getCrawler()->filter('[name="have[sugar]"]')->attr('value'));
        $this->browser->request('POST', $this->at('stores'), ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(403);
    }

    public function testStoresAsATableAndOnPaper(): void
    {
        $this->browser->request('GET', $this->at('stores.csv'));
        self::assertResponseHeaderSame('Content-Type', 'text/csv; charset=UTF-8');
        $lines = explode("\n", trim((string) $this->browser->getResponse()->getContent()));
        self::assertStringStartsWith('place,thing,need_g', $lines[0]);
        self::assertGreaterThan(20, \count($lines));
        foreach (['stores.pdf', 'cards.pdf', 'dipsticks.pdf', 'labels.pdf', 'stores.pdf?paper=letter'] as $paper) {
            $this->browser->request('GET', $this->at($paper));
            self::assertResponseIsSuccessful();
            self::assertStringStartsWith('%PDF-', (string) $this->browser->getResponse()->getContent(), $paper);
        }
    }

    public function testBowlsAreTickedAndAnotherPhonesTicksStay(): void
    {
        $this->browser->request('GET', $this->at('cards'));
        self::assertSelectorTextContains('[data-measured]', '0 of');
        $boxes = $this->browser->getCrawler()->filter('[name="ticked[]"]');
        [$first, $second] = [(string) $boxes->eq(0)->attr('value'), (string) $boxes->eq(1)->attr('value')];
        $token = $this->browser->getCrawler()->filter('main form [name=_token]')->attr('value');
        $this->browser->request('POST', $this->at('cards'), ['_token' => $token, 'ticked' => [$first]]);
        // A page that has not seen the first tick ticks the second.
        $this->browser->request('POST', $this->at('cards'), ['_token' => $token, 'ticked' => [$second, 'no-such-bowl', ['x']]]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-measured]', '2 of');
        $this->browser->request('POST', $this->at('cards'), ['_token' => $token, 'was' => [$first, $second], 'ticked' => [$second]]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-measured]', '1 of');
        $this->browser->request('GET', $this->at('cook'));
        self::assertResponseIsSuccessful();
    }

    public function testWhoMayEatWhatFollowsTheRulesOfTheDay(): void
    {
        $this->browser->request('GET', $this->at('who-eats'));
        self::assertSelectorTextContains('[data-cell="kesari/plant"]', 'Ghee');
        self::assertSelectorTextSame('[data-cell="kesari/grown-ups"]', 'yes');
        self::assertSelectorNotExists('[data-nothing]');
        $form = $this->browser->getCrawler()->filter('.rules-of-day')->form();
        $this->browser->request('POST', $this->at('who-eats'), [
            '_token' => $form->getPhpValues()['_token'],
            'rules' => ['no-grain', 'unheard-of'],
        ]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-cell="kesari/grown-ups"]', 'Semolina');
        self::assertSelectorTextContains('[data-cell="kesari/grown-ups"]', 'Buckwheat flour can stand in, as much of it. Roast');
    }

    public function testWhatStandsInIsCookedByOneTouchAndTakenBackByAnother(): void
    {
        $this->browser->request('GET', $this->at('who-eats'));
        $touch = $this->browser->getCrawler()->filter('[data-cell="kesari/plant"] [data-exchange="kesari/ghee"]');
        $values = $touch->form()->getPhpValues();
        $by = (string) $touch->filter('button')->attr('value');
        $this->browser->submit($touch->selectButton($touch->filter('button')->text())->form());
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSelectorTextSame('[data-cell="kesari/plant"]', 'yes');
        self::assertSelectorTextContains('[data-exchanged="kesari/ghee"]', 'in place of Ghee');
        $this->browser->request('GET', $this->at('stores'));
        self::assertSelectorExists('[data-thing='.$by.']');

        // What the page does not offer is not taken, whoever sends it.
        $version = ['version' => ''] + $values;
        $this->browser->request('POST', $this->at('who-eats/instead'), ['for' => 'semolina', 'ingredient' => 'salt'] + $version);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('POST', $this->at('who-eats/instead'), ['dish' => 'nothing', 'ingredient' => ''] + $version);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('POST', $this->at('who-eats/instead'), ['_token' => 'forged'] + $version);
        self::assertResponseStatusCodeSame(403);

        $this->browser->request('GET', $this->at('who-eats'));
        $this->browser->submit($this->browser->getCrawler()->selectButton('As it is written')->form());
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-cell="kesari/plant"]', 'Ghee');
    }

    public function testABoxIsFilledCountedAndRefusedWhenItHoldsNonsense(): void
    {
        $this->browser->request('GET', $this->at('boxes'));
        self::assertSelectorTextContains('[data-box=rowers] dl', '90 × ball');
        $form = $this->browser->getCrawler()->filter('#boxes-form')->form();
        $form['boxes[boxes][0][count]'] = '40';
        $this->browser->submit($form);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-box=rowers] dl', '120 × ball');
        $form = $this->browser->getCrawler()->filter('#boxes-form')->form();
        $form['boxes[boxes][0][holds][sesame]'] = '-1';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.box-holds .fault', 'from 0 to 5000');
    }

    public function testAChangedPageShowsAmountsAtOnceAndThePlanAfter(): void
    {
        $this->browser->request('GET', $this->at('guests'));
        $form = $this->browser->getCrawler()->filter('#guests-form')->form();
        $form['guests[groups][0][count]'] = '120';
        $this->browser->submit($form, [], ['HTTP_'.strtoupper(str_replace('-', '_', 'X-At-Once')) => '1']);
        $this->browser->request('GET', $this->at('guests'), [], [], ['HTTP_X_AT_ONCE' => '1']);
        self::assertSelectorExists('[data-planning]');
        self::assertSelectorTextContains('[data-station=run_sheet]', 'being planned');
        self::assertSelectorTextContains('[data-guests]', '268');
        $this->browser->request('GET', $this->at('guests'));
        self::assertSelectorNotExists('[data-planning]');
    }

    public function testDipsticksPoursAndServing(): void
    {
        $this->browser->request('GET', $this->at('dipsticks'));
        self::assertSelectorTextContains('.stick-card', 'Stop:');
        self::assertSelectorTextContains('[data-serving=kesari]', 'Serving pail');
        self::assertSelectorTextContains('[data-sign=pudding]', 'waits');
        $this->browser->request('GET', $this->at('pots'));
        self::assertSelectorExists('[data-pot=cook] input[type=range]');
        $this->browser->request('GET', $this->at('menu'));
        self::assertSelectorTextContains('[data-fit=fires]', 'room enough');
        self::assertCount(6, $this->browser->getCrawler()->filter('.plate-list li'));
    }

    /** @return iterable<string, array{string, int, string, string}> */
    public static function benches(): iterable
    {
        yield 'squares' => ['/benches/tray?grams=3300', 200, '[data-pieces]', '88 pieces'];
        yield 'crossed' => ['/benches/tray?grams=3300&cut=crossed-diamonds&a=60&b=35', 200, '[data-pieces]', '96 pieces'];
        yield 'no whole piece' => ['/benches/tray?a=900', 200, '.fault', 'No whole piece'];
        yield 'no number' => ['/benches/tray?grams=lots', 422, '.fault', 'from 10 to 10000000'];
        yield 'a bowl' => ['/benches/pot?form=bowl&rimMm=450&brimful=12.57&litres=4', 200, '[data-depth]', '75.1 mm'];
        yield 'hot' => ['/benches/pot?rimMm=360&heightMm=300&litres=6.0055&celsius=100', 200, '[data-depth]', '61.5 mm'];
        yield 'an impossible pot' => ['/benches/pot?rimMm=20&brimful=400', 200, '.fault', 'mm high'];
        yield 'a negative height' => ['/benches/pot?heightMm=-4', 422, '.fault', 'from 5 to 3000'];
        yield 'from one fruit' => ['/benches/most?recipe=pineapple-kesari&thing=pineapple&grams=700', 200, '[data-most]', 'kg'];
        yield 'none of that' => ['/benches/most?recipe=date-nut-rolls&vessel=tall-pot&grams=500', 200, '[data-most]', '× slice'];
        yield 'no such recipe' => ['/benches/most?recipe=nothing', 404, 'h1', ''];
    }

    #[DataProvider('benches')]
    public function testABenchAnswersOrSaysWhyNot(string $address, int $status, string $where, string $says): void
    {
        $this->browser->request('GET', $address);
        self::assertResponseStatusCodeSame($status);
        self::assertSelectorTextContains($where, $says);
    }

    public function testBenchesPrint(): void
    {
        foreach (
            [
                '/benches/tray.pdf',
                '/benches/pot.pdf?vessel=tall-pot',
                '/benches/pot.pdf?form=bowl&rimMm=900&heightMm=500&paper=letter',
            ] as $address
        ) {
            $this->browser->request('GET', $address);
            self::assertResponseIsSuccessful();
            self::assertStringStartsWith('%PDF-', (string) $this->browser->getResponse()->getContent(), $address);
        }
    }

    public function testTheStoveAtAnyMinuteAndHowSureThePlanIs(): void
    {
        $this->browser->request('GET', $this->at('stove'));
        self::assertSelectorExists('.stove-time input[type=range]');
        self::assertCount(2, $this->browser->getCrawler()->filter('.load'));
        self::assertGreaterThan(40, $this->browser->getCrawler()->filter('.stove-words li')->count());
        $this->browser->request('GET', $this->at('risk'));
        // The kesari is fresh twice, so it is asked about twice.
        self::assertCount(7, $this->browser->getCrawler()->filter('[data-risk]'));
        $chance = fn (string $dish): float => (float) $this->browser
            ->getCrawler()
            ->filter('[data-risk='.$dish.'] meter')
            ->attr('value');
        self::assertGreaterThan(0.95, $chance('pudding'));
        // So many that hardly any room is left.
        $this->browser->request('GET', $this->at('guests'));
        $this->browser->submitForm('Take over', ['guests[groups][0][count]' => '380']);
        $this->browser->request('GET', $this->at('risk'));
        $all = [];
        foreach (['kesari', 'pudding', 'cups', 'balls', 'sesame', 'barfi'] as $dish) {
            $all[$dish] = $chance($dish);
        }
        asort($all);
        [$least, $before] = [array_key_first($all), reset($all)];
        self::assertLessThan(0.97, $before);
        $this->browser->submitForm('Give each sweet the minutes it lacks');
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertGreaterThanOrEqual($before - 1e-9, $chance($least), 'a wish that makes it less sure is not kept');
        $form = $this->browser->getCrawler()->filter('.margin')->form();
        $form['margin'] = '30';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSame('30', $this->browser->getCrawler()->filter('#margin')->attr('value'));
        $form = $this->browser->getCrawler()->filter('.margin')->form();
        $form['margin'] = 'an hour';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', 'from 0 to 240');
    }

    public function testAStepTellsHowItsMinutesAndBowlsComeAbout(): void
    {
        $this->browser->request('GET', $this->at('run-sheet'));
        $this->browser->clickLink('Steam them');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('[data-account]', 'By the recipe 11 min a load');
        self::assertSelectorTextContains('.steam-water', 'Water under the rack: 12.7 l');
        self::assertMatchesRegularExpression(
            '/takes it up at|is wanted for ".+" from \d\d:\d\d|As late as it can be/',
            $this->browser->getCrawler()->filter('#then + p')->text(),
        );
        $this->browser->request('GET', $this->at('step/pudding/1/cook'));
        self::assertSelectorTextContains('.bowl-how', 'that boil off in this pot on these fires');
        $this->browser->request('GET', $this->at('step/pudding/9/cook'));
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('GET', $this->at('step/<script>/1/x'));
        self::assertResponseStatusCodeSame(404);
    }

    public function testTheRunSheetLeavesTheHouseInOpenFormats(): void
    {
        $this->browser->request('GET', $this->at('run-sheet.csv'));
        $csv = (string) $this->browser->getResponse()->getContent();
        $lines = explode("\n", trim($csv));
        self::assertStringStartsWith('start,end,minutes', $lines[0]);
        self::assertStringContainsString('Pack: ', $csv, 'boxes are packed by somebody, some time');
        $this->browser->request('GET', $this->at('plan.json'));
        $plan = json_decode((string) $this->browser->getResponse()->getContent(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($plan);
        self::assertIsArray($plan['steps']);
        self::assertIsArray($plan['jobs']);
        self::assertCount(\count($lines) - 1, [...$plan['steps'], ...$plan['jobs']]);
        $this->browser->request('GET', $this->at('run-sheet.ics'));
        $all = (string) $this->browser->getResponse()->getContent();
        self::assertSame(\count($lines) - 1, substr_count($all, 'BEGIN:VEVENT'));
        self::assertStringContainsString('TRIGGER:-PT8M', $all);
        self::assertStringContainsString('SUMMARY:Pack: ', $all);
        foreach (explode("\r\n", $all) as $line) {
            self::assertLessThanOrEqual(75, \strlen($line));
        }
        $this->browser->request('GET', $this->at('run-sheet.ics?person=ila'));
        self::assertLessThan(
            substr_count($all, 'BEGIN:VEVENT'),
            substr_count((string) $this->browser->getResponse()->getContent(), 'BEGIN:VEVENT'),
        );
        $this->browser->request('GET', $this->at('run-sheet.ics?person=nobody'));
        self::assertResponseStatusCodeSame(404);
        foreach (['run-sheet.pdf?paper=a3', 'run-sheet.pdf?strips=1', 'run-sheet.pdf?strips=1&person=ila'] as $paper) {
            $this->browser->request('GET', $this->at($paper));
            self::assertStringStartsWith('%PDF-', (string) $this->browser->getResponse()->getContent(), $paper);
        }
    }

    public function testAStepIsHeldTheRestMovesAndItIsLetGo(): void
    {
        $this->browser->request('GET', $this->at('run-sheet'));
        $row = $this->browser->getCrawler()->filter('tr[data-step="sesame/1/parch"]');
        $before = trim($row->filter('[data-start]')->text());
        $form = $row->filter('.pin')->form();
        $form['time'] = '11:05';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->at('run-sheet'));
        self::assertSelectorTextContains('tr[data-step="sesame/1/parch"] [data-start]', '11:05');
        self::assertSelectorTextContains('tr[data-step="sesame/1/parch"]', 'held');
        $held = $this->browser->getCrawler()->filter('tr[data-step="sesame/1/parch"] .pin')->form();
        $held['time'] = 'elevenish';
        $this->browser->submit($held);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.notice-bad', 'hours:minutes');
        $this->browser->submit($this->browser->getCrawler()->filter('tr[data-step="sesame/1/parch"] .pin button[name=let-go]')->form());
        $this->browser->request('GET', $this->at('run-sheet'));
        self::assertSelectorTextContains('tr[data-step="sesame/1/parch"] [data-start]', $before);
        self::assertSelectorNotExists('.held');
    }

    public function testAStepIsMovedFromWhereItStandsAndTheSheetIsLookedAtFromAllSides(): void
    {
        $this->browser->request('GET', $this->at('run-sheet?by=dishes'));
        self::assertSelectorTextContains('.sides [aria-current]', 'Sweet by sweet');
        $board = $this->browser->getCrawler()->filter('.run-board');
        $block = $this->browser->getCrawler()->filter('[data-activity="sesame/1/parch"]');
        self::assertCount(1, $block);
        $start = \DateTimeImmutable::createFromFormat('H:i', substr((string) $block->attr('aria-label'), 0, 5));
        self::assertNotFalse($start);
        $values = [
            '_token' => $board->attr('data-token'),
            'version' => $board->attr('data-version'),
            'by' => 'dishes',
            'step' => 'sesame/1/parch',
            'shift' => '-35',
        ];
        $this->browser->request('POST', $this->at('pins'), $values);
        self::assertResponseRedirects($this->at('run-sheet').'?by=dishes#chart', 303);
        $this->browser->followRedirect();
        self::assertStringStartsWith(
            $start->modify('-35 minutes')->format('H:i'),
            (string) $this->browser->getCrawler()->filter('[data-activity="sesame/1/parch"]')->attr('aria-label'),
        );
        self::assertCount(1, $this->browser->getCrawler()->filter('.is-held'));
        $this->browser->request('POST', $this->at('pins'), ['step' => 'no/1/such', 'version' => ''] + $values);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', $this->at('run-sheet?by=nothing-known'));
        self::assertSelectorTextContains('.sides [aria-current]', 'Everything');
    }

    public function testOtherWorkTakesAFireAndTheRestIsPlannedAroundIt(): void
    {
        $this->browser->request('GET', $this->at('run-sheet'));
        $form = $this->browser->getCrawler()->filter('#hands-form')->form();
        $values = $form->getPhpValues();
        $values['add-other'] = '1';
        $this->browser->request('POST', $this->at('run-sheet'), $values);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.jobs', 'Rice for the hall');
        self::assertGreaterThan(0, $this->browser->getCrawler()->filter('.job')->count());
        $form = $this->browser->getCrawler()->filter('#hands-form')->form();
        $form['hands[otherWork][0][from]'] = 'noon';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#hands-form .fault', 'hours:minutes');
    }

    public function testWhatATrialBringsIsMeasured(): void
    {
        $this->browser->request('GET', $this->at('what-if'));
        $token = (string) $this->browser->getCrawler()->filter('[data-token]')->attr('data-token');
        $this->browser->request('POST', $this->at('what-if/verdict'), ['try' => 'fire']);
        self::assertResponseStatusCodeSame(403, 'so much work is not done for whoever asks');
        $this->browser->request('POST', $this->at('what-if/verdict'), ['try' => 'fire', '_token' => $token]);
        $verdict = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($verdict);
        self::assertIsString($verdict['says']);
        self::assertStringStartsWith('stays in time', $verdict['says']);
        $brings = array_diff_key($verdict, ['says' => 0, 'points' => 0]);
        self::assertSame(['id' => 'fire', 'won' => 0, 'out' => 0, 'mends' => true], $brings);
        self::assertContains($verdict['points'], range(0, 5), 'hardly surer: all is as sure as can be');
        $this->browser->request('POST', $this->at('what-if/verdict'), ['try' => 'leave-out-kesari-nuts', '_token' => $token]);
        $verdict = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($verdict);
        self::assertIsString($verdict['says']);
        self::assertMatchesRegularExpression('/^stays in time(, .* by hand|, \d+ of 100 surer)?$/', $verdict['says']);
        $this->browser->request('POST', $this->at('what-if/verdict'), ['try' => 'nothing', '_token' => $token]);
        self::assertResponseStatusCodeSame(404);
    }

    /** @return iterable<string, array{string}> */
    public static function notMinutes(): iterable
    {
        yield 'before nothing' => ['-5'];
        yield 'more than a day' => ['1441'];
        yield 'a word' => ['soon'];
        yield 'half a minute' => ['7,5'];
    }

    #[DataProvider('notMinutes')]
    public function testADishIsOnlyWishedEarlierByWholeMinutesOfADay(string $typed): void
    {
        $this->browser->request('GET', $this->at('menu'));
        $form = $this->browser->getCrawler()->filter('#menu-form')->form();
        $form['menu[dishes][1][readyEarlier]'] = $typed;
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.thali:nth-child(2) .fault', '0 to 1440');
    }

    public function testAnEasierWayOnTheMenuSaysWhatIsLost(): void
    {
        $this->browser->request('GET', $this->at('menu'));
        self::assertSelectorTextNotContains('#menu-form', 'Lost then');
        $form = $this->browser->getCrawler()->filter('#menu-form')->form();
        $form['menu[dishes][4][schools][shape]'] = 'pressed';
        $this->browser->submit($form);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#menu-form', 'a few minutes for one person. Lost then: the round shape');
    }

    public function testOnlyWhatMayBeLeftOutIsLeftOut(): void
    {
        $this->browser->request('GET', $this->at('menu'));
        $form = $this->browser->getCrawler()->filter('#menu-form')->form();
        $values = $form->getPhpValues();
        self::assertIsArray($values['menu']);
        self::assertIsArray($values['menu']['dishes']);
        self::assertIsArray($values['menu']['dishes'][1]);
        $values['menu']['dishes'][1]['leftOut'] = ['cook'];
        $this->browser->request('POST', $form->getUri(), $values);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', $this->at('step/pudding/1/cook'));
        self::assertResponseIsSuccessful();
    }

    public function testABaseIsMadeOrBoughtInMinutesAndMoney(): void
    {
        $this->browser->request('GET', $this->at('menu'));
        self::assertSelectorTextContains('[data-base="jaggery-syrup"] .chosen', 'by hand');
        self::assertSelectorTextContains('[data-base="jaggery-syrup"]', 'Its label adds no allergen.');
        $this->browser->clickLink('Try the plan with it bought');
        $this->browser->submitForm('Keep this');
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->at('menu'));
        self::assertSelectorTextContains('[data-base="jaggery-syrup"] .chosen', 'Date syrup');
        self::assertSelectorTextContains('[data-base="jaggery-syrup"] header', 'bought');
    }

    public function testSomethingIsTriedBesideThePlanAndKept(): void
    {
        $this->browser->request('GET', $this->at('what-if'));
        self::assertGreaterThan(8, $this->browser->getCrawler()->filter('.scenarios li')->count());
        self::assertSelectorTextContains('[data-try="school-sesame-shape-pressed"]', 'the round shape');
        self::assertSelectorTextContains('[data-try="buy-jaggery-syrup"]', 'read its label');
        self::assertSelectorTextContains('[data-try="school-kesari-roast-dry"]', 'Keeps for days in a tin');
        self::assertSelectorTextContains('[data-try="school-kesari-roast-dry"]', 'costs: the coat of every grain');
        // A school that only changes what is in the bowls helps no plan.
        self::assertSelectorNotExists('[data-try="school-kesari-texture-moist"]');
        $this->browser->request('GET', $this->at('what-if?try=fire'));
        self::assertSelectorNotExists('[name=keep]');
        $this->browser->request('GET', $this->at('what-if?try=less-cups'));
        self::assertSelectorTextContains('[data-compare=cups]', 'not made');
        // Nothing is changed by trying.
        $this->browser->request('GET', $this->at('menu'));
        self::assertCount(6, $this->browser->getCrawler()->filter('.plate-list li'));
        $this->browser->request('GET', $this->at('what-if?try=less-cups'));
        $this->browser->submitForm('Keep this');
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->at('menu'));
        self::assertCount(5, $this->browser->getCrawler()->filter('.plate-list li'));
        $this->browser->request('GET', $this->at('what-if?try=nothing-like-it'));
        self::assertSelectorTextContains('.empty', 'Choose something');
        $this->browser->request('POST', $this->at('what-if'), ['_token' => 'forged', 'keep' => 'less-balls']);
        self::assertResponseStatusCodeSame(403);
    }

    private function at(string $page): string
    {
        $temple = static::getContainer()->get(KitchenRepository::class)->household()[1];

        return '/feasts/'.static::getContainer()->get(FeastRepository::class)->all($temple)[0]->getId().'/'.$page;
    }
}
