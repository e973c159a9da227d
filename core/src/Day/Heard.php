<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\MomentChanged;
use FeastLadle\Day\Happening\Over;
use FeastLadle\Day\Happening\PersonCame;
use FeastLadle\Day\Happening\PersonLeft;
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
     */
    private function __construct(
        public ?StopCause $stopped,
        public array $away,
        public array $offered,
        public array $declined,
        public ?\DateTimeImmutable $last,
    ) {
    }

    /** @param list<Event> $events that hold, in order */
    public static function of(array $events): self
    {
        $stopped = $last = null;
        $away = $offered = $declined = [];
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
            }
        }

        return new self($stopped, $away, $offered, $declined, $last);
    }
}
