<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\FeastPlan;
use App\Entity\FeastRecord;
use App\Repository\FeastPlanRepository;
use Doctrine\DBAL\Exception as DatabaseException;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;

/** Keeps the plan of a feast until what it was computed from changes; then computes it anew. */
final readonly class PlanStore
{
    /** A round of looking for a better plan. */
    private const SEARCH_MS = 400;

    public function __construct(
        private FeastPlanRepository $plans,
        private FeastPlanner $planner,
        private PlanFingerprint $fingerprint,
        private PlanCodec $codec,
        private DayPolicy $day,
        private Kept $beside,
        private ClockInterface $clock,
        private LoggerInterface $logger,
    ) {
    }

    /** @param bool $near whether what was planned before should move as little as may be; so it is once cooking has begun */
    public function plan(OpenFeast $open, bool $near = false): Plan
    {
        $kept = $this->plans->of($open->record);
        $fingerprint = $this->fingerprint->of($open);
        if ($kept->getFingerprint() === $fingerprint) {
            try {
                return $this->beside->get(
                    self::key($kept),
                    'plan',
                    fn (): Plan => $this->codec->read($open, $kept->getDocument()),
                );
            } catch (FailedAudit) {
                // The planner has learnt something since: this feast is planned anew.
            }
        }
        $notBefore = $this->day->notBefore($open);
        $former = $near || $this->day->isBegun($open) ? $this->codec->solution($kept->getDocument(), $notBefore) : null;
        $plan = $this->orFormer(
            $open,
            $this->planner->plan($open->feast, $open->kitchen, $notBefore, near: $former),
            $kept->getDocument(),
            $notBefore,
        );
        $this->keep($open, $fingerprint, $plan, $notBefore);

        return $plan;
    }

    /** What was planned before stays where it still holds and is better. */
    private function orFormer(OpenFeast $open, Plan $plan, string $document, ?\DateTimeImmutable $notBefore): Plan
    {
        if ('' === $document || null !== $notBefore || $plan->isToTheMinute || !$this->planner->isShort($open->feast, $plan)) {
            return $plan;
        }
        try {
            return $this->planner->orFormer($open->feast, $open->kitchen, $plan, $this->codec->read($open, $document));
        } catch (FailedAudit) {
            return $plan;
        }
    }

    /**
     * Something that follows from the plan of a feast, computed once for as long as the plan stands.
     *
     * @template T
     *
     * @param \Closure(Plan): T $compute
     *
     * @return T
     */
    public function with(OpenFeast $open, Plan $plan, string $what, \Closure $compute): mixed
    {
        $kept = $this->plans->of($open->record);

        return $kept->getFingerprint() === $this->fingerprint->of($open)
            ? $this->beside->get(self::key($kept), $what, static fn (): mixed => $compute($plan))
            : $compute($plan);
    }

    /**
     * The steps of the plan that is kept, be it the newest or not: what somebody has just done was in the plan they looked at.
     *
     * @param \Closure(): OpenFeast $open
     *
     * @return array<string, true> by step id
     */
    public function stepsOf(FeastRecord $record, \Closure $open): array
    {
        $steps = static fn (Plan $plan): array => array_fill_keys(
            array_map(static fn (PlannedStep $s): string => $s->key->id(), $plan->steps),
            true,
        );
        $kept = $this->plans->of($record);

        return '' === $kept->getDocument()
            ? $steps($this->plan($open()))
            : $this->beside->get(self::key($kept), 'steps', fn (): array => $steps($this->plan($open())));
    }

    /** How a plan that has a schedule comes out, tried a thousand times. */
    public function chances(OpenFeast $open, Plan $plan): RiskReport
    {
        return $this->with(
            $open,
            $plan,
            'chances',
            static fn (Plan $p): RiskReport => Risk::of($p->problem, $p->solution, grace: $p->margins),
        );
    }

    /** How sure each moment is; without a schedule none is. */
    public function moments(OpenFeast $open, Plan $plan): MomentChances
    {
        return MomentChances::of(
            $open->feast,
            $plan,
            SolutionStatus::Feasible === $plan->solution->status && [] !== $plan->steps ? $this->chances($open, $plan) : null,
        );
    }

    private static function key(FeastPlan $kept): string
    {
        return hash('xxh128', $kept->getFingerprint().$kept->getDocument());
    }

    /** Looks a while longer for a better plan; the better one is kept. */
    public function improve(OpenFeast $open, int $seed): Plan
    {
        $plan = $this->plan($open);
        $notBefore = $this->codec->notBefore($this->plans->of($open->record)->getDocument());
        $feast = $plan->isToTheMinute ? $open->feast->atTheMinute() : $open->feast;
        $better = $this->planner->improve($feast, $open->kitchen, $plan, $notBefore, Budget::milliseconds(self::SEARCH_MS), $seed);
        if (null === $better) {
            return $plan;
        }
        $better = $plan->isToTheMinute ? $better->toTheMinute() : $better;
        $this->keep($open, $this->fingerprint->of($open), $better, $notBefore);

        return $better;
    }

    /**
     * The plan for a page.
     *
     * @param bool $atOnce the page was just changed in place: its amounts at once; when and by whom follows with the next answer
     */
    public function shown(OpenFeast $open, bool $atOnce): Plan
    {
        return !$atOnce || $this->isKept($open)
            ? $this->plan($open)
            : Plan::unscheduled($this->planner->quantities($open->feast, $open->kitchen));
    }

    public function isKept(OpenFeast $open): bool
    {
        return $this->plans->of($open->record)->getFingerprint() === $this->fingerprint->of($open);
    }

    /** A plan that can't be kept is shown all the same: a full disk or another writer must not keep a cook from reading. */
    private function keep(OpenFeast $open, string $fingerprint, Plan $plan, ?\DateTimeImmutable $notBefore): void
    {
        try {
            $this->plans->keep($open->record, $fingerprint, $this->codec->write($plan, $notBefore), $this->clock->now());
        } catch (DatabaseException $e) {
            $this->logger->warning('The plan of feast {feast} could not be kept: {why}', [
                'feast' => $open->record->getId(),
                'why' => $e->getMessage(),
            ]);
        }
    }
}
