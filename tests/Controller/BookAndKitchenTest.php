<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Repository\KitchenRepository;
use App\Service\RecipeBook;
use App\Tests\Support\BrowserCase;
use FeastLadle\Kitchen\KitchenReader;
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
        yield 'larger than is read' => ['{"a": "'.str_repeat('x', 1_100_000).'"}', 'the most that is read'];
        yield 'a text larger than a recipe' => [str_repeat('Stir it. ', 20_000), 'Paste one recipe at a time'];
        yield 'no text at all' => ["\xff\xfe\x00", 'no text in UTF-8'];
        yield 'nothing to cook' => ['<script>alert(1)</script>', 'Nothing to cook'];
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
        $this->browser->request('GET', '/kitchen/'.$this->home().'.json');
        $kitchen = (string) $this->browser->getResponse()->getContent();
        $this->take('/kitchen/'.$this->home().'/file', str_replace('"heightMm": 220', '"heightMm": -5', $kitchen));
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', '/vessels/0/shape/heightMm');
        $this->browser->request('GET', '/kitchen/'.$this->home().'.json');
        self::assertSame($kitchen, $this->browser->getResponse()->getContent());
    }

    public function testAKitchenWithoutAPersonTheFeastCountsOnIsRefused(): void
    {
        $this->browser->request('GET', '/kitchen/'.$this->home().'.json');
        $kitchen = (string) $this->browser->getResponse()->getContent();
        $this->take('/kitchen/'.$this->home().'/file', str_replace('"id": "nilu"', '"id": "somebody-else"', $kitchen));
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', 'A New Roof in Kumbhar Lane');
        $this->browser->request('GET', $this->address('guests'));
        self::assertResponseIsSuccessful();
    }

    public function testAStrongerFireMakesThePlanStaleAndAnother(): void
    {
        $this->browser->request('GET', $this->address('schedule-problem.json'));
        $before = $this->browser->getResponse()->getContent();
        $this->browser->request('GET', '/kitchen/'.$this->home().'.json');
        $this->take(
            '/kitchen/'.$this->home().'/file',
            str_replace('"kilowatts": 1.75', '"kilowatts": 3.5', (string) $this->browser->getResponse()->getContent()),
        );
        self::assertResponseRedirects('/kitchen/'.$this->home(), 303);
        $this->browser->request('GET', $this->address('schedule-problem.json'));
        self::assertNotSame($before, $this->browser->getResponse()->getContent());
    }

    public function testANewFeastIsBegunAndABadOneIsNot(): void
    {
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Begin', [
            'new_feast[name]' => 'Harvest',
            'new_feast[date]' => '2031-12-01',
            'new_feast[time]' => '12:30',
            'new_feast[count]' => '40',
            'new_feast[timeZone]' => '+05:30',
        ]);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'Harvest');
        self::assertSelectorTextContains('.thalis', 'Nothing is on the menu yet');
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Begin', [
            'new_feast[name]' => '',
            'new_feast[date]' => 'soon',
            'new_feast[time]' => '12:30',
            'new_feast[count]' => '-3',
            'new_feast[timeZone]' => '+05:30',
        ]);
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
        self::assertSelectorTextNotContains('.feast-list', 'A New Roof');
        $this->browser->request('GET', '/feasts/'.$id.'/guests');
        self::assertResponseStatusCodeSame(404);
    }

    public function testAPotIsEnteredByWhatItHoldsAndDrawn(): void
    {
        $this->browser->request('GET', '/kitchen');
        $this->browser->submitForm('+ another vessel');
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.vessel-cards > li:last-child', '7.24 l');
        $this->shapeLastPot(['form' => 'bowl', 'rimMm' => '450', 'litres' => '12.57', 'heightMm' => '']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('[data-size]', '450 × 140 mm');
        $this->shapeLastPot(['form' => 'straight', 'diameterMm' => '200', 'heightMm' => '-3', 'litres' => '']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.vessel-cards > li:last-child .fault', 'from 5 to 3000');
    }

    /** @param array<string, string> $shape */
    private function shapeLastPot(array $shape): void
    {
        $form = $this->browser->getCrawler()->filter('.vessel-card form')->form();
        foreach ($shape as $field => $value) {
            $form['vessel[shape]['.$field.']'] = $value;
        }
        $this->browser->submit($form);
    }

    public function testASteamerIsAskedForItsTiersAndAPotHasNone(): void
    {
        $crawler = $this->browser->request('GET', '/kitchen');
        $door = $crawler->filter('a[href*="vessels/steamer"], a[href*="vessel=steamer"], a[href*="/steamer"]')->first();
        $this->browser->click($door->link());
        self::assertResponseIsSuccessful();
        $form = $this->browser->getCrawler()->filter('[name="vessel[tiers]"]')->closest('form');
        self::assertNotNull($form);
        self::assertSame('2', $form->filter('[name="vessel[tiers]"]')->attr('value'));
        $this->browser->submit($form->form(['vessel[tiers]' => '4']));
        $tiers = static fn (string $json): int => (new KitchenReader())->read($json)->vessels['steamer']->tiers;
        self::assertSame(4, $tiers($this->document()));
        $this->browser->followRedirect();
        $form = $this->browser->getCrawler()->filter('[name="vessel[tiers]"]')->closest('form');
        self::assertNotNull($form);
        $this->browser->submit($form->form(['vessel[kind]' => 'pot']));
        self::assertSame(1, $tiers($this->document()));
    }

    private function document(): string
    {
        $kitchen = static::getContainer()->get(KitchenRepository::class)->local();
        self::assertNotNull($kitchen);

        return $kitchen->getDocument();
    }

    /** A line each, as one would write it on the wall; a line that says nothing is refused with all that was typed. */
    public function testARuleSaysWhatIsTakenInstead(): void
    {
        $send = function (string $instead): void {
            $this->browser->request('GET', '/kitchen');
            $values = $this->browser->getCrawler()->filter('#kitchen-form')->form()->getPhpValues();
            self::assertIsArray($values['kitchen']);
            $rule = ['id' => 'dark', 'name' => 'Dark sugar only', 'forbids' => 'sugar, rock-sugar', 'instead' => $instead];
            $values['kitchen']['rules'] = [$rule];
            $this->browser->request('POST', '/kitchen', $values);
        };
        $send("sugar: jaggery × 1,1, darker, and moist\nrock-sugar: palm-jaggery\n");
        self::assertResponseRedirects();
        $rule = (new KitchenReader())->read($this->document())->rules->ingredients['dark'];
        self::assertSame(['jaggery', 1.1, 'darker, and moist'], array_values((array) $rule->instead['sugar']));
        self::assertSame(['palm-jaggery', 1.0, ''], array_values((array) $rule->instead['rock-sugar']));
        $this->browser->followRedirect();
        $written = $this->browser->getCrawler()->filter('[name="kitchen[rules][0][instead]"]')->text(null, false);
        self::assertSame("sugar: jaggery × 1.1, darker, and moist\nrock-sugar: palm-jaggery", trim($written));

        $before = $this->document();
        $send('something brown');
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('.fault');
        self::assertStringContainsString('something brown', (string) $this->browser->getResponse()->getContent());
        self::assertSame($before, $this->document());
    }

    public function testAThingThatAFeastNeedsCanNotBeTakenOutOfTheKitchen(): void
    {
        $this->browser->request('GET', '/kitchen');
        $values = $this->browser->getCrawler()->filter('#kitchen-form')->form()->getPhpValues();
        $this->browser->request('POST', '/kitchen', $values + ['remove' => ['people' => '1']]);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('.fault', 'A New Roof');
        $this->browser->request('GET', '/kitchen/'.$this->home().'/vessels/no-such-pot');
        self::assertResponseStatusCodeSame(404);
        $this->browser->request('POST', '/kitchen/'.$this->home().'/vessels', ['_token' => 'forged']);
        self::assertResponseStatusCodeSame(403);
        $this->browser->request('GET', '/kitchen/999999');
        self::assertResponseStatusCodeSame(404);
    }

    public function testAnotherKitchenIsBegunAndAFeastCookedInIt(): void
    {
        $this->browser->request('GET', '/kitchen');
        $this->browser->submitForm('Another kitchen: a hall, a neighbour\'s');
        self::assertResponseStatusCodeSame(303);
        $id = (int) basename((string) $this->browser->getResponse()->headers->get('Location'));
        $this->browser->request('GET', '/');
        $this->browser->submitForm('Begin', [
            'new_feast[name]' => 'Elsewhere',
            'new_feast[date]' => '2031-12-01',
            'new_feast[time]' => '12:30',
            'new_feast[count]' => '40',
            'new_feast[timeZone]' => '+05:30',
            'new_feast[kitchen]' => (string) $id,
        ]);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('.feast-list a:first-child', 'Elsewhere');
        $this->browser->request('GET', '/kitchen/'.$id);
        self::assertSelectorTextContains('.kitchens [aria-current]', trim($this->text('h1')));
    }

    private function home(): int
    {
        return (int) static::getContainer()->get(KitchenRepository::class)->local()?->getId();
    }

    private function take(string $page, string $content): void
    {
        $this->browser->request('GET', str_replace('/file', '', $page));
        $form = '/recipes' === $page ? 'intake' : 'document_file';
        $token = $this->browser
            ->getCrawler()
            ->filter('[name="'.$form.'[_token]"]')
            ->attr('value');
        $this->browser->request('POST', $page, [$form => ['_token' => $token]], [$form => ['file' => $this->upload($content)]]);
    }

    private function upload(string $content): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'fl');
        file_put_contents($path, $content);

        return new UploadedFile($path, 'file.json', 'application/json', null, true);
    }
}
