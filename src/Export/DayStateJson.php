<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Day\Contradiction;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Event;
use FeastLadle\Day\HoldNow;
use FeastLadle\Day\Instants;
use FeastLadle\Day\MomentNow;
use FeastLadle\Day\PortionNow;
use FeastLadle\Day\Proposal;
use FeastLadle\Day\ProposedMove;
use FeastLadle\Day\SlipNow;
use FeastLadle\Day\Slips\Added;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepProgress;
use FeastLadle\Day\VesselNow;
use FeastLadle\Day\WayNow;
use FeastLadle\Feast\Feast;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Standing\HoldTask;
use FeastLadle\Words\Sentence;

/** The cooking day in one minute, as a document: docs/formats/day-log.md. */
final readonly class DayStateJson
{
    private const VERSION = 1;

    public function __construct(private Larder $larder)
    {
    }

    public function write(Feast $feast, DayState $state, string $fingerprint): string
    {
        $zone = $feast->timeZone;
        $instant = static fn (?\DateTimeImmutable $at): ?string => null === $at ? null : Instants::text($at, $zone);
        $names = [];
        foreach ($state->steps as $step) {
            $names[$step->planned->activity] = $step->id();
        }

        return json_encode(
            [
                'format' => 'feast-ladle/day-state',
                'version' => self::VERSION,
                'at' => $instant($state->at),
                'steps' => array_map(
                    fn (array $placed): array => $this->step(...$placed, instant: $instant),
                    $state->placed(),
                ),
                'vessels' => array_map($this->vessel(...), $state->vessels),
                'holds' => array_map(fn (HoldNow $h): array => $this->hold($h, $names, $state, $instant), $state->holds),
                'moments' => array_map(static fn (MomentNow $m): array => [
                    'moment' => $m->chance->moment->id,
                    'chance' => null === $m->chance->chance ? null : round($m->chance->chance, 3),
                    'lateMinutes' => $m->lateMinutes,
                    'risk' => $m->risk,
                ], $state->moments),
                'portions' => array_values(array_map(static fn (PortionNow $p): array => [
                    'dish' => $p->dish,
                    'unit' => $p->countsPieces ? 'pieces' : 'grams',
                    'planned' => round($p->planned, 2),
                    'each' => round($p->each, 2),
                    'share' => round($p->share(), 3),
                    'lastLadle' => null === $p->ladle ? null : [
                        'moment' => $p->ladle->moment,
                        'toCome' => $p->ladle->toCome,
                        'left' => round($p->ladle->left, 1),
                        'eachSoFar' => round($p->ladle->each, 2),
                        'eachFromNow' => round($p->ladle->eachFromNow, 2),
                        'chance' => round($p->ladle->chance, 3),
                        'spareBy' => $instant($p->ladle->spareBy),
                    ],
                ], $state->portions)),
                'contradictions' => array_map(static fn (Contradiction $c): array => [
                    'events' => [$c->first->id, $c->counts->id],
                    'counts' => $c->counts->id,
                ], $state->contradictions),
                'proposal' => null === $state->proposal ? null : $this->proposal($state->proposal, $names, $instant),
                'ways' => array_merge(...array_map(fn (SlipNow $s): array => $this->ways($s, $instant), $state->slips)),
                'noWayBack' => array_map(static fn (SlipNow $s): array => [
                    'for' => $s->event->id,
                    'why' => $s->answer->noWayBack?->text(),
                    'next' => ($s->ways[0] ?? null)?->way->does->text(),
                ], array_values(array_filter($state->slips, static fn (SlipNow $s): bool => null !== $s->answer->noWayBack))),
                'jobs' => array_map(static fn (string $activity, StepProgress $p): array => [
                    'step' => 'job/'.substr((string) strrchr($activity, ':'), 1),
                    'state' => $p->state->value,
                    'started' => $instant($p->started),
                    'ended' => $instant($p->ended),
                ], array_keys($state->jobs), array_values($state->jobs)),
                'withoutStep' => array_map(static fn (Event $e): string => $e->id, $state->withoutStep),
                'stuck' => $state->stuck?->text(),
                'fingerprint' => $fingerprint,
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    /**
     * @param PlannedStep                                  $at      in the plan from here
     * @param \Closure(?\DateTimeImmutable): (string|null) $instant
     *
     * @return array<string, mixed>
     */
    private function step(StepNow $step, PlannedStep $at, \Closure $instant): array
    {
        $isOver = $step->progress->state->isOver();
        $left = $step->left;

        return [
            'step' => $step->id(),
            'state' => $step->progress->state->value,
            'started' => $instant($step->progress->started),
            'ended' => $instant($step->progress->ended),
            'minutesLeft' => match (true) {
                $isOver => null,
                null === $left => [$at->minMinutes, $at->minutes(), $at->maxMinutes],
                default => [$left->least, $left->likely, $left->most],
            },
            'person' => $at->people,
            'fire' => $at->burner,
            'start' => $instant($at->start),
            'end' => $instant($at->end),
        ];
    }

    /**
     * @param \Closure(?\DateTimeImmutable): (string|null) $instant
     *
     * @return list<array<string, mixed>>
     */
    private function ways(SlipNow $slip, \Closure $instant): array
    {
        $told = static function (Sentence ...$sentences): ?string {
            return [] === $sentences ? null : implode(' ', array_map(static fn (Sentence $s): string => $s->text(), $sentences));
        };

        return array_map(static fn (WayNow $w): array => [
            'id' => $w->id,
            'for' => $slip->event->id,
            'kind' => $w->way->kind->value,
            'hazard' => $told(...$slip->answer->first),
            'changes' => $told(...$slip->answer->changes),
            'does' => trim($w->way->does->text().' '.$w->way->asWritten),
            'adds' => array_map(static fn (Added $a): array => [
                'ingredient' => $a->thing->id,
                'grams' => round($a->grams, 1),
                'least' => round($a->least, 1),
                'most' => round($a->most, 1),
            ], $w->way->adds),
            'minutes' => $w->way->minutes,
            'ready' => $instant($w->ready),
            'loses' => $w->way->loses?->text(),
            'planned' => $w->isPlanned,
        ], $slip->ways);
    }

    /** @return array<string, mixed> */
    private function vessel(VesselNow $vessel): array
    {
        $contents = $vessel->contents;
        $ml = $contents->volumeMl($this->larder);

        return [
            'vessel' => $vessel->vessel->id,
            'holds' => $vessel->holds,
            'grams' => round($contents->massGrams()),
            'millilitres' => round($ml),
            'celsius' => round($contents->celsius, 1),
            'depthMm' => round($vessel->vessel->shape->depthMm(min($ml, $vessel->vessel->shape->brimfulMl())), 1),
            'waterGrams' => round($contents->waterGrams($this->larder)),
            'sugarGrams' => round($contents->sugarGrams($this->larder)),
            'fatGrams' => round($contents->fatGrams($this->larder)),
            'where' => $vessel->where,
            'flame' => $vessel->flame,
            'lid' => $vessel->lid,
        ];
    }

    /**
     * @param array<string, string>                        $names   step ids by activity
     * @param \Closure(?\DateTimeImmutable): (string|null) $instant
     *
     * @return array<string, mixed>
     */
    private function hold(HoldNow $hold, array $names, DayState $state, \Closure $instant): array
    {
        $held = $hold->held;
        $origin = $state->plan->origin;
        $batch = explode('/', $names[$held->last->planned->activity] ?? '//')[1];

        return [
            'dish' => $held->last->planned->key->dish,
            'batch' => $batch,
            'where' => $held->fire ?? $held->place->value,
            'celsius' => round($hold->celsius, 1),
            'bandMinutes' => round($hold->bandMinutes),
            'until' => $instant($hold->until),
            'do' => array_map(static fn (HoldTask $t): array => [
                'at' => $instant($origin->modify('+'.(int) round(60 * $t->minute).' seconds')),
                'what' => $t->kind->value,
                'ingredient' => $t->ingredient,
                'grams' => null === $t->grams ? null : round($t->grams, 1),
            ], $hold->tasks),
        ];
    }

    /**
     * @param array<string, string>                        $names   step ids by activity
     * @param \Closure(?\DateTimeImmutable): (string|null) $instant
     *
     * @return array<string, mixed>
     */
    private function proposal(Proposal $proposal, array $names, \Closure $instant): array
    {
        return [
            'id' => $proposal->id,
            'because' => $proposal->because->text(),
            'costs' => $proposal->costs->text(),
            'byItself' => $proposal->byItself,
            'waits' => $proposal->waits,
            'moves' => array_map(static fn (ProposedMove $m): array => [
                'step' => $names[$m->to->activity],
                'from' => $instant($m->from->start),
                'to' => $instant($m->to->start),
                'person' => $m->to->people,
                'fire' => $m->to->burner,
            ], $proposal->moves),
        ];
    }
}
