<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayState;
use FeastLadle\Day\Fold;
use FeastLadle\Day\LogReader;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\VesselNow;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;

/** The day of the home feast, said event by event. */
trait HomeDay
{
    private static ?Plan $plan = null;

    private static function plan(): Plan
    {
        return self::$plan ??= (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());
    }

    private static function step(string $id): PlannedStep
    {
        foreach (self::plan()->steps as $step) {
            if ($step->key->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }

    private static function now(DayState $state, string $id): StepNow
    {
        foreach ($state->steps as $step) {
            if ($step->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }

    private static function vessel(DayState $state, string $id): VesselNow
    {
        foreach ($state->vessels as $vessel) {
            if ($vessel->vessel->id === $id) {
                return $vessel;
            }
        }
        self::fail("Nothing stands in $id.");
    }

    private function asPlanned(string $time): DayState
    {
        return $this->state([], $time, $this->saidAsPlanned($time));
    }

    /** @return list<array{string, string, array<string, mixed>}> all that was to begin and end until then */
    private function saidAsPlanned(string $time): array
    {
        $said = [];
        foreach (self::plan()->steps as $step) {
            foreach (['started' => $step->start, 'done' => $step->end] as $kind => $at) {
                if ($at->format('Y-m-d H:i') <= '2031-11-15 '.$time) {
                    $said[] = [$at->format('H:i'), $kind, ['step' => $step->key->id()]];
                }
            }
        }

        return $said;
    }

    /**
     * @param array<int, array{string, string, array<string, mixed>}> $said   time, kind, and what it carries
     * @param list<array{string, string, array<string, mixed>}>       $before
     */
    private function state(array $said, string $time, array $before = []): DayState
    {
        $events = [];
        foreach (['e' => $said, 'b' => $before] as $prefix => $list) {
            foreach ($list as $i => [$at, $kind, $rest]) {
                $events[] = ['id' => $prefix.$i, 'at' => "2031-11-15T$at:00+05:30", 'by' => 'asha', 'kind' => $kind] + $rest;
            }
        }
        $document = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => $events];
        $log = $this->reader()->read(json_encode($document, \JSON_THROW_ON_ERROR));

        return (new Fold(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), self::plan()))->state(
            $log,
            new \DateTimeImmutable("2031-11-15T$time:00+05:30"),
        );
    }

    private function reader(): LogReader
    {
        return new LogReader(Shipped::feast(), Shipped::kitchen(), Shipped::larder());
    }
}
