<?php

declare(strict_types=1);

namespace App\Tests\Hostile;

use App\Tests\Support\BrowserCase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

/** What no browser of a cook would send, and what is answered to it: 4xx, never a breakdown, nothing changed. */
final class RequestEdgeTest extends BrowserCase
{
    /** @return iterable<string, array{string}> */
    public static function unreadable(): iterable
    {
        yield 'not UTF-8' => ["/larder?q=\xff\xfe"];
        yield 'not UTF-8, encoded' => ['/larder?q=%FF%FE'];
        yield 'NUL' => ['/larder?q=a%00b'];
        yield 'NUL in a list' => ['/recipes?x[]=a%00b'];
        yield 'a control character in a name' => ['/recipes?a%01=b'];
        yield 'in the path' => ['/larder/%00'];
        yield 'a number without end' => ['/recipes/basundi?makes=1e999'];
        yield 'a small one without end' => ['/benches/pot?mm=-1e999'];
    }

    #[DataProvider('unreadable')]
    public function testAnUnreadableAddressIsRefused(string $address): void
    {
        $this->browser->request('GET', $address);
        self::assertSame(400, $this->browser->getResponse()->getStatusCode());
    }

    public function testAnUnreadableFormIsRefusedAndStoresNothing(): void
    {
        $before = $this->feast()->getDocument();
        foreach (["\xc3\x28", "a\0b", "bell\x07"] as $text) {
            $this->browser->request('POST', $this->address('guests'), ['guests' => ['name' => $text]]);
            self::assertSame(400, $this->browser->getResponse()->getStatusCode());
        }
        self::assertSame($before, $this->feast()->getDocument());
    }

    /** @return iterable<string, array{string, string}> */
    public static function forms(): iterable
    {
        yield 'guests' => ['guests', 'form[name=guests]'];
        yield 'menu' => ['menu', 'form[name=menu]'];
        yield 'kitchen' => ['/kitchen', 'form[name=kitchen]'];
        yield 'larder' => ['/larder/sugar', 'form[name=thing]'];
    }

    #[DataProvider('forms')]
    public function testANumberWithoutEndIsRefusedAtItsField(string $address, string $selector): void
    {
        $address = str_starts_with($address, '/') ? $address : $this->address($address);
        $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful();
        $form = $this->browser->getCrawler()->filter($selector)->form();
        $numbers = array_filter(array_diff_key($form->getValues(), ['version' => 1]), is_numeric(...));
        self::assertNotSame([], $numbers);
        foreach (\array_slice(array_keys($numbers), 0, 25) as $name) {
            parse_str(http_build_query([...$form->getValues(), $name => '1e999']), $sent);
            $this->browser->request('POST', $address, $sent);
            self::assertSame(422, $this->browser->getResponse()->getStatusCode(), $name);
        }
    }

    #[TestWith(['{"format": "feast-ladle/recipe", "version": 1, "steps": [{"takes": [{"grams": 1e999}]}]}'])]
    #[TestWith(['{"@type": "Recipe", "name": "x", "recipeIngredient": [1e999], "recipeYield": 1e999}'])]
    #[TestWith(['{"@context": "https://schema.org", "@type": "Recipe", "name": 1e999, "recipeInstructions": [-1e999]}'])]
    public function testANumberWithoutEndInAFileIsRefused(string $json): void
    {
        $this->browser->request('GET', '/recipes');
        $form = $this->browser->getCrawler()->filter('form[name=intake]')->form();
        $form['intake[text]'] = $json;
        $this->browser->submit($form);
        self::assertSame(422, $this->browser->getResponse()->getStatusCode());
        self::assertStringContainsString('too large', (string) $this->browser->getResponse()->getContent());
    }

    public function testACookieThatIsAListIsNoCookie(): void
    {
        $this->browser->request('GET', '/kitchen', server: ['HTTP_COOKIE' => 'light[]=night']);
        $request = \Symfony\Component\HttpFoundation\Request::create('http://127.0.0.1/kitchen', cookies: [
            'PHPSESSID' => ['x'],
            'light' => ['night'],
            'MOCKSESSID' => ['y'],
        ]);
        $response = $this->browser->getKernel()->handle($request);
        self::assertSame(200, $response->getStatusCode());
    }

    public function testANumberInTheQuestionDoesNotStandForTheOneInTheAddress(): void
    {
        $this->browser->request('GET', '/kitchen');
        $form = $this->browser->getCrawler()->filter('form[name=kitchen]')->form();
        $this->browser->request('POST', '/kitchen?id=abc', $form->getPhpValues());
        self::assertResponseStatusCodeSame(303);
        $location = (string) $this->browser->getResponse()->headers->get('Location');
        self::assertStringNotContainsString('abc', $location);
    }

    #[TestWith(['1 OR 1=1'])]
    #[TestWith(['-1'])]
    #[TestWith(['1.5'])]
    #[TestWith(["1\n"])]
    public function testAVersionThatIsNoneIsRefused(string $version): void
    {
        foreach ([$this->address('guests') => 'form[name=guests]', '/kitchen' => 'form[name=kitchen]'] as $address => $selector) {
            $this->browser->request('GET', $address);
            $values = $this->browser->getCrawler()->filter($selector)->form()->getPhpValues();
            $this->browser->request('POST', $address, [...$values, 'version' => $version]);
            self::assertResponseStatusCodeSame(400);
        }
    }
}
