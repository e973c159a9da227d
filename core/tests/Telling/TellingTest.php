<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Recipe\Process;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\Lexicon;
use FeastLadle\Telling\Telling;
use FeastLadle\Telling\Text;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Telling\ToldStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is understood of tellings, held against what a cook wrote down before anything could read them. */
final class TellingTest extends TestCase
{
    /** What has been looked at. Files above it are only run when the reading is done, and counted by the bench. */
    private const LOOKED_AT = 112;

    /** The files which the reading was built with. */
    public function testTheTellingsItWasBuiltWithStayUnderstood(): void
    {
        $score = self::score(true);
        $share = static fn (string $of): float => $score->sums[$of]['right'] / array_sum($score->sums[$of]);
        $report = $score->report()."\n".implode("\n", $score->faults);
        self::assertGreaterThanOrEqual(0.95, $share('amounts'), $report);
        self::assertSame(0, $score->sums['amounts']['wrong'], $report);
        self::assertGreaterThanOrEqual(0.88, $share('times'), $report);
        self::assertGreaterThanOrEqual(0.84, $share('processes'), $report);
        self::assertGreaterThanOrEqual(0.9, $share('signs'), $report);
        self::assertGreaterThanOrEqual(0.97, $share('no step'), $report);
        self::assertGreaterThanOrEqual(0.75, $share('contradictions'), $report);
        self::assertLessThanOrEqual(15, $score->phantoms, $report);
    }

    public static function score(bool $lookedAt): Score
    {
        $telling = Shipped::telling();
        $score = new Score();
        foreach (glob(__DIR__.'/Told/*.txt') ?: [] as $file) {
            if (((int) basename($file) <= self::LOOKED_AT) === $lookedAt) {
                [$text, $answers] = Score::file($file);
                $score->add(basename($file, '.txt'), $telling->hear($text), $answers);
            }
        }

        return $score;
    }

    /** @return array{int, int, list<string>} right, of how many, and what was wrong, of the lines with odd or even numbers */
    public static function lines(int $odd): array
    {
        $reader = Shipped::lines();
        $right = $all = 0;
        $wrong = [];
        foreach (file(__DIR__.'/Told/lines.tsv', \FILE_IGNORE_NEW_LINES) ?: [] as $k => $row) {
            if (($k + 1) % 2 !== $odd) {
                continue;
            }
            [$line, $thing, $amount, $unit] = [...explode("\t", $row), ''];
            ++$all;
            $isRight = Score::isLine($reader->amounts($line)[0] ?? null, $thing, $amount, $unit);
            $right += (int) $isRight;
            $wrong = $isRight ? $wrong : [...$wrong, $line];
        }

        return [$right, $all, $wrong];
    }

    public function testLinesAreRead(): void
    {
        [$right, $all, $wrong] = self::lines(0);
        self::assertGreaterThanOrEqual(0.98, $right / $all, implode("\n", $wrong));
    }

