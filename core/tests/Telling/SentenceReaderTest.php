<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Recipe\Target;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Telling\AmountsInText;
use FeastLadle\Telling\SentenceReader;
use FeastLadle\Telling\TimeWords;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SentenceReaderTest extends TestCase
{
    /** The expected fields were written down from the sentences before there was a reader. */
    public function testTheCorpusIsReadRightOrMarkedAsAGuess(): void
    {
        /**
         * @var list<array{sentence: string, process: string, attention: string, vessel: string|null, flame: string,
         *     minutes: list<float|int>|null, target: string|null}> $corpus
         */
        $corpus = json_decode((string) file_get_contents(__DIR__.'/step-sentences.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertGreaterThanOrEqual(40, \count($corpus));
        $reader = new SentenceReader(Shipped::larder(), 240);
        $fields = $right = $guessed = 0;
        $wrong = [];
        foreach ($corpus as $expected) {
            $read = $reader->read($expected['sentence']);
            foreach (
                [
                    'process' => [$expected['process'], $read->process->value],
                    'attention' => [$expected['attention'], $read->attention->value],
                    'vessel' => [$expected['vessel'], $read->vessel?->value],
                    'flame' => [$expected['flame'], $read->flame->value],
                    'minutes' => [$expected['minutes'], $read->minutes],
                    'target' => [$expected['target'], self::told($read->target)],
                ] as $field => [$wanted, $found]
            ) {
                ++$fields;
                // @phpstan-ignore equal.notAllowed (5 and 5.0 are one number of minutes)
                if ($wanted == $found) {
                    ++$right;
                } elseif (\in_array($field, $read->supposed, true)) {
                    ++$guessed;
                } else {
                    $wrong[] = $expected['sentence'].': '.$field.' '.json_encode($found).' for '.json_encode($wanted);
                }
            }
        }
        fwrite(
            \STDERR,
            \sprintf(
                "\n%d step sentences: %.1f %% of %d fields right, %.1f %% wrong but marked as a guess\n",
                \count($corpus),
                (100 * $right) / $fields,
                $fields,
                (100 * $guessed) / $fields,
            ),
        );
        self::assertGreaterThanOrEqual(0.95, ($right + $guessed) / $fields, implode("\n", $wrong));
        self::assertGreaterThanOrEqual(0.9, $right / $fields, 'guesses alone are no reading');
    }

    private static function told(Target $target): ?string
    {
        return match ($target->kind) {
            TargetKind::None => null,
            TargetKind::Stage => 'stage '.($target->stage->value ?? ''),
            default => $target->kind->value.' '.round($target->value, 3),
        };
    }

    /** @return iterable<string, array{string, array{float, float}|null}> */
    public static function lengths(): iterable
    {
        yield 'range' => ['for 10 to 12 minutes', [10.0, 12.0]];
        yield 'short range' => ['5-6 mins', [5.0, 6.0]];
        yield 'half an hour' => ['about half an hour', [30.0, 30.0]];
        yield 'hours' => ['two hours', [120.0, 120.0]];
        yield 'one and a half' => ['1 1/2 hours', [90.0, 90.0]];
        yield 'seconds' => ['30 seconds', [0.5, 0.5]];
        yield 'overnight' => ['leave it overnight', [480.0, 480.0]];
        yield 'a rhythm is no length' => ['stir every 5 minutes', null];
        yield 'nothing said' => ['until done', null];
    }

    /** @param array{float, float}|null $minutes */
    #[DataProvider('lengths')]
    public function testLengthsAreReadAsPeopleSayThem(string $text, ?array $minutes): void
    {
        self::assertEqualsWithDelta($minutes, (new TimeWords())->find($text), 1e-9);
    }

    /** @return iterable<string, array{string, array<string, float>}> sentence, grams by ingredient */
    public static function amounts(): iterable
    {
        yield 'inside a sentence' => [
            'Cook it with half a cup of water and 200 g of sugar till sticky.',
            ['water' => 120.0, 'sugar' => 200.0],
        ];
        yield 'spoken' => [
            'So you take one cup of semolina, and then about two spoons, no, two tablespoons of ghee.',
            ['semolina' => 168.0, 'ghee' => 27.0],
        ];
        yield 'double of something' => ['Take 1 cup of semolina and double the sugar.', ['semolina' => 168.0, 'sugar' => 408.0]];
        yield 'no amounts' => ['Fry for 10 minutes on both sides, 8 at a time, till two string.', []];
        yield 'counted things' => ['Lay them on two banana leaves.', ['banana-leaf' => 300.0]];
    }

    /** @param array<string, float> $grams */
    #[DataProvider('amounts')]
    public function testAmountsInsideSentencesAreHarvested(string $sentence, array $grams): void
    {
        $found = [];
        foreach ((new AmountsInText(Shipped::larder(), 240))->find($sentence) as $line) {
            $found[$line->ingredient->id ?? ''] = $line->grams;
        }
        self::assertEqualsWithDelta($grams, $found, 0.01);
    }
}
