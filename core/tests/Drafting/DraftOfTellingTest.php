<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Drafting;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\DraftOfTelling;
use FeastLadle\Drafting\OpenPoint;
use FeastLadle\Drafting\ToldDraft;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Telling\TextReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** From words to a flow that reads, with its guesses marked and its questions asked. */
final class DraftOfTellingTest extends TestCase
{
    private const WRITTEN = <<<'TEXT'
    Harvest pudding
    A pudding for the evening.

    Ingredients
    1 cup broken wheat
    3 tbsp ghee
    4 cups (600 ml) water
    3 cups milk
    1 1/2 cups jaggery, grated
    1/2 tsp cardamom powder
    a few cashews
    salt to taste
    1 cup moonbeams

    Method
    1. Roast the broken wheat in ghee on a low flame for 8 minutes, stirring all the time.
    2. Add the water and cook for 25 minutes, stirring now and then. It will look thin.
    3. Pour in the milk and simmer for 15 minutes.
    4. Melt the jaggery in a little water and strain it.
    5. Switch off the gas, add the jaggery syrup and the cardamom and mix well.
    6. Fry the cashews in ghee till golden. Garnish with the fried cashews and serve.
    TEXT;

    private const TOLD = 'So for the kesari what my aunt does, you take one cup of semolina and roast it in half a cup of ghee on a '
        .'slow fire, never stop stirring, till it smells nice. Meanwhile in another pot you boil two and a half cups of water with '
        .'double the sugar. Then pour the boiling water over the roasted semolina, little by little, stirring fast. Keep stirring '
        .'until it leaves the sides of the pan. Add a pinch of saffron. Tip it into a greased tray and level it. Cut into diamonds '
        .'when it is set.';

    public function testWhatIsClaimedForTheBodyIsSetAsideAndShown(): void
    {
        $told = $this->make(str_replace(
            ['It will look thin.', 'simmer for 15 minutes.'],
            ['It cures a cold.', 'simmer for 15 minutes, which is good for the bones.'],
            self::WRITTEN,
        ));
        self::assertSame('A pudding for the evening.', $this->read($told)->summary);
        self::assertSame('Pour in the milk and simmer for 15 minutes.', $this->read($told)->step('simmer-2')->words->say);
        $said = array_map(static fn (OpenPoint $p): string => $p->text(), $told->guesses);
        self::assertContains('Set aside, as nobody here can vouch for it: "It cures a cold."', $said);
        self::assertContains('Set aside, as nobody here can vouch for it: "which is good for the bones"', $said);
    }

    public function testAWrittenRecipeBecomesAFlowThatReads(): void
    {
        $told = $this->make(self::WRITTEN);
        $recipe = $this->read($told);
        self::assertSame('Harvest pudding', $recipe->name);
        self::assertSame('A pudding for the evening.', $recipe->summary);
        self::assertSame(
            ['roast', 'simmer', 'simmer-2', 'syrup', 'strain', 'mix-in', 'fry-garnish', 'garnish'],
            array_map(static fn ($d): mixed => $d['id'], $told->draft->steps()),
        );
        self::assertSame(['simmer-2', 'strain'], $recipe->step('mix-in')->sources(), 'the strained jaggery goes into the pot');
        self::assertSame('simmer-2', $recipe->step('mix-in')->vessel?->continues);
        self::assertSame([], $recipe->step('syrup')->sources(), 'melting jaggery begins something of its own');
        self::assertSame(['mix-in', 'fry-garnish'], $recipe->step('garnish')->sources());
        self::assertSame('It will look thin', $recipe->step('simmer')->words->cues[0]->sign ?? null);
        self::assertSame('Golden', $recipe->step('fry-garnish')->words->cues[0]->sign ?? null);
    }

    public function testTheQuestionsThatChangeTheSweetMostAreAskedFirst(): void
    {
        $told = $this->make(self::WRITTEN);
        $asked = array_map(static fn (OpenPoint $o): string => $o->text(), $told->questions);
        self::assertStringContainsString('Water: 4 × cup (960 g) and 600 × ml (600 g) were both told, and they', $asked[0]);
        self::assertStringContainsString('"moonbeams"', implode("\n", $asked));
        $weights = array_map(static fn (OpenPoint $o): float => $o->weight, $told->questions);
        $sorted = $weights;
        rsort($sorted);
        self::assertSame($sorted, $weights);
        self::assertSame('/steps/1/takes/1/grams', $told->questions[0]->place);
    }