    /** @return iterable<string, array{string, string}> a telling, and its steps with their minutes */
    public static function tellings(): iterable
    {
        yield 'milk brought to the boil with words between' => [
            'Two litres of milk. Bring the milk slowly to the boil. Add 200 g of rice and cook for fifty minutes.', 'boil, simmer 50',
        ];
        yield 'what has to be done for a time' => [
            'One litre of milk. The milk has to be boiled down by a quarter first, about forty minutes.', 'reduce 40',
        ];
        yield 'boiled down with the milk between' => [
            'Two litres of milk. Boil the milk down to half, it takes about fifty minutes.', 'reduce 50',
        ];
        yield 'what is added and then takes its time cooks' => [
            'Roast two cups of semolina in half a cup of ghee for ten minutes. Pour in a litre of boiling water. Then the sugar, a cup. '
            .'Five minutes, stirring.', 'roast 10, merge, simmer 5',
        ];
        yield 'a mark is made after so long' => [
            'Two cups of sugar and a cup of milk. Cook them for ten minutes. Pour it into a tray. Mark it after ten minutes.',
            'simmer 10, set 10, score',
        ];
        yield 'who turns it fries on' => [
            'Knead 300 g of wheat flour with water. Roll out small discs. Fry them in a litre of oil, three minutes, turn, two more.',
            'knead, shape, deep-fry 5',
        ];
        yield 'the syrup that is told to be boiled begins on its own' => [
            'Knead 300 g of wheat flour with water for five minutes. Meanwhile boil the syrup, a cup of sugar and a cup of water, '
            .'ten minutes.',
            'knead 5, syrup 10',
        ];
        yield 'what is fried goes into the syrup' => [
            'Boil a cup of sugar and a cup of water to one string. Shape balls of 200 g of milk solids. Fry them in oil for five minutes. '
            .'Straight into the syrup, two minutes.', 'syrup, shape, deep-fry 5, dunk 2',
        ];
        yield 'in hot water for a time' => ['200 g of almonds, in boiling water for ten minutes. Drain them.', 'soak 10, drain'];
        yield 'a flour left in water soaks, a batter rests' => [
            'Stir 200 g of rice flour into a litre of water and let it stand overnight.', 'mix-in, soak 480',
        ];
        yield 'before somebody cuts it nothing is cut' => [
            'Cook 500 g of sugar with 200 ml of milk for ten minutes. Let it cool for an hour before you cut it.', 'simmer 10, cool 60',
        ];
        yield 'two verbs, the time at the first' => ['Moong, 150 g, roasted three minutes and washed.', 'parch 3, rinse'];
        yield 'where it hangs chills nothing' => [
            'You hang two kilos of curd, in the fridge, for eight hours.', 'strain 480',
        ];
        yield 'a title is no work' => ['Soaked lentil rings in syrup. Soak 400 g of split urad for four hours.', 'soak 240'];
        yield 'more of the same pot' => [
            'Roast two cups of semolina in four tablespoons of ghee for ten minutes. Add half a cup of coconut and roast two minutes more.',
            'roast 10, roast 2',
        ];
        yield 'spices crackle' => [
            'Heat four tablespoons of ghee, drop in six cloves and let them crackle half a minute.', 'bloom 0.5',
        ];
        yield 'on the griddle' => [
            'Mix a cup of flour and a cup of milk to a batter. A spoon of ghee on the griddle, a ladle of batter; two minutes, '
            .'turn it over, one minute.', 'mix-in, griddle 3',
        ];
        yield 'asked and answered' => ['Simmer a litre of milk for an hour. Too thick? Cold milk, a little at a time.', 'simmer 60'];
        yield 'long ago' => ['Steam 20 parcels for twelve minutes. In the old days they steamed them in coconut shells.', 'steam 12'];
        yield 'covered for so long' => [
            'Sieve 200 g of flour. Rub in 40 g of ghee and add 90 ml of water. Cover it with a cloth, twenty minutes.',
            'sieve, mix-in, rest 20',
        ];
        yield 'a batter rests, a grain soaks' => [
            'Sieve 200 g of rice flour. Whisk in 300 ml of water and leave it for ten minutes.', 'sieve, mix-in, rest 10',
        ];
        yield 'flour under water for a night gives its starch' => [
            'Sieve 200 g of wheat flour. Mix in a litre of water and leave it for eight hours.', 'sieve, mix-in, soak 480',
        ];
        yield 'how long they take in the fat' => [
            'Knead 200 g of flour and 60 ml of water. Shape balls. They take nine minutes in oil that is not too hot.',
            'knead, shape, deep-fry 9',
        ];
        yield 'one side and the other' => [
            'Fry four bananas in two spoons of butter, two minutes on one side, one on the other.', 'shallow-fry 3',
        ];
        yield 'when hands can bear it' => [
            'Simmer 300 g of jaggery and 200 g of coconut for ten minutes. Knead it once your hands can bear it.', 'simmer 10, knead',
        ];
        yield 'a syrup that nobody calls so' => [
            'Deep-fry 300 g of dough for six minutes. Sugar: 400 g with 200 ml of water, five minutes, until it makes a string.',
            'deep-fry 6, syrup 5',
        ];
        yield 'spread to dry' => ['Steam 300 g of rice flour for ten minutes. Spread it to dry, two hours.', 'steam 10, dry 120'];
        yield 'out of the steam it rests' => [
            'Steam 300 g of rice flour for ten minutes. Let it stand for five minutes.', 'steam 10, rest 5',
        ];
        yield 'overnight, and how long that is' => [
            'Mix 300 g of flour and half a cup of curd to a batter. Let it ferment overnight, ten to twelve hours.', 'mix-in, rest 600-720',
        ];
    }

