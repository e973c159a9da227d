<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Service\RecipeBook;
use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class BookAndKitchenTest extends BrowserCase
{
    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        $basundi = (string) file_get_contents(__DIR__.'/../../data/recipes/basundi.json');
        yield 'cut off in the middle' => [substr($basundi, 0, 1500), 'ends in the middle'];
        yield 'nested 10,000 deep' => [str_repeat('[', 10_000), 'nests deeper than 40'];
        yield 'a circle of steps' => [str_replace('"id": "boil",', '"id": "boil", "ties": [{"after": "chill"}],', $basundi), 'in a circle'];
        yield 'larger than is read' => [str_repeat('x', 1_100_000), 'the most that is read'];
    }

    #[DataProvider('unreadable')]
    public function testABadRecipeFileIsRefusedAndTheBookStaysAsItWas(string $content, string $says): void
    {
        $this->take('/recipes', $content);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', $says);
        self::assertSame(1, static::getContainer()->get(RecipeBook::class)->revision('basundi')?->getNumber());
    }

    public function testARecipeFileBecomesANewRevisionAndFeastsKeepTheirs(): void
    {
        $this->browser->request('GET', '/recipes/basundi.json');
        $content = str_replace('"name": "Basundi"', '"name": "Basundi of the hill"', (string) $this->browser->getResponse()->getContent());
        $this->take('/recipes', $content);
        self::assertResponseRedirects('/recipes/basundi', 303);
        $book = static::getContainer()->get(RecipeBook::class);
        self::assertSame(2, $book->revision('basundi')?->getNumber());
        self::assertSame('Basundi', $book->find('basundi', 1)?->name);
        // The same file again is no new revision.
        $this->take('/recipes', $content);
        self::assertSame(2, $book->revision('basundi')->getNumber());
        $this->browser->request('GET', '/recipes/basundi?revision=1');
        self::assertSelectorTextContains('h1', 'Basundi');
    }

    public function testARecipeIsMeasuredForAnyYield(): void
    {
        $this->browser->request('GET', '/recipes/basundi?makes=18200');
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('main', 'Makes 18.2 kg');
        self::assertSame('18200', $this->browser->getCrawler()->filter('#makes')->attr('value'));
        self::assertSelectorTextContains('.recipe-steps', '30 kg Whole milk');
        $this->browser->request('GET', '/recipes/milk-solids-balls?makes=100');
        self::assertSelectorTextContains('main', 'Makes 100 × ball');
    }

    public function testAYieldThatIsNoAmountIsRefusedAndTheRecipeStillShown(): void
    {
        foreach (['0', '-5', 'lots', '1e99', '<b>'] as $makes) {
            $this->browser->request('GET', '/recipes/basundi?makes='.urlencode($makes));
            self::assertResponseStatusCodeSame(422);
            self::assertSelectorTextContains('#makes-fault', 'from 1 to 10000000');
            self::assertSame($makes, $this->browser->getCrawler()->filter('#makes')->attr('value'));
            self::assertSelectorTextContains('.recipe-steps', '3 kg Whole milk');
        }
    }

    public function testAKitchenFileWithAFaultChangesNothing(): void
    {
        $this->browser->request('GET', '/kitchen.json');
        $kitchen = (string) $this->browser->getResponse()->getContent();
        $this->take('/kitchen', str_replace('"heightMm": 220', '"heightMm": -5', $kitchen));
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', '/vessels/0/shape/heightMm');
        $this->browser->request('GET', '/kitchen.json');
        self::assertSame($kitchen, $this->browser->getResponse()->getContent());
    }

    public function testAKitchenWithoutAPersonTheFeastCountsOnIsRefused(): void
    {
        $this->browser->request('GET', '/kitchen.json');
        $kitchen = (string) $this->browser->getResponse()->getContent();
        $this->take('/kitchen', str_replace('"id": "nilu"', '"id": "somebody-else"', $kitchen));
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', 'A New Roof in Kumbhar Lane');
        $this->browser->request('GET', $this->address('guests'));
        self::assertResponseIsSuccessful();
    }

    public function testAStrongerFireMakesThePlanStaleAndAnother(): void
    {
        $this->browser->request('GET', $this->address('schedule-problem.json'));
        $before = $this->browser->getResponse()->getContent();
        $this->browser->request('GET', '/kitchen.json');
        $this->take('/kitchen', str_replace('"kilowatts": 1.75', '"kilowatts": 3.5', (string) $this->browser->getResponse()->getContent()));
        self::assertResponseRedirects('/kitchen', 303);
        $this->browser->request('GET', $this->address('schedule-problem.json'));
        self::assertNotSame($before, $this->browser->getResponse()->getContent());
    }

    public function testANewFeastIsBegunAndABadOneIsNot(): void
    {
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Begin', ['new_feast[name]' => 'Harvest', 'new_feast[date]' => '2031-12-01', 'new_feast[time]' => '12:30', 'new_feast[count]' => '40', 'new_feast[timeZone]' => '+05:30']);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'Harvest');
        self::assertSelectorTextContains('.thalis', 'Nothing is on the menu yet');
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Begin', ['new_feast[name]' => '', 'new_feast[date]' => 'soon', 'new_feast[time]' => '12:30', 'new_feast[count]' => '-3', 'new_feast[timeZone]' => '+05:30']);
        self::assertResponseStatusCodeSame(422);
        self::assertCount(3, $this->browser->getCrawler()->filter('form .fault'));
    }

    public function testAFeastIsTakenOutOfTheBookWithAllThatBelongsToIt(): void
    {
        $this->browser->request('GET', $this->address('guests'));
        $id = $this->feast()->getId();
        $this->browser->request('POST', '/feasts/'.$id.'/remove', ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(403);
        $this->browser->request('GET', '/feasts/'.$id.'/guests');
        $this->browser->submitForm('Take it out');
        self::assertResponseRedirects('/', 303);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.empty', 'No feast is planned yet');
        $this->browser->request('GET', '/feasts/'.$id.'/guests');
        self::assertResponseStatusCodeSame(404);
    }

    private function take(string $page, string $content): void
    {
        $this->browser->request('GET', $page);
        $token = $this->browser->getCrawler()->filter('[name="document_file[_token]"]')->attr('value');
        $this->browser->request('POST', $page, ['document_file' => ['_token' => $token]], ['document_file' => ['file' => $this->upload($content)]]);
    }

    private function upload(string $content): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'fl');
        file_put_contents($path, $content);

        return new UploadedFile($path, 'file.json', 'application/json', null, true);
    }
}
