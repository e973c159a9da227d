<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\BowlIn;
use FeastLadle\Day\Happening\Happening;
use FeastLadle\Day\Happening\MarkPassed;
use FeastLadle\Day\Happening\MomentChanged;
use FeastLadle\Day\Happening\Over;
use FeastLadle\Day\Happening\PartIn;
use FeastLadle\Day\Happening\PersonCame;
use FeastLadle\Day\Happening\PersonLeft;
use FeastLadle\Day\Happening\ReadyTicked;
use FeastLadle\Day\Happening\ReliefAsked;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\Happening\StopCause;
use FeastLadle\Day\Happening\Stopped;

/** What was said that changes no plan: who is away, what was offered, what nobody wants, and whether all must stop. */
final readonly class Heard
{
    /**
     * @param StopCause|null                    $stopped  an emergency that nobody has said is over
     * @param array<string, \DateTimeImmutable> $away     since when, by person
     * @param array<string, true>               $offered  moments
     * @param array<string, true>               $declined proposals
     * @param \DateTimeImmutable|null           $last     when anything was heard last
     * @param array<string, true>               $ticked   bowls, parts, marks and what stands ready, as "step bowl-2", "step mark-1"
     * @param array<string, Event>              $reliefs  who was asked last to take a spoon, and the answer, by step
     */
    private function __construct(
        public ?StopCause $stopped,
        public array $away,
        public array $offered,
        public array $declined,
        public ?\DateTimeImmutable $last,
        public array $ticked = [],
        public array $reliefs = [],
    ) {
    }

    private static function tick(Happening $what): ?string
    {
        return match (true) {
            $what instanceof BowlIn => $what->step.($what->reserve ? ' reserve-' : ' bowl-').$what->bowl,
            $what instanceof PartIn => "$what->step part-$what->bowl-$what->part",
            $what instanceof MarkPassed => "$what->step mark-$what->mark",
            $what instanceof ReadyTicked => "$what->step $what->what",
            default => null,
        };
    }

    /** @param list<Event> $events that hold, in order */
    public static function of(array $events): self
    {
        $stopped = $last = null;
        $away = $offered = $declined = $ticked = $reliefs = [];
        foreach ($events as $event) {
            $what = $event->what;
            $heard = $event->arrived ?? $event->at;
            $last = max($last ?? $heard, $heard);
            if ($what instanceof Stopped) {
                $stopped = $what->what;
            } elseif ($what instanceof Over) {
                $stopped = null;
            } elseif ($what instanceof PersonLeft) {
                $away[$what->person] = $event->at;
            } elseif ($what instanceof PersonCame) {
                unset($away[$what->person]);
            } elseif ($what instanceof MomentChanged && $what->offered) {
                $offered[$what->moment] = true;
            } elseif ($what instanceof Answered && null !== $what->proposal && !$what->taken) {
                $declined[$what->proposal] = true;
            } elseif ($what instanceof ReliefAsked) {
                $reliefs[$what->step] = $event;
            } elseif ($what instanceof StepStarted || $what instanceof StepDone) {
                unset($reliefs[$what->step]);
            }
            $tick = self::tick($what);
            if (null !== $tick) {
                $ticked[$tick] = true;
            }
        }

        return new self($stopped, $away, $offered, $declined, $last, $ticked, $reliefs);
    }
}
