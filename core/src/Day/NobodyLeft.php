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
            $isRunning = StepState::Running === $step->progress->state;
            if (!$step->progress->state->isOver() && !$this->enoughCan($at, $isRunning, $state->at, $away)) {
                $left[] = ['step' => $at, 'isRunning' => $isRunning, 'instead' => self::instead($at, $isRunning)];
            }
        }
        usort($left, static fn (array $a, array $b): int => [$b['isRunning'], $a['step']->start] <=> [$a['isRunning'], $b['step']->start]);

        return $left;
    }

    /**
     * What runs needs them now; for what has not begun it is enough that they come.
     *
     * @param array<string, \DateTimeImmutable> $away
     */
    private function enoughCan(PlannedStep $step, bool $isRunning, \DateTimeImmutable $now, array $away): bool
    {
        $attention = $step->step->work->attention;
        $fit = [];
        foreach ($this->feast->shifts as $shift) {
            $isThere = $shift->to > $now && (!$isRunning || $shift->from <= $now) && !isset($away[$shift->person]);
            $person = $this->kitchen->people[$shift->person] ?? null;
            if ($isThere && null !== $person && $person->skill->suffices($attention->skill)) {
                $fit[$shift->person] = true;
            }
        }

        return 0 === $attention->percent || \count($fit) >= max(1, $attention->people);
    }

    private static function instead(PlannedStep $step, bool $isRunning): Sentence
    {
        $process = $step->step->process;

        return match (true) {
            !$isRunning => new Sentence('It waits for somebody who can: do not begin it.'),
            \in_array($process, Process::IN_HOT_FAT, true) => new Sentence(
                'Flame off under the fat, a lid beside it; nobody touches pan or fat until somebody is there who can.',
            ),
            Process::Pressure === $process => new Sentence('Flame off; the lid stays shut until it has come down by itself.'),
            Flame::None !== $step->flame => new Sentence('Flame off; the pot stays where it is, a lid on it; note the time.'),
            default => new Sentence('Cover it and leave it as it is; note the time.'),
        };
    }
}
