<?php

declare(strict_types=1);

namespace App\Tests\Import;

use App\Entity\RecipeDraft;
use App\Import\Intake;
use App\Import\LinkedData;
use App\Service\DraftDesk;
use App\Service\RecipeBook;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\DraftOfTelling;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Recipes in whatever form they come. */
final class IntakeTest extends KernelTestCase
{
    private const LINKED = '{"@context": "https://schema.org", "@type": "Recipe", "name": "Carrot <b>sweet</b>", 
        "recipeYield": ["serves 8"],
         "recipeIngredient": ["500 g carrots, grated", "1 l milk", "200 g sugar", "3 tbsp ghee"],
        "recipeInstructions": [{"@type": "HowToSection", "name": "First",
        "itemListElement": [
        {"@type": "HowToStep", "text": "Fry the carrots in the ghee for 8 minutes."},
        {"@type": "HowToStep", "text": "Add the milk and simmer for 40 minutes, stirring now and then."}]},
        {"@type": "HowToStep", "text": "Add the sugar and stir until it leaves the sides of the pan.<script>alert(1)</script>"}]}';

    /** A step that has a name and a text keeps both: the name stands over the first thing that is done in it. */
    public function testNamesAndTextsOfStepsAreBothKept(): void
    {
        $told = (new LinkedData())->told('{"@type": "Recipe", "name": "Halwa", "recipeIngredient": ["500 g carrots", "200 g sugar"],
            "recipeInstructions": [
                {"@type": "HowToStep", "name": "The slow part", "text": "Simmer the carrots for 40 minutes. Add the sugar."},
                {"@type": "HowToStep", "name": "Stir it dry", "text": "Stir it dry, for ten minutes, until it leaves the pan."},
                {"@type": "HowToStep", "name": "A word", "text": "My aunt liked it so."},
                {"@type": "HowToStep", "text": "Cool it for an hour."}]}');
        self::assertNotNull($told);
        self::assertSame([0 => 'The slow part', 3 => 'A word'], $told->titles);
        $draft = (new DraftOfTelling(Shipped::lines(), Shipped::telling(), 240))->make($told, 'halwa');
        $steps = $draft->draft->steps();
        self::assertSame(['The slow part', 'simmer'], [$steps[0]['title'] ?? '', $steps[0]['process'] ?? '']);
        self::assertStringContainsString('carrots', json_encode($steps[0], \JSON_THROW_ON_ERROR));
        self::assertNotContains('A word', array_column($steps, 'title'));
        self::assertStringContainsString('A word', json_encode($draft->guesses, \JSON_THROW_ON_ERROR));
    }

    /** @return iterable<string, array{string}> */
    public static function forms(): iterable
    {
        yield 'bare' => [self::LINKED];
        yield 'in a list' => ['['.self::LINKED.']'];
        yield 'in a graph' => [
            '{"@context": "https://schema.org", "@graph": [{"@type": "WebSite", "name": "Elsewhere"}, '.self::LINKED.']}',
        ];
        yield 'in a page' => [
            '<!doctype html><html><head><title>x</title><script type="application/ld+json">{"@type": "Organization", '.
            'broken</script><script type="application/ld+json">'.
            str_replace('</script>', '<\\/script>', self::LINKED).
            '</script></head><body><p>1 cup of advertisements</p></body></html>',
        ];
    }

    #[DataProvider('forms')]
    public function testLinkedDataIsUnderstoodWhereverItStands(string $content): void
    {
        $taken = $this->intake()->take($content);
        self::assertInstanceOf(RecipeDraft::class, $taken);
        $open = static::getContainer()->get(DraftDesk::class)->open((int) $taken->getId());
        self::assertSame('Carrot sweet', $open->draft->document()['name']);
        self::assertNotNull($open->recipe, implode("\n", array_map('strval', $open->faults)));
        self::assertStringNotContainsString('alert', $taken->getDocument());
        $bowls = [];
        foreach ($open->recipe->steps as $step) {
            foreach ($step->takes as $take) {
                if (null !== $take->ingredient) {
                    $bowls[$take->ingredient] = $take->grams;
                }
            }
        }
        self::assertEqualsWithDelta(['ghee' => 40.5, 'carrot' => 500.0, 'milk' => 1030.0, 'sugar' => 200.0], $bowls, 0.01);
        self::assertStringContainsString('how large is a portion', $taken->getQuestions());
    }

    public function testAPageWithoutARecipeIsReadAsText(): void
    {
        $taken = $this->intake()->take(
            '<html><body><h1>Sago milk</h1><p>Soak 1 cup sago for two hours.</p><p>Boil 1 litre of milk, add the sago and simmer for '.
                'ten minutes.</p></body></html>',
        );
        self::assertInstanceOf(RecipeDraft::class, $taken);
        self::assertStringContainsString('"sago"', $taken->getDocument());
    }

    /** @return iterable<string, array{string, string}> */
    public static function bad(): iterable
    {
        yield 'no recipe in it' => ['{"@context": "https://schema.org", "@type": "Person", "name": "Nobody"}', 'describes no recipe'];
        yield 'five megabytes of text' => [str_repeat("Stir the pot.\n", 360_000), 'Paste one recipe at a time'];
        yield 'five megabytes of page' => ['<html>'.str_repeat('<p>x</p>', 640_000).'</html>', 'the most is 2000000'];
        yield 'invalid UTF-8' => ["Roast \xc3\x28 the semolina", 'no text in UTF-8'];
        yield 'scripts only' => ['<html><script>var roast = "1 cup sugar";</script></html>', 'Nothing to cook'];
        yield 'an unknown unit of a document' => ['{"format": "feast-ladle/recipe", "version": 1}', '/slug: This field is missing'];
    }

    #[DataProvider('bad')]
    public function testWhatCanNotBeTakenInLeavesBookAndDeskAsTheyWere(string $content, string $says): void
    {
        $intake = $this->intake();
        $before = [
            static::getContainer()->get(DraftDesk::class)->titles(),
            \count(static::getContainer()->get(RecipeBook::class)->all()),
        ];
        try {
            $intake->take($content);
            self::fail('It was taken in.');
        } catch (FaultyDocument $faulty) {
            self::assertStringContainsString($says, $faulty->getMessage());
        }
        self::assertSame($before, [
            static::getContainer()->get(DraftDesk::class)->titles(),
            \count(static::getContainer()->get(RecipeBook::class)->all()),
        ]);
    }

    public function testTwoToldRecipesOfOneNameDoNotOverwriteARecipeOfTheBook(): void
    {
        $taken = $this->intake()->take("Basundi\n1 l milk\n100 g sugar\nReduce the milk to half. Add the sugar.");
        self::assertInstanceOf(RecipeDraft::class, $taken);
        self::assertStringContainsString('"slug": "basundi-2"', $taken->getDocument());
        self::assertSame(1, static::getContainer()->get(RecipeBook::class)->revision('basundi')?->getNumber());
    }

    private function intake(): Intake
    {
        self::bootKernel();

        return static::getContainer()->get(Intake::class);
    }
}