    #[DataProvider('tellings')]
    public function testWhatIsDoneAndForHowLong(string $telling, string $steps): void
    {
        $heard = [];
        foreach (Shipped::telling()->hear($telling)->steps as $step) {
            $heard[] = $step->process->value.(null === $step->minutes ? '' : ' '.implode('-', array_unique($step->minutes)));
        }
        self::assertSame($steps, implode(', ', $heard));
    }

    /** @return iterable<string, array{string, list<string>}> a telling, and its amounts */
    public static function amounts(): iterable
    {
        yield 'a second measure before another thing' => [
            'A tin of condensed milk, 400 g, four tablespoons of corn flour.', ['condensed-milk 400 g', 'corn-starch 4 tbsp'],
        ];
        yield 'that is one cup' => [
            '300 grams fine wheat flour, that is two cups, two tablespoons of gram flour.', ['wheat-flour 300 g', 'gram-flour 2 tbsp'],
        ];
        yield 'and one of milk' => ['Five cups of water and one of milk.', ['water 5 cup', 'milk 1 cup']];
        yield 'what is left of it goes in' => [
            'Yellow pumpkin, a three kilo one, gives two kilos when it is peeled.', ['pumpkin 2 kg'],
        ];
        yield 'a kilo and so many grams' => ['A kilo and 800 g of jaggery.', ['jaggery 1800 g']];
        yield 'a part of a whole nut' => [
            'A teaspoon of cardamom, a quarter of nutmeg, grated.', ['cardamom 1 tsp', 'nutmeg 0.25 piece'],
        ];
        yield 'altogether' => ['Warm milk, a quarter of a cup altogether, a spoon at a time.', ['milk 0.25 cup']];
        yield 'taken back in the next sentence' => ['Sugar, 400 g. No, that was too little, take 450.', ['sugar 450 g']];
        yield 'a tool is no amount' => ['Boil a litre of milk and beat it with a stick.', ['milk 1 l']];
        yield 'a sort with a name of its own' => ['Sugar, powdered, 350 g.', ['powdered-sugar 350 g']];
        yield 'what nuts give is no oil that goes in' => ['Grind 200 g of almonds; stop before they give oil.', ['almonds 200 g']];
        yield 'of what the sentence before spoke of' => [
            'Bread in thick milk. Do the milk first. Three litres, simmer it.', ['milk 3 l'],
        ];
        yield 'one word of how it is' => ['A kilo of floury potatoes.', ['potato 1 kg']];
        yield 'not a word before milk' => ['Two cups of hemp milk.', ['=hemp milk 2 cup']];
    }

    /** @param list<string> $amounts */
    #[DataProvider('amounts')]
    public function testHowMuchOfWhat(string $telling, array $amounts): void
    {
        $told = [];
        foreach (Shipped::telling()->hear($telling)->amounts as $amount) {
            if (null !== $amount->from) {
                $grams = 'kg' === $amount->unit?->value && $amount->from !== round($amount->from);
                $told[] = $amount->key().' '.round($amount->from * ($grams ? 1000 : 1), 2).' '.($grams ? 'g' : $amount->unit?->value);
            }
        }
        self::assertSame($amounts, $told);
    }

    /** @return iterable<string, array{string, list<string>}> a telling, and all that is named in it */
    public static function named(): iterable
    {
        yield 'a part of what follows' => ['Boil two litres of milk and put in the juice of three lemons.', ['milk', 'lemon']];
        yield 'what comes of it' => ['Squares. Make fresh cheese from three litres of milk. Hang it for an hour.', ['milk']];
        yield 'what goes in to make it soft again' => ['Simmer 300 g of semolina. Too stiff? Hot milk.', ['semolina']];
    }

    /** @param list<string> $things */
    #[DataProvider('named')]
    public function testEachThingIsOneBowl(string $telling, array $things): void
    {
        $bowls = [];
        foreach (Shipped::telling()->hear($telling)->steps as $step) {
            array_push($bowls, ...array_map(static fn (ToldAmount $a): string => $a->key(), $step->amounts));
        }
        self::assertSame($things, $bowls);
    }

