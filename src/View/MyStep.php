<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\Ready;
use FeastLadle\Day\DayState;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Explaining\CarriedOver;
use FeastLadle\Explaining\StopSign;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Cue;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Solving\PlannedStep;

/**
 * What one person has before them: the step of now, what of theirs runs beside it, and the next.
 *
 * @phpstan-type Mine array{step: PlannedStep, id: string, state: string, left: int|null, endsAt: \DateTimeImmutable, closed: bool,
 *     long: bool, ready: Ready|null, signs: list<Cue>, wrong: list<Cue>, way: list<Cue>, stop: StopSign|null,
 *     goesOn: int|null, cautions: list<Caution>, helpers: list<string>}
 */
final readonly class MyStep
{
    /** So many of the next ones stand on the page for when the network is gone. */
    private const KEPT = 12;

    /** All of a person: not even a look elsewhere. */
    private const CLOSED_PERCENT = 100;

    /** Steam, drops, elbows and children tap too: over these a press ends nothing. */
    private const HAZARDOUS = [Process::DeepFry, Process::HotFat, Process::Merge, Process::Pressure, Process::FryGarnish];

    public function __construct(private Larder $larder)
    {
    }

    /** @return array{now: Mine|null, beside: list<Mine>, next: PlannedStep|null, rest: list<PlannedStep>,
     *     left: int} */
    public function of(OpenFeast $open, DayState $state, string $person): array
    {
        $from = [];
        foreach ($state->plan->steps as $step) {
            $from[$step->activity] = $step;
        }
        $mine = [];
        foreach ($state->steps as $step) {
            $at = $from[$step->planned->activity] ?? $step->planned;
            if (!$step->progress->state->isOver() && \in_array($person, $at->people, true)) {
                $mine[] = [$step, $at];
            }
        }
        // What runs and ends first is looked at first; then what begins first.
        $isRunning = static fn (StepNow $s): bool => StepState::Running === $s->progress->state;
        usort($mine, static fn (array $a, array $b): int => [$isRunning($b[0]), $isRunning($a[0]) ? $a[1]->end : $a[1]->start]
            <=> [$isRunning($a[0]), $isRunning($b[0]) ? $b[1]->end : $b[1]->start]);
        $due = array_filter($mine, static fn (array $m): bool => $isRunning($m[0]) || $m[1]->start <= $state->at);
        $now = [] === $due ? \array_slice($mine, 0, 1) : array_values($due);
        $rest = array_values(array_filter($mine, static fn (array $m): bool => !\in_array($m, $now, true)));
        $stops = [];
        foreach ((new StopSigns($this->larder))->of($state->plan, $open->feast, $open->kitchen) as $sign) {
            $stops[$sign->at->activity] = $sign;
        }
        $cards = array_map(fn (array $m): array => $this->card($open, $m[0], $m[1], $person, $stops[$m[1]->activity] ?? null), $now);

        return [
            'now' => $cards[0] ?? null,
            'beside' => \array_slice($cards, 1),
            'next' => $rest[0][1] ?? null,
            'rest' => array_map(static fn (array $m): PlannedStep => $m[1], \array_slice($rest, 0, self::KEPT)),
            'left' => \count($mine),
        ];
    }

    /** @return Mine */
    private function card(OpenFeast $open, StepNow $step, PlannedStep $at, string $person, ?StopSign $stop): array
    {
        $signs = static fn (CueKind $kind): array => array_values(
            array_filter($at->step->words->cues, static fn (Cue $c): bool => $kind === $c->kind),
        );
        $isClosed = self::CLOSED_PERCENT === $at->step->work->attention->percent;

        return [
            'step' => $at,
            'id' => $step->id(),
            'state' => $step->progress->state->value,
            'left' => $step->left?->likely,
            'endsAt' => $at->end,
            'closed' => $isClosed && StepState::Running === $step->progress->state,
            'long' => $isClosed || \in_array($at->step->process, self::HAZARDOUS, true),
            'ready' => CardMaker::readyFor($at->dish, $at->step),
            'signs' => $signs(CueKind::Done),
            'wrong' => $signs(CueKind::Wrong),
            'way' => $signs(CueKind::OnTheWay),
            'stop' => $stop,
            'goesOn' => CarriedOver::seconds($at, $open->kitchen),
            'cautions' => (new Cautions($this->larder))->of(
                $at->dish->batchPlan->ledger->flow($at->step->id),
                $open->kitchen->rules->liftKg,
                $open->kitchen->vessels[$at->vessels[0] ?? '']->emptyKg ?? null,
            ),
            'helpers' => array_values(array_map(
                static fn (string $p): string => $open->kitchen->people[$p]->name,
                array_diff($at->people, [$person]),
            )),
        ];
    }
}
