<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/**
 * What can have gone wrong at a step, as one press each: of its bowls, of its fire, of what its food can do.
 *
 * @phpstan-type Choice array{slip: string, word: Sentence, fields: array<string, string>,
 *     ask: string|null}
 */
final class SlipChoices
{
    private const WITH_FAT = [...Process::IN_HOT_FAT, Process::Roast];
    private const DOUGH = [Process::Knead, Process::Shape, Process::MixIn, Process::StirToBall];
    private const ON_FIRE = [
        Process::Boil, Process::Simmer, Process::Reduce, Process::Syrup, Process::Roast, Process::StirToBall, Process::Merge,
        Process::Parch, Process::MixIn, Process::HotFat,
    ];

    /** White from a jar, yellow from a jar: what is taken for what. */
    private const MISTAKEN = [
        'sugar' => ['salt' => 'Salt'],
        'powdered-sugar' => ['salt' => 'Salt', 'rice-flour' => 'Rice flour'],
        'salt' => ['sugar' => 'Sugar'],
        'gram-flour' => ['wheat-flour' => 'Wheat flour'],
        'wheat-flour' => ['gram-flour' => 'Gram flour'],
        'rice-flour' => ['wheat-flour' => 'Wheat flour'],
        'baking-soda' => ['salt' => 'Salt'],
        'milk' => ['yoghurt' => 'Yoghurt'],
    ];

    /** @return list<Choice> */
    public static function of(PlannedStep $step): array
    {
        $choices = [];
        foreach ($step->bowls as $bowl) {
            $number = BowlNumber::of($step, $bowl);
            if (null === $number) {
                continue;
            }
            $what = ['what' => $bowl->ingredient->name];
            $choices[] = self::choice(SlipKind::Forgotten, new Sentence('Forgotten: {what}', $what), ['bowl' => (string) $number]);
            $choices[] = self::choice(SlipKind::TooMuch, new Sentence('Too much {what}', $what), ['bowl' => (string) $number], 'grams');
            $choices[] = self::choice(SlipKind::TooLittle, new Sentence('Too little {what}', $what), ['bowl' => (string) $number], 'grams');
        }
        foreach (self::likeEachOther($step) as [$number, $meant, $taken]) {
            $word = new Sentence('{taken} in place of {meant}', ['taken' => $taken[1], 'meant' => $meant]);
            $choices[] = self::choice(SlipKind::Swapped, $word, ['bowl' => (string) $number, 'with' => $taken[0]]);
        }
        $early = self::bowlsOf($step);
        foreach (\array_slice($early, 1) as [$number, $name]) {
            $word = new Sentence('{what} went in first', ['what' => $name]);
            $choices[] = self::choice(SlipKind::OutOfOrder, $word, ['bowl' => (string) $number, 'before' => (string) $early[0][0]]);
        }
        if (TargetKind::Stage === $step->step->work->target->kind || Process::Reduce === $step->step->process) {
            $choices[] = self::choice(SlipKind::WentPast, new Sentence('Went past its stage'), [], 'celsius');
        }
        if (\in_array($step->step->process, self::ON_FIRE, true)) {
            $choices[] = self::choice(SlipKind::Caught, new Sentence('Caught at the bottom'));
            $choices[] = self::choice(SlipKind::Spilt, new Sentence('Boiled over, about a tenth'), ['share' => '0.1']);
        }
        if (\in_array($step->step->process, self::WITH_FAT, true)) {
            $choices[] = self::choice(SlipKind::TooHot, new Sentence('The fat is too hot'), [], 'celsius');
            $choices[] = self::choice(SlipKind::TooCold, new Sentence('The fat is too cold'), [], 'celsius');
        }
        if (\in_array($step->step->process, self::DOUGH, true)) {
            $choices[] = self::choice(SlipKind::TooWet, new Sentence('Too wet or too loose'));
            $choices[] = self::choice(SlipKind::TooDry, new Sentence('Too dry, it crumbles'));
        }
        $choices[] = self::choice(SlipKind::Skipped, new Sentence('This step was left out'));
        $choices[] = self::choice(SlipKind::Dropped, new Sentence('Dropped or spilt, about half'), ['share' => '0.5']);
        $choices[] = self::choice(SlipKind::Touched, new Sentence('Tasted or touched before the offering'));
        $choices[] = self::choice(SlipKind::Foreign, new Sentence('Glass, metal or something hard fell in'), ['what' => 'glass']);
        $choices[] = self::choice(SlipKind::Foreign, new Sentence('A hair, a leaf or an insect fell in'), ['what' => 'hair']);

        return $choices;
    }

    /** @return list<array{int, string}> number and name of each bowl in order */
    private static function bowlsOf(PlannedStep $step): array
    {
        $bowls = [];
        foreach ($step->bowls as $bowl) {
            $number = $bowl->reserve ? null : BowlNumber::of($step, $bowl);
            if (null !== $number) {
                $bowls[] = [$number, $bowl->ingredient->name];
            }
        }

        return $bowls;
    }

    /** @return list<array{int, string, array{string, string}}> a bowl, what was meant, and what stands beside it in a like jar */
    private static function likeEachOther(PlannedStep $step): array
    {
        $swaps = [];
        foreach ($step->bowls as $bowl) {
            $number = BowlNumber::of($step, $bowl);
            if (null === $number) {
                continue;
            }
            foreach (self::MISTAKEN[$bowl->ingredient->id] ?? [] as $id => $name) {
                $swaps[] = [$number, $bowl->ingredient->name, [$id, $name]];
            }
        }

        return $swaps;
    }

    /**
     * @param array<string, string> $fields
     *
     * @return Choice
     */
    private static function choice(SlipKind $slip, Sentence $word, array $fields = [], ?string $ask = null): array
    {
        return ['slip' => $slip->value, 'word' => $word, 'fields' => $fields, 'ask' => $ask];
    }
}
