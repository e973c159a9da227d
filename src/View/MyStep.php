<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\OpenFeast;
use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\Ready;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Event;
use FeastLadle\Day\Happening\ReliefAsked;
use FeastLadle\Day\Heard;
use FeastLadle\Day\IdleHands;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Explaining\CarriedOver;
use FeastLadle\Explaining\MeasuredSigns;
use FeastLadle\Explaining\StopSign;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Explaining\TasteTwin;
use FeastLadle\Feast\MomentKind;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Cue;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Mark;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TaskPicture;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Words\Sentence;

/**
 * What one person has before them: the step of now, what of theirs runs beside it, and the next.
 *
 * @phpstan-type Mine array{step: PlannedStep, id: string, state: string, left: int|null, endsAt: \DateTimeImmutable, closed: bool,
 *     closes: bool, long: bool, ready: Ready|null, signs: list<Cue>, twin: list<Sentence>, wrong: list<Cue>, way: list<Cue>,
 *     stop: StopSign|null,
 *     goesOn: int|null, cautions: list<Caution>, helpers: list<string>, isReady: bool, reliefAsked: Event|null,
 *     bowls: list<array{bowl: MeasuredBowl, number: int|null, parts: int, next: int, isIn: bool}>,
 *     marks: list<array{number: int, minute: int|null, at: \DateTimeImmutable|null, sign: string, do: string, isPassed: bool}>,
 *     othersFree: array<string, string>, measured: list<Sentence>, picture: TaskPicture}
 */
