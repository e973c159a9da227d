<?php

declare(strict_types=1);

namespace App\Tests\Controller;

use App\Service\DraftDesk;
use App\Service\KitchenLarder;
use App\Service\KitchenWords;
use App\Service\RecipeBook;
use App\Tests\Support\BrowserCase;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Tests\Support\Shipped;

/** The writing desk over the wire. */
final class DraftTest extends BrowserCase
{
    public function testARecipeOfTheBookIsChangedIntoANewRevisionAndCompared(): void
    {
        $this->browser->request('GET', '/recipes/basundi');
        $this->browser->submitForm('Change it');
        $this->browser->followRedirect();
        self::assertSelectorTextContains('h1', 'A new revision of Basundi');
        self::assertSelectorTextContains('.check-clean', 'checks clean');
        $this->change(['step' => ['say' => 'Rinse the pot first.']], 0);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.since', 'One change since revision 1');
        $this->post(['op' => 'save']);
        self::assertResponseRedirects('/recipes/basundi');
        self::assertSame(2, static::getContainer()->get(RecipeBook::class)->revision('basundi')?->getNumber());
        self::assertSame([], static::getContainer()->get(DraftDesk::class)->titles());
        $this->browser->request('GET', '/recipes/basundi/compare');
        self::assertSelectorTextContains('.differences', 'Rinse the pot first.');
        self::assertCount(1, $this->browser->getCrawler()->filter('.differences tbody tr'));
        $this->browser->request('GET', '/recipes/basundi/compare?from=1&to=7');
        self::assertResponseStatusCodeSame(404);
    }

