<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Recipe\Process;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** Who was called away may have been the only one who can: what of the work left nobody here may do, and what to do with it meanwhile. */
final readonly class NobodyLeft
{
    public function __construct(private Feast $feast, private Kitchen $kitchen)
    {
    }

    /**
     * @param array<string, \DateTimeImmutable> $away since when, by person
     *
     * @return list<array{step: PlannedStep, isRunning: bool, instead: Sentence}> what runs first, then by when it is wanted
     */
    public function of(DayState $state, array $away): array
    {
        if ([] === $away) {
            return [];
        }
        $left = [];
        foreach ($state->placed() as [$step, $at]) {
            if (!$step->progress->state->isOver() && !$this->somebodyCan($at, $state->at, $away)) {
                $left[] = [
                    'step' => $at,
                    'isRunning' => StepState::Running === $step->progress->state,
                    'instead' => self::instead($at, StepState::Running === $step->progress->state),
                ];
            }
        }
        usort($left, static fn (array $a, array $b): int => [$b['isRunning'], $a['step']->start] <=> [$a['isRunning'], $b['step']->start]);

        return $left;
    }

    /** @param array<string, \DateTimeImmutable> $away */
    private function somebodyCan(PlannedStep $step, \DateTimeImmutable $now, array $away): bool
    {
        if (0 === $step->step->work->attention->percent) {
            return true;
        }
        foreach ($this->feast->shifts as $shift) {
            $person = $this->kitchen->people[$shift->person] ?? null;
            $isFit = null !== $person && $person->skill->suffices($step->step->work->attention->skill);
            if ($isFit && $shift->to > $now && !isset($away[$shift->person])) {
                return true;
            }
        }

        return false;
    }

    private static function instead(PlannedStep $step, bool $isRunning): Sentence
    {
        $process = $step->step->process;

        return match (true) {
            !$isRunning => new Sentence('It waits for somebody who can: do not begin it.'),
            \in_array($process, [Process::DeepFry, Process::ShallowFry, Process::HotFat], true) => new Sentence(
                'Flame off under the fat, a lid beside it; nobody touches pan or fat until somebody is there who can.',
            ),
            Process::Pressure === $process => new Sentence('Flame off; the lid stays shut until it has come down by itself.'),
            Flame::None !== $step->flame => new Sentence('Flame off, pot to the side, covered; note the time.'),
            default => new Sentence('Cover it and leave it as it is; note the time.'),
        };
    }
}
