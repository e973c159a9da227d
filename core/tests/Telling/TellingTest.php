<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Telling\Telling;
use FeastLadle\Telling\Text;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is understood of tellings, held against what a cook wrote down before anything could read them. */
final class TellingTest extends TestCase
{
    /** What has been looked at. Files above it are only run when the reading is done, and counted by the bench. */
    private const LOOKED_AT = 72;

    /** The files which the reading was built with. */
    public function testTheTellingsItWasBuiltWithStayUnderstood(): void
    {
        $score = self::score(true);
        $share = static fn (string $of): float => $score->sums[$of]['right'] / array_sum($score->sums[$of]);
        $report = $score->report()."\n".implode("\n", $score->faults);
        self::assertGreaterThanOrEqual(0.97, $share('amounts'), $report);
        self::assertSame(0, $score->sums['amounts']['wrong'], $report);
        self::assertGreaterThanOrEqual(0.9, $share('times'), $report);
        self::assertGreaterThanOrEqual(0.9, $share('processes'), $report);
        self::assertGreaterThanOrEqual(0.9, $share('signs'), $report);
        self::assertGreaterThanOrEqual(0.95, $share('no step'), $report);
        self::assertGreaterThanOrEqual(0.8, $share('contradictions'), $report);
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
