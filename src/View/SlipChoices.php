<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Solving\PlannedStep;

/**
 * What can have gone wrong at a step, as one press each: of its bowls, of its fire, of what its food can do.
 *
 * @phpstan-type Choice array{slip: string, word: string, values: array<string, string>, fields: array<string, string>,
 *     ask: string|null}
 */
final class SlipChoices
{
    private const WITH_FAT = [Process::DeepFry, Process::FryGarnish, Process::HotFat, Process::Roast];
    private const DOUGH = [Process::Knead, Process::Shape, Process::MixIn, Process::StirToBall];
    private const ON_FIRE = [
        Process::Boil, Process::Simmer, Process::Reduce, Process::Syrup, Process::Roast, Process::StirToBall, Process::Merge,
        Process::Parch, Process::MixIn, Process::HotFat,
    ];

    /** @return list<Choice> */
    public static function of(PlannedStep $step): array
    {
        $choices = [];
        foreach ($step->bowls as $k => $bowl) {
            $number = self::take($step, $bowl->ingredient->id) ?? $k + 1;
            $what = ['{what}' => $bowl->ingredient->name];
            $choices[] = self::choice(SlipKind::Forgotten, 'Forgotten: {what}', $what, ['bowl' => (string) $number]);
            $choices[] = self::choice(SlipKind::TooMuch, 'Too much {what}', $what, ['bowl' => (string) $number], 'grams');
            $choices[] = self::choice(SlipKind::TooLittle, 'Too little {what}', $what, ['bowl' => (string) $number], 'grams');
        }
        if (TargetKind::Stage === $step->step->work->target->kind || Process::Reduce === $step->step->process) {
            $choices[] = self::choice(SlipKind::WentPast, 'Went past its stage', [], [], 'celsius');
        }
        if (\in_array($step->step->process, self::ON_FIRE, true)) {
            $choices[] = self::choice(SlipKind::Caught, 'Caught at the bottom');
            $choices[] = self::choice(SlipKind::Spilt, 'Boiled over, about a tenth', [], ['share' => '0.1']);
        }
        if (\in_array($step->step->process, self::WITH_FAT, true)) {
            $choices[] = self::choice(SlipKind::TooHot, 'The fat is too hot', [], [], 'celsius');
            $choices[] = self::choice(SlipKind::TooCold, 'The fat is too cold', [], [], 'celsius');
        }
        if (\in_array($step->step->process, self::DOUGH, true)) {
            $choices[] = self::choice(SlipKind::TooWet, 'Too wet or too loose');
            $choices[] = self::choice(SlipKind::TooDry, 'Too dry, it crumbles');
        }
        $choices[] = self::choice(SlipKind::Skipped, 'This step was left out');
        $choices[] = self::choice(SlipKind::Dropped, 'Dropped or spilt, about half', [], ['share' => '0.5']);
        $choices[] = self::choice(SlipKind::Touched, 'Tasted or touched before the offering');
        $choices[] = self::choice(SlipKind::Foreign, 'Glass, metal or something else fell in', [], ['what' => 'foreign']);

        return $choices;
    }

    /** The number of a bowl in the step's takes, from 1. */
    private static function take(PlannedStep $step, string $ingredient): ?int
    {
        foreach ($step->step->takes as $k => $take) {
            if ($take->ingredient === $ingredient) {
                return $k + 1;
            }
        }

        return null;
    }

    /**
     * @param array<string, string> $values
     * @param array<string, string> $fields
     *
     * @return Choice
     */
    private static function choice(SlipKind $slip, string $word, array $values = [], array $fields = [], ?string $ask = null): array
    {
        return ['slip' => $slip->value, 'word' => $word, 'values' => $values, 'fields' => $fields, 'ask' => $ask];
    }
}
