<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Tests\Support\BrowserCase;

final class LarderTest extends BrowserCase
{
    public function testShowsEverythingAndFindsByAnyName(): void
    {
        $this->browser->request('GET', '/larder');
        self::assertGreaterThanOrEqual(110, $this->browser->getCrawler()->filter('.larder > li')->count());
        $this->browser->submitForm('Find', ['q' => 'karupatti'], 'GET');
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->browser->getCrawler()->filter('.larder > li'));
        self::assertSelectorTextContains('.larder', 'Palm jaggery');
        self::assertSelectorTextContains('.larder', 'as “karupatti”');
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
}