    /** A kitchen has its own word for what is done, and words that say nothing to it. */
    public function testAKitchensOwnWordsAreHeardAsItMeansThem(): void
    {
        $hear = static fn (Lexicon $words, string $told): Heard => (new Telling(Shipped::larder(), $words, 240.0))->hear($told);
        $told = 'Two cups of milk. Burble the milk for ten minutes. Put in a handful of glow seeds.';
        $before = $hear(Shipped::lexicon(), $told);
        self::assertNotContains(Process::Simmer, array_map(static fn (ToldStep $s): Process => $s->process, $before->steps));
        $after = $hear(Shipped::lexicon()->corrected(['burble' => Action::Simmer], []), $told);
        self::assertSame(Process::Simmer, $after->steps[0]->process);
        self::assertSame([10.0, 10.0], $after->steps[0]->minutes);
        // Bent as any other verb is.
        $bent = $hear(Shipped::lexicon()->corrected(['burble' => Action::Simmer], []), 'Two cups of milk, burbled for ten minutes.');
        self::assertSame(Process::Simmer, $bent->steps[0]->process ?? null);
        // "seeds" is no work here, and "milk" no thing.
        $none = $hear(Shipped::lexicon()->corrected([], ['milk', 'seed', 'seeds']), 'Boil the milk. Seed two mangoes.');
        self::assertSame([], array_filter($none->amounts, static fn (ToldAmount $a): bool => 'milk' === $a->key()));
        self::assertNotContains(Process::Prepare, array_map(static fn (ToldStep $s): Process => $s->process, $none->steps));
    }

    public function testEverythingReadPointsToItsWords(): void
    {
        $heard = Shipped::telling()->hear(
            'Roast two cups of semolina in half a cup of ghee for ten minutes. Then boil three cups of water.',
        );
        self::assertSame(
            ['two cups of semolina', 'half a cup of ghee', 'three cups of water'],
            array_map(static fn (ToldAmount $a): string => $heard->text->words($a->first, $a->next), $heard->amounts),
        );
        self::assertSame([10.0, 10.0], $heard->steps[0]->minutes);
        self::assertSame('ten minutes', $heard->text->words(...($heard->steps[0]->timeAt ?? [0, 0])));
    }

    public function testAWordInsideAnotherNamesNothing(): void
    {
        $heard = Shipped::telling()->hear(
            'First get a bit of cold in ten tins, on a small flame, till the colour turns; then let it stand.',
        );
        self::assertSame([], array_values(array_filter($heard->amounts, static fn (ToldAmount $a): bool => null !== $a->thing)));
    }

    public function testAKitchenAddsItsOwnWords(): void
    {
        $words = Shipped::lexicon()->with(['white gold' => 'sugar', 'the old measure' => 'ghee']);
        $heard = (new Telling(Shipped::larder(), $words, 240))->hear('Boil two cups of white gold with a cup of water.');
        self::assertSame('sugar', $heard->amounts[0]->thing?->id);
    }

    /** @return iterable<string, array{string}> */
    public static function hostile(): iterable
    {
        yield 'nothing' => [''];
        yield 'signs only' => [str_repeat('.,;:!?()-', 500)];
        yield 'one long word' => [str_repeat('a', 100_000)];
        yield 'numbers without end' => [str_repeat('one hundred and two thousand ', 2000)];
        yield 'another script' => ['रवा एक कप, घी आधा कप। धीमी आँच पर भूनें। சர்க்கரை இரண்டு கப்.'];
        yield 'from right to left' => ["\u{202e}خذ كوباً من السكر\u{202c} and a cup of sugar"];
        yield 'pictures' => ['🍚 2 cups rice 🔥🔥 boil 20 min 😋'];
        yield 'a tag' => ['<script>alert(1)</script> roast <b>2 cups</b> semolina'];
    }

    #[DataProvider('hostile')]
    public function testAnyTextIsReadOrLeft(string $text): void
    {
        $heard = Shipped::telling()->hear($text);
        foreach ($heard->steps as $number => $step) {
            foreach ($step->sources as $source) {
                self::assertLessThan($number, $source);
            }
        }
        self::assertSame($text, $heard->text->text);
    }

    public function testTokensAreWhereTheyStand(): void
    {
        $words = ['Stir', 'the', 'ghee', '½', 'cup', '1.5', 'kg', '(soft)', 'see-through', "don't", '–', 'två', 'घी'];
        mt_srand(4);
        for ($n = 0; $n < 200; ++$n) {
            shuffle($words);
            $line = implode(' ', $words).'.';
            foreach (Text::of($line)->tokens as $token) {
                self::assertSame($token->word, mb_strtolower(substr($line, $token->start, $token->end - $token->start)));
            }
        }
    }
}