final readonly class MyStep
{
    /** So many of the next ones stand on the page for when the network is gone. */
    private const KEPT = 12;

    /** As the log has it when all that must stand ready does. */
    public const READY = 'ready';

    /** Who has so long until the next step may do something for it. */
    private const IDLE_MINUTES = 10;

    /** All of a person: not even a look elsewhere. */
    private const CLOSED_PERCENT = 100;

    /** Steam, drops, elbows and children tap too: over these a press ends nothing. */
    private const HAZARDOUS = [...Process::IN_HOT_FAT, Process::Merge, Process::Pressure];

    public function __construct(private Larder $larder, private CookingDay $day)
    {
    }

    /** @return array{now: Mine|null, beside: list<Mine>, next: PlannedStep|null, rest: list<PlannedStep>,
     *     left: int, asked: list<array{step: string, title: string, by: string}>,
     *     idle: list<array{step: PlannedStep, bowl: MeasuredBowl|null, number: int|null, vessel: Vessel|null}>} */
    public function of(OpenFeast $open, DayState $state, string $person): array
    {
        $mine = [];
        foreach ($state->placed() as [$step, $at]) {
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
        $heard = Heard::of($this->day->log($open)->until($state->at));
        $stops = [];
        foreach ((new StopSigns($this->larder))->of($state->plan, $open->feast, $open->kitchen) as $sign) {
            $stops[$sign->at->activity] = $sign;
        }
        $cards = array_map(fn (array $m): array => $this->card($open, $heard, $m, $person, $stops[$m[1]->activity] ?? null), $now);

        return [
            'now' => $cards[0] ?? null,
            'beside' => \array_slice($cards, 1),
            'next' => $rest[0][1] ?? null,
            'rest' => array_map(static fn (array $m): PlannedStep => $m[1], \array_slice($rest, 0, self::KEPT)),
            'left' => \count($mine),
            'asked' => self::asked($open, $state, $heard, $person),
            'idle' => self::isIdle($cards[0] ?? null, $state)
                ? (new IdleHands($open->kitchen))->of($state, $heard->ticked)
                : [],
        ];
    }

    /** @param Mine|null $card */
    private static function isIdle(?array $card, DayState $state): bool
    {
        $isRunning = StepState::Running->value === ($card['state'] ?? null);

        return !$isRunning && (null === $card || $card['step']->start > $state->at->modify('+'.self::IDLE_MINUTES.' minutes'));
    }

    /** @return list<array{step: string, title: string, by: string}> spoons that this person was asked to take and has not */
    private static function asked(OpenFeast $open, DayState $state, Heard $heard, string $person): array
    {
        $asked = [];
        foreach ($state->steps as $step) {
            $relief = $heard->reliefs[$step->id()] ?? null;
            if ($relief?->what instanceof ReliefAsked && $relief->what->person === $person && true !== $relief->what->taken) {
                $asked[] = [
                    'step' => $step->id(),
                    'title' => $step->planned->step->title,
                    'by' => $open->kitchen->people[$relief->by ?? '']->name ?? '',
                ];
            }
        }

        return $asked;
    }

    /**
     * @param array{StepNow, PlannedStep} $of as it is, and where it stands in the plan from here
     *
     * @return Mine
     */
    private function card(OpenFeast $open, Heard $heard, array $of, string $person, ?StopSign $stop): array
    {
        [$step, $at] = $of;
        $signs = static fn (CueKind $kind): array => array_values(
            array_filter($at->step->words->cues, static fn (Cue $c): bool => $kind === $c->kind),
        );
        $tastes = $open->kitchen->rules->tasting->isAllowed(self::awaitsOffering($open, $heard));
        $done = array_values(array_filter($signs(CueKind::Done), static fn (Cue $c): bool => $tastes || !$c->tasting));
        $isClosed = self::CLOSED_PERCENT === $at->step->work->attention->percent;

        return [
            'step' => $at,
            'id' => $step->id(),
            'state' => $step->progress->state->value,
            'picture' => TaskPicture::of($at->step),
            'left' => $step->left?->likely,
            'endsAt' => $at->end,
            'closed' => $isClosed && StepState::Running === $step->progress->state,
            'closes' => $isClosed,
            'long' => $isClosed || \in_array($at->step->process, self::HAZARDOUS, true),
            'ready' => CardMaker::readyFor($at->dish, $at->step),
            'isReady' => isset($heard->ticked[$step->id().' '.self::READY]),
            'bowls' => self::bowls($step->id(), $at, $heard->ticked),
            'marks' => self::marks($step, $at, $heard->ticked),
            'reliefAsked' => $heard->reliefs[$step->id()] ?? null,
            'othersFree' => self::others($open, $at, $person, $heard),
            'signs' => $done,
            'twin' => \count($done) === \count($signs(CueKind::Done))
                ? []
                : (new TasteTwin($this->larder))->of($at),
            'wrong' => $signs(CueKind::Wrong),
            'way' => $signs(CueKind::OnTheWay),
            'measured' => (new MeasuredSigns($this->larder, $open->kitchen))->of($at),
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

    private static function awaitsOffering(OpenFeast $open, Heard $heard): bool
    {
        foreach ($open->feast->moments as $moment) {
            if (MomentKind::Offering === $moment->kind && !isset($heard->offered[$moment->id])) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<string, true> $ticked
     *
     * @return list<array{bowl: MeasuredBowl, number: int|null, parts: int, next: int, isIn: bool}>
     */
    private static function bowls(string $id, PlannedStep $at, array $ticked): array
    {
        $rows = [];
        foreach ($at->bowls as $bowl) {
            $number = BowlNumber::of($at, $bowl);
            $parts = $bowl->reserve ? 1 : $bowl->parts();
            $next = 1;
            while ($next <= $parts && isset($ticked["$id part-$number-$next"])) {
                ++$next;
            }
            $rows[] = [
                'bowl' => $bowl,
                'number' => $number,
                'parts' => $parts,
                'next' => $next,
                'isIn' => isset($ticked[$id.($bowl->reserve ? ' reserve-' : ' bowl-').$number]) || ($parts > 1 && $next > $parts),
            ];
        }

        return $rows;
    }

    /**
     * @param array<string, true> $ticked
     *
     * @return list<array{number: int, minute: int|null, at: \DateTimeImmutable|null, sign: string, do: string, isPassed: bool}>
     */
    private static function marks(StepNow $step, PlannedStep $at, array $ticked): array
    {
        $id = $step->id();

        return array_map(static fn (int $k, Mark $mark): array => [
            'number' => $k + 1,
            'minute' => $mark->minute,
            'at' => null === $mark->minute ? null : $at->at($mark->minute),
            'sign' => $mark->sign,
            'do' => $mark->do,
            'isPassed' => isset($ticked["$id mark-".($k + 1)]),
        ], array_keys($at->step->words->marks), $at->step->words->marks);
    }

    /** @return array<string, string> names of those who may take the spoon, by id; nobody where no turns are taken */
    private static function others(OpenFeast $open, PlannedStep $at, string $person, Heard $heard): array
    {
        $others = [];
        foreach (0 === $at->step->work->attention->turnMinutes ? [] : $open->kitchen->people as $other) {
            $isFit = $other->skill->suffices($at->step->work->attention->skill);
            if ($isFit && $other->id !== $person && !isset($heard->away[$other->id])) {
                $others[$other->id] = $other->name;
            }
        }

        return $others;
    }
}
