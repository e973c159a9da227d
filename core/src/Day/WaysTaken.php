<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Slips\Scene;
use FeastLadle\Day\Slips\SlipAnswer;
use FeastLadle\Day\Slips\Slips;
use FeastLadle\Day\Slips\Way;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;

/** Slips as they were said, the ways that were taken, and how much longer their steps take for it. */
final readonly class WaysTaken
{
    private const BETWEEN = ':';

    /**
     * @param array<string, array{Event, PlannedStep, SlipAnswer}>  $slips  by event id
     * @param array<string, array{string, Way, \DateTimeImmutable}> $taken  step id, way, and since when, by slip
     * @param ReallyIn                                              $really what stands in the pots after all that
     */
    private function __construct(public array $slips, public array $taken, public ReallyIn $really)
    {
    }

    /** @param list<Event> $events in order */
    public static function of(Feast $feast, Plan $plan, Kitchen $kitchen, Larder $larder, array $events): self
    {
        $really = new ReallyIn($feast, $plan, $kitchen, $larder);
        $planned = $slips = $taken = [];
        foreach ($plan->steps as $step) {
            $planned[$step->key->id()] = $step;
        }
        foreach ($events as $event) {
            $what = $event->what;
            if ($what instanceof Slipped && isset($planned[$what->step])) {
                // The slip itself is told apart from what stands in the pot.
                $step = $really->at($planned[$what->step]);
                $answer = self::answer($what, $step, $kitchen, $larder, $event->at, self::spent($plan, $step, $event->at));
                $slips[$event->id] = [$event, $step, $answer];
            }
            $really->hear($event);
            if (!$what instanceof Answered || null === $what->way) {
                continue;
            }
            [$slip, $id] = explode(self::BETWEEN, $what->way, 2) + [1 => ''];
            foreach ($slips[$slip][2]->ways ?? [] as $way) {
                if ($way->id === $id && $what->taken) {
                    [$of, $step] = $slips[$slip];
                    $taken[$slip] = [$step->key->id(), $way, $event->at];
                    if ($of->what instanceof Slipped) {
                        $really->heal($of, $of->what, $step, $way);
                    }
                }
            }
        }

        return new self($slips, $taken, $really);
    }

    /** @param int $spent minutes of the batch that are gone */
    public static function answer(
        Slipped $slip,
        PlannedStep $step,
        Kitchen $kitchen,
        Larder $larder,
        \DateTimeImmutable $at,
        int $spent,
    ): SlipAnswer {
        $burner = $kitchen->burners[$step->burner ?? ''] ?? null;
        $kw = null === $burner ? 0.0 : $burner->netKw($step->flame);

        return Slips::answer(new Scene($slip, $step->dish, $step->step, $kitchen, $larder, $at, $kw, $spent));
    }

    /** Minutes of the batch that are gone, nights and other waits counted. */
    private static function spent(Plan $plan, PlannedStep $step, \DateTimeImmutable $at): int
    {
        $first = $step->start;
        foreach ($plan->steps as $other) {
            $isOfIt = $other->key->dish === $step->key->dish && $other->key->round->id() === $step->key->round->id();
            $first = $isOfIt ? min($first, $other->start) : $first;
        }

        // What was cooked before its time took its minutes all the same.
        $until = max($at->getTimestamp(), $step->start->getTimestamp());

        return (int) round(($until - $first->getTimestamp()) / 60);
    }

    /** @return array<string, int> minutes that a way adds and that are not over, by step id */
    public function delays(\DateTimeImmutable $now): array
    {
        $delays = [];
        foreach ($this->taken as [$step, $way, $since]) {
            $left = $way->minutes - (int) floor(($now->getTimestamp() - $since->getTimestamp()) / 60);
            if ($left > 0) {
                $delays[$step] = ($delays[$step] ?? 0) + $left;
            }
        }

        return $delays;
    }

    /** @return array<string, array{Event, PlannedStep, SlipAnswer}> that nobody has answered */
    public function open(): array
    {
        return array_diff_key($this->slips, $this->taken);
    }

    public static function id(Event $slip, Way $way): string
    {
        return $slip->id.self::BETWEEN.$way->id;
    }
}