    public function testADraftThatDoesNotReadStaysADraftAndSaysWhere(): void
    {
        $this->begin('Half a sweet');
        $this->post(['op' => 'add-step', 'process' => 'syrup']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.check', 'A step must take something');
        $this->post(['op' => 'save']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('[role=alert]', 'can\'t go into the book yet');
        self::assertNull(static::getContainer()->get(RecipeBook::class)->revision('half-a-sweet'));
        self::assertCount(1, static::getContainer()->get(DraftDesk::class)->titles());
    }

    public function testAFaultStandsAtItsField(): void
    {
        $this->begin('Faulty');
        $this->post(['op' => 'add-step', 'process' => 'boil']);
        $this->browser->followRedirect();
        $this->post(['op' => 'add-bowl', 'line' => '1 l milk']);
        $this->browser->followRedirect();
        $this->change(['step' => ['takes' => [['ingredient' => 'milk', 'grams' => '-4']]]], 0);
        $this->browser->followRedirect();
        self::assertSelectorExists('input[name="step[takes][0][grams]"][aria-invalid]');
        self::assertSelectorTextContains('.bowl-row .fault', 'from 0.01 to 100000, not -4');
    }

    public function testOfTwoWritersTheSecondIsToldAndTheFirstNotOverwritten(): void
    {
        $this->begin('Twice');
        $this->post(['op' => 'add-step', 'process' => 'soak', 'version' => '1']);
        self::assertResponseRedirects();
        $this->post(['op' => 'add-step', 'process' => 'boil', 'version' => '1']);
        self::assertResponseStatusCodeSame(409);
        self::assertSelectorTextContains('[role=alert]', 'changed elsewhere');
        self::assertCount(1, $this->browser->getCrawler()->filter('.map-step'));
    }

    public function testTheLastChangeIsTakenBackAndDoneAgain(): void
    {
        $this->begin('Back and forth');
        $this->post(['op' => 'add-step', 'process' => 'soak']);
        $this->browser->followRedirect();
        self::assertCount(1, $this->browser->getCrawler()->filter('.map-step'));
        $this->post(['op' => 'back']);
        $this->browser->followRedirect();
        self::assertCount(0, $this->browser->getCrawler()->filter('.map-step'));
        $this->post(['op' => 'back']);
        $this->browser->followRedirect();
        self::assertCount(1, $this->browser->getCrawler()->filter('.map-step'));
        $this->post(['op' => 'discard']);
        self::assertResponseRedirects('/recipes');
        self::assertSame([], static::getContainer()->get(DraftDesk::class)->titles());
    }

    public function testHostileNamesAreShownAsText(): void
    {
        $this->begin('<script>alert(1)</script>');
        self::assertSelectorTextContains('h1', '<script>alert(1)</script>');
        self::assertCount(0, $this->browser->getCrawler()->filter('main script'));
    }

    public function testStrangePostsAreNoCatastrophe(): void
    {
        $this->begin('Strange');
        foreach (
            [
                ['step' => 'word'],
                ['head' => ['name' => ['a']]],
                ['at' => '-9', 'op' => 'open:99'],
                ['op' => 'remove-row:takes'],
                ['step' => ['takes' => 'x', 'cues' => [['kind' => ['deep' => ['er' => '1']]]]]],
                ['op' => str_repeat('x', 3000)],
                ['op' => 'add-step', 'process' => '<b>'],
                ['op' => 'connect', 'from' => "\xff", 'to' => ''],
                ['op' => 'answered:7'],
                ['head' => ['steps' => 'gone', 'portion' => 'x', 'schools' => [['id' => 'a', 'options' => 'b']]]],
            ] as $post
        ) {
            $this->post($post);
            self::assertLessThan(
                500,
                $this->browser->getResponse()->getStatusCode(),
                json_encode($post, \JSON_INVALID_UTF8_SUBSTITUTE) ?: '',
            );
            $this->browser->request('GET', $this->draft());
            self::assertResponseIsSuccessful();
        }
        $this->browser->request('POST', $this->draft(), ['op' => 'discard']);
        self::assertResponseStatusCodeSame(403);
        $this->browser->request('GET', '/drafts/99999');
        self::assertResponseStatusCodeSame(404);
    }

    public function testWhatIsPastedIsUnderstoodAndAsked(): void
    {
        $page = $this->browser->request('GET', '/recipes');
        $this->browser->submit($page->selectButton('Take in')->form(), [
            'intake[text]' => "Carrot sweet\n500 g carrots\n1 litre milk\n200 g sugar\nsalt to taste\n"
                .'Boil the milk. Add the carrots and simmer for 40 minutes. Add the sugar and stir until it leaves the sides of the pan.',
        ]);
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.told-questions', 'Salt: when does it go in?');
        $this->browser->clickLink('To the writing desk');
        self::assertSelectorTextContains('.asked', 'Salt: when does it go in?');
        self::assertSelectorTextContains('.asked', 'guesses stand until you change them');
        self::assertGreaterThan(0, $this->browser->getCrawler()->filter('.guessed')->count());
        $before = $this->browser->getCrawler()->filter('.asked ol li')->count();
        $this->post(['op' => 'answered:0']);
        $this->browser->followRedirect();
        self::assertCount($before - 1, $this->browser->getCrawler()->filter('.asked ol li'));
    }

    public function testAWordMeansOnlyWhatTheLarderKnowsAndWhatIsUnknownChangesNothing(): void
    {
        // The larder of a request is the one that its drafts brought before it.
        $this->browser->enableReboot();
        $page = $this->browser->request('GET', '/recipes');
        $this->browser->submit($page->selectButton('Take in')->form(), [
            'intake[text]' => 'Nut milk. Boil a litre of milk with two cups of sugar for ten minutes. Put in 50 g of moon nuts.',
        ]);
        $this->browser->followRedirect();
        $draft = $this->draft();
        $token = $this->browser->getCrawler()->filter('.told-flow [name="_token"]')->attr('value');
        self::assertSelectorTextContains('.told-text .lit-unknown', 'moon nuts');
        $this->post(['op' => 'add-step', 'process' => 'cool']);
        $steps = $this->browser->request('GET', $draft)->filter('.map-step')->count();

        $this->browser->request('POST', $draft.'/telling/word', ['_token' => $token, 'word' => 'moon nuts', 'means' => 'thing:moon']);
        self::assertResponseRedirects($draft.'/telling', 303);
        self::assertCount($steps, $this->browser->request('GET', $draft)->filter('.map-step'));

        $this->browser->request('POST', $draft.'/telling/word', ['_token' => $token, 'word' => 'moon nuts', 'means' => 'thing:cashews']);
        $this->browser->followRedirect();
        $this->browser->followRedirect();
        self::assertSelectorNotExists('.told-text .lit-unknown');
        self::assertCount($steps - 1, $this->browser->request('GET', $draft)->filter('.map-step'));
    }

    /** How much of a thing is usual is what this kitchen's own book takes of it: a recipe that takes more widens the question. */
    public function testWhatWasNeverSaidIsSupposedAsTheOwnBookHasIt(): void
    {
        $this->browser->enableReboot();
        $asked = function (): string {
            $page = $this->browser->request('GET', '/recipes');
            $this->browser->submit($page->selectButton('Take in')->form(), [
                'intake[text]' => 'Peanut sand. Roast 100 g of semolina for five minutes. Put in peanuts and 50 g of sugar.',
            ]);

            return $this->browser->followRedirect()->filter('.told-questions li')->reduce(
                static fn ($li): bool => str_contains($li->text(), 'Peanuts'),
            )->text();
        };
        $before = $asked();
        $recipe = str_replace('"slug": "peanut-brittle"', '"slug": "peanuts-and-little-else"', Shipped::json('recipes/peanut-brittle'));
        $twentyfold = preg_replace_callback(
            '/("ingredient": "peanuts",\s*"grams": )(\d+)/',
            static fn (array $found): string => $found[1].(20 * (int) $found[2]),
            $recipe,
            -1,
            $times,
        );
        self::assertGreaterThan(0, $times);
        static::getContainer()->get(RecipeBook::class)->import((string) $twentyfold);
        self::assertNotSame($before, $asked());
    }

    /** A word means one thing: what it was learned as before goes, whether that was a thing, work, or nothing. */
    public function testWhatAWordMeantBeforeGoes(): void
    {
        $words = static::getContainer()->get(KitchenWords::class);
        $hears = static function () use ($words): string {
            $step = $words->telling()->hear('Nut milk. Boil a litre of milk for ten minutes. Gloop it for an hour.')->steps[1] ?? null;

            return $step?->process->value.' '.implode(' ', array_map(static fn (ToldAmount $a): string => $a->key(), $step->amounts ?? []));
        };
        foreach (['cashews', 'almonds'] as $id) {
            $words->learn('gloop', $id);
            self::assertSame($id, $words->lexicon()->own['gloop'] ?? null);
        }
        self::assertNotContains('gloop', (array) (static::getContainer()->get(KitchenLarder::class)->thing('cashews')['names'] ?? []));
        $words->learn('gloop', Action::Cool);
        self::assertArrayNotHasKey('gloop', $words->lexicon()->own);
        self::assertSame('cool ', $hears());
        $words->learn('gloop', null);
        self::assertSame(' ', $hears());
        $words->learn('gloop', 'almonds');
        self::assertSame('almonds', $words->lexicon()->own['gloop'] ?? null);
    }

    /** What a word was taken for can be corrected to something that is done, or to nothing; both are known the next time. */
    public function testAWordIsCorrectedToWorkOrToNothing(): void
    {
        $this->browser->enableReboot();
        $telling = 'Nut milk. Burble a litre of milk for ten minutes. Put in two cups of sugar. Cool it for an hour.';
        $take = function () use ($telling): string {
            $page = $this->browser->request('GET', '/recipes');
            $this->browser->submit($page->selectButton('Take in')->form(), ['intake[text]' => $telling]);
            $this->browser->followRedirect();

            return $this->draft();
        };
        $titles = fn (string $draft): string => $this->browser->request('GET', $draft)->filter('.map-step')->text();
        $draft = $take();
        $token = $this->browser->getCrawler()->filter('.told-flow [name="_token"]')->attr('value');
        // A lit step offers its verb to correct, with what it is taken for.
        $lit = $this->browser->getCrawler()->filter('a.lit-work')->last()->attr('href');
        $this->browser->request('GET', (string) $lit);
        self::assertSame('cool', $this->browser->getCrawler()->filter('.learn [name="word"]')->attr('value'));
        self::assertSame('do:cool', $this->browser->getCrawler()->filter('.learn option[selected]')->attr('value'));

        foreach ([['burble', 'do:simmer'], ['cool', 'nothing']] as [$word, $means]) {
            $this->browser->request('POST', $draft.'/telling/word', ['_token' => $token, 'word' => $word, 'means' => $means]);
            $this->browser->followRedirect();
            $this->browser->followRedirect();
        }
        self::assertSelectorTextContains('.told-text .lit-work', 'Burble');
        self::assertStringNotContainsString('Cool it', $this->browser->getCrawler()->filter('.told-flow')->text());
        $again = $take();
        self::assertStringContainsString('Burble', $titles($again));

        $this->browser->request('POST', $draft.'/telling/word', ['_token' => $token, 'word' => 'burble', 'means' => 'do:fly']);
        self::assertResponseRedirects($draft.'/telling', 303);
    }

    private function begin(string $name): void
    {
        $page = $this->browser->request('GET', '/recipes');
        $this->browser->submit($page->selectButton('Begin')->form(), ['name' => $name]);
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
    }

    /**
     * Sends the open step as it stands, with something changed in it.
     *
     * @param array<string, mixed> $change
     */
    private function change(array $change, int $at): void
    {
        $form = $this->browser->getCrawler()->filter('form.desk')->form();
        $values = $form->getPhpValues();
        $this->browser->request('POST', $this->draft(), array_replace_recursive($values, $change, ['at' => (string) $at]));
    }

    /** @param array<string, mixed> $fields */
    private function post(array $fields): void
    {
        $token = $this->browser->request('GET', $this->draft())->filter('form.desk [name="_token"]')->attr('value');
        $this->browser->request('POST', $this->draft(), ['_token' => $token, ...$fields]);
    }

    private function draft(): string
    {
        return '/drafts/'.static::getContainer()->get(DraftDesk::class)->titles()[0]['id'];
    }
}
