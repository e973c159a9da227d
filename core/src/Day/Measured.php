<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\VesselRead;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Solving\PlannedStep;

/** What the last reading in a step's vessel says of the minutes that are left: by how far it has come in the minutes until then. */
final readonly class Measured
{
    /** Before so much of the way a reading says more of the thermometer than of the fire. */
    private const LEAST_WAY = 0.1;

    /** A law is known to about a fifth, also when it was measured. */
    private const LEAST = 0.8;
    private const MOST = 1.2;

    public function __construct(private Larder $larder, private Kitchen $kitchen)
    {
    }

    /** @param list<Event> $events in order */
    public function left(PlannedStep $step, StepProgress $progress, array $events, \DateTimeImmutable $now): ?Remaining
    {
        $left = null;
        foreach ($events as $event) {
            if (
                $event->what instanceof VesselRead
                && null !== $progress->started
                && $event->at >= $progress->started
                && \in_array($event->what->vessel, $step->vessels, true)
            ) {
                $way = $this->way($step, $event->what);
                $gone = ($event->at->getTimestamp() - $progress->started->getTimestamp()) / 60;
                $left = null === $way || $way < self::LEAST_WAY || $gone <= 0 ? $left : [$way, $gone, $event->at];
            }
        }
        if (null === $left) {
            return null;
        }
        [$way, $gone, $at] = $left;
        $since = ($now->getTimestamp() - $at->getTimestamp()) / 60;
        $rest = ($gone * max(0.0, 1 - $way)) / $way - $since;

        return Remaining::of(self::LEAST * $rest, $rest, self::MOST * $rest);
    }

    /** The share of its way that a step has come by what was read; null where that says nothing of it. */
    private function way(PlannedStep $step, VesselRead $read): ?float
    {
        $flow = $step->dish->batchPlan->ledger->flow($step->step->id);
        $growth = $step->step->work->time->growth;
        if (Growth::WarmUp === $growth && null !== $read->celsius) {
            $cold = $flow->taken->celsius;
            $hot = $flow->warmsTo($this->kitchen->climate->boilingCelsius());

            return $hot > $cold ? min(1.0, ($read->celsius - $cold) / ($hot - $cold)) : null;
        }
        $isTold = Growth::BoilOff === $growth && $flow->waterOff > 0 && (null !== $read->grams || 1 === \count($step->vessels));
        $grams = $isTold ? $read->contentsGrams($this->kitchen->vessels[$read->vessel], $flow->taken, $this->larder) : null;

        return null === $grams ? null : min(1.0, ($flow->taken->massGrams() - $grams) / $flow->waterOff);
    }
}
