<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;

final class LarderTest extends BrowserCase
{
    /** It begins with its search: everything is there by name, and nothing is spread out. */
    public function testBeginsWithItsSearchAndFindsByAnyName(): void
    {
        $this->browser->request('GET', '/larder');
        self::assertSelectorExists('#q[autofocus]');
        self::assertGreaterThanOrEqual(220, $this->browser->getCrawler()->filter('.larder-names a')->count());
        self::assertLessThan(10, $this->browser->getCrawler()->filter('.larder > li')->count());
        $this->browser->submitForm('Find', ['q' => 'karupatti'], 'GET');
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->browser->getCrawler()->filter('.larder > li'));
        self::assertSelectorTextContains('.larder', 'Palm jaggery');
        self::assertSelectorTextContains('.larder', 'as “karupatti”');
    }

    public function testEveryNameThatIsShownLeadsToItsThing(): void
    {
        $names = $this->browser->request('GET', '/larder')->filter('.larder-names a');
        foreach (range(0, $names->count() - 1, 9) as $n) {
            $link = $names->eq($n);
            $this->browser->request('GET', (string) $link->attr('href'));
            self::assertSelectorTextContains('.larder h2', trim($link->text()));
        }
    }

    public function testWhatIsEasilyConfusedIsToldApart(): void
    {
        $this->browser->request('GET', '/larder?q=camphor');
        self::assertSelectorTextContains('.unlike', 'Not camphor for burning: poisonous: edible grade only.');
    }

    public function testAnAmountIsWeighedInThisKitchensCup(): void
    {
        $this->browser->request('GET', '/larder?q='.urlencode('2 cups grated vellam'));
        self::assertSelectorTextContains('.weighed', '346 g Jaggery, grated');
        $this->browser->request('GET', '/larder?q='.urlencode('2 to 3 tbsp raisins'));
        self::assertSelectorTextContains('.weighed small', 'the middle of the range was taken');
        $this->browser->request('GET', '/larder?q='.urlencode('3 vanilla'));
        self::assertSelectorTextContains('.weighed', 'What that weighs is not known.');
    }

    public function testNothingFoundSaysSoAndEscapesWhatWasAsked(): void
    {
        $this->browser->request('GET', '/larder?q='.urlencode('<script>x</script>'));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('.empty', '<script>x</script>');
        self::assertCount(0, $this->browser->getCrawler()->filter('main script'));
    }

    public function testAWeighedCupCountsInEveryRecipe(): void
    {
        $this->browser->request('GET', '/larder/jaggery');
        $this->browser->submitForm('Keep it', ['thing[cupGrams]' => '192']);
        self::assertResponseRedirects();
        $this->restart();
        $this->browser->request('GET', '/larder?q='.urlencode('2 cups jaggery'));
        self::assertSelectorTextContains('.weighed', '384 g');
        self::assertSelectorTextContains('.own-mark', 'as this kitchen knows it');
        $this->browser->request('POST', '/larder/jaggery/forget', ['_token' => $this->tokenOf('/larder/jaggery')]);
        $this->restart();
        $this->browser->request('GET', '/larder?q='.urlencode('2 cups jaggery'));
        self::assertSelectorTextContains('.weighed', '346 g');
    }

    public function testAThingOfTheKitchensOwnIsAddedAndGoesWhenNoRecipeTakesIt(): void
    {
        $this->browser->request('GET', '/larder/new');
        $this->browser->submitForm('Keep it', [
            'thing[name]' => 'River salt',
            'thing[names]' => 'pink grit, lick',
            'thing[density]' => '1.1',
            'thing[allergens]' => 'none that we know',
        ]);
        self::assertResponseRedirects();
        $this->restart();
        $this->browser->request('GET', '/larder?q=lick');
        self::assertSelectorTextContains('.larder', 'River salt');
        self::assertSelectorTextContains('.larder', 'as “lick”');
        $this->browser->request('POST', '/larder/river-salt/forget', ['_token' => $this->tokenOf('/larder/river-salt')]);
        $this->restart();
        $this->browser->request('GET', '/larder?q=lick');
        self::assertSelectorTextContains('.empty', 'Nothing here goes by');
    }

    public function testAFaultStandsAtItsFieldAndNothingIsKept(): void
    {
        $this->browser->request('GET', '/larder/ghee');
        $this->browser->submitForm('Keep it', ['thing[water]' => '0.5', 'thing[density]' => '-3', 'thing[each]' => 'heavy']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.has-fault', 'from 0.05 to 3, not -3');
        self::assertStringContainsString('add up to more than the whole', $this->text('main'));
        self::assertStringContainsString('not "heavy"', $this->text('main'));
        $this->restart();
        $this->browser->request('GET', '/larder?q=ghee');
        self::assertSelectorNotExists('.own-mark');
        $this->browser->request('GET', '/larder/nothing-such');
        self::assertResponseStatusCodeSame(404);
    }

    /** The larder is read once a request; a new kernel reads it anew, on the same transaction. */
    private function restart(): void
    {
        static::getContainer()->get('services_resetter')->reset();
        $this->browser->enableReboot();
        $this->browser->request('GET', '/larder');
        $this->browser->disableReboot();
    }

    private function tokenOf(string $page): string
    {
        $this->browser->request('GET', $page);

        return (string) $this->browser->getCrawler()->filter('[name="_token"]')->attr('value');
    }
}
