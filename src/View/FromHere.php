<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\OpenFeast;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Event;
use FeastLadle\Day\Fold;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;

/** How the day stands by what was ticked so far: the moments from here, and what moves because of it. */
final readonly class FromHere
{
    /** From so long before its first step a feast is being cooked, and until so long after its last moment. */
    private const BEFORE = '-60 minutes';
    private const AFTER = '+3 hours';

    public function __construct(
        private CookingDay $day,
        private ClockInterface $clock,
        private Larder $larder,
        private LoggerInterface $logger,
    ) {
    }

    /** @return DayState|null null while nothing was ticked, and before and after the day */
    public function of(OpenFeast $open, Plan $plan): ?DayState
    {
        $now = $this->clock->now();
        if (
            SolutionStatus::Feasible !== $plan->solution->status
            || [] === $plan->steps
            || [] === $this->day->done($open->record)
            || $now < $plan->steps[0]->start->modify(self::BEFORE)
            || $now > $open->feast->lastMoment()->at->modify(self::AFTER)
        ) {
            return null;
        }

        $log = $this->day->log($open->record)->with($this->begun($open, $plan, $now));
        try {
            return (new Fold($open->feast, $open->kitchen, $this->larder, $plan))->state($log, $now);
        } catch (FailedAudit $e) {
            // The board itself must be there for whoever cooks.
            $this->logger->error('The day of feast {feast} could not be told: {why}', ['feast' => $open->id(), 'why' => $e->getMessage()]);

            return null;
        }
    }

    /**
     * Only what is done is ticked here, so what should have begun and could is taken to run since then.
     *
     * @return list<Event>
     */
    private function begun(OpenFeast $open, Plan $plan, \DateTimeImmutable $now): array
    {
        $done = $this->day->done($open->record);
        $ids = [];
        foreach ($plan->steps as $step) {
            $ids[$step->activity] = $step->key->id();
        }
        $begun = [];
        foreach ($plan->steps as $step) {
            $from = $step->start;
            foreach ($plan->problem->links as $link) {
                if ($link->to === $step->activity && isset($ids[$link->from]) && $link->type->fromEnd() && !$link->type->toEnd()) {
                    $from = max($from, $done[$ids[$link->from]] ?? $now->modify('+1 day'));
                }
            }
            if (!isset($done[$step->key->id()]) && $from < $now) {
                $id = 'begun-'.$step->key->id();
                $begun[] = new Event($id, $from, null, null, null, true, new StepStarted($step->key->id()), $id);
            }
        }

        return $begun;
    }
}