    public function testEveryThingThatWasNotSaidIsMarkedAsAGuess(): void
    {
        $places = array_map(static fn (OpenPoint $o): string => $o->place, $this->make(self::WRITTEN)->guesses);
        self::assertContains('/steps/6/time/minutes', $places, 'how long the cashews fry');
        self::assertContains('/steps/2/flame', $places);
        self::assertContains('/portion/grams', $places);
        self::assertNotContains('/steps/0/flame', $places, 'a low flame was said');
    }

    public function testAToldRecipeIsHarvestedFromItsSentences(): void
    {
        $recipe = $this->read($this->make(self::TOLD));
        self::assertSame(['roast', 'boil'], $recipe->step('merge')->sources(), 'boiled in another pot meanwhile');
        self::assertEqualsWithDelta([168.0, 108.0], array_map(static fn ($t): float => $t->grams, $recipe->step('roast')->takes), 0.01);
        self::assertSame(['water', 'sugar'], array_map(static fn ($t): ?string => $t->ingredient, $recipe->step('boil')->takes));
        self::assertEqualsWithDelta(2 * 600 * 0.85, $recipe->step('boil')->takes[1]->grams, 0.01, 'double the sugar, as cups are meant');
        self::assertSame('pan', $recipe->step('stir-to-ball')->vessel?->kind->value);
        self::assertSame('tray', $recipe->step('set')->vessel?->kind->value);
    }

    public function testWhatIsOnlyListedStillReadsAndIsAsked(): void
    {
        $told = $this->make("Five things\n250 ml milk\n60 g sugar\n20 g ghee");
        self::assertCount(3, $this->read($told)->step('mix-in')->takes);
        self::assertSame('What is done with all this? No step was told.', $told->questions[0]->text());
    }

    /** Marks whose bytes are those of others in part: quotation marks, dashes, turned writing. */
    public function testMarksAroundASentenceLeaveNoHalfCharacters(): void
    {
        foreach (["\u{201C}", "\u{201D}", "\u{2018}", "\u{2026}", "\u{2013}", "\u{2014}", "\u{202E}", "\u{2009}", "\u{1F35A}"] as $mark) {
            $text = "Kheer\n{$mark}Boil 1 l of milk{$mark}. {$mark}Add 200 g of sugar {$mark}and simmer for 20 minutes.{$mark}\n"
                ."{$mark}Stir in 10 g of raisins{$mark}, chopped{$mark}\n";
            $document = json_encode($this->make($text)->draft->document(), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            self::assertStringNotContainsString("\u{FFFD}", $document, bin2hex($mark));
        }
        $steps = $this->read($this->make("Kheer\n\u{201C}Boil 1 l of milk for 20 minutes\u{201D}, she says."))->steps;
        $step = reset($steps);
        self::assertNotFalse($step);
        self::assertSame("\u{201C}Boil 1 l of milk for 20 minutes\u{201D}, she says.", $step->words->say);
    }

    public function testAnyTextGivesADraftThatReadsOrIsRefused(): void
    {
        mt_srand(20311115);
        $pieces = [
            ...explode('. ', self::TOLD),
            ...explode("\n", self::WRITTEN),
            '<b>Fry</b> & stir',
            'Add -3 cups of sugar',
            '½ cup',
            'Serve',
            "\u{202e}tricks",
            '1/0 cup ghee',
            'Boil 99999999999 kg milk.',
        ];
        for ($i = 0; $i < 60; ++$i) {
            shuffle($pieces);
            $text = implode("\n", \array_slice($pieces, 0, mt_rand(1, 14)));
            try {
                $told = $this->make($text);
            } catch (FaultyDocument $faulty) {
                self::assertStringContainsString('Nothing to cook', $faulty->getMessage());
                continue;
            }
            try {
                $this->read($told);
            } catch (FaultyDocument $faulty) {
                self::fail($text."\n\n".$faulty->getMessage());
            }
        }
    }

    private function make(string $text): ToldDraft
    {
        return (new DraftOfTelling(Shipped::lines(), Shipped::telling(), 240))->make(
            (new TextReader(Shipped::lines(), Shipped::telling()))->read($text),
            'told',
        );
    }

    private function read(ToldDraft $told): Recipe
    {
        return (new RecipeReader(Shipped::larder()))->read($told->draft->json());
    }
}
