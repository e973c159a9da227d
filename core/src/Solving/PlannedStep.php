<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Amounts\MeasuredBowl;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Moment;
use FeastLadle\Heat\Flame;
use FeastLadle\Modelling\StepKey;
use FeastLadle\Modelling\TimeAxis;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Placement;

/** A step with its place in the plan. */
final readonly class PlannedStep
{
    /**
     * @param string|null        $burner   burner id
     * @param list<string>       $vessels  vessel ids
     * @param list<string>       $people   person ids
     * @param list<MeasuredBowl> $bowls
     * @param string             $activity its id in the schedule problem; batches are numbered anew for the cook
     * @param Flame              $flame    as high as it is set on this fire for this pot; not always as the recipe says
     * @param bool               $lid      the lid is on until it is hot; its minutes count on it
     * @param Moment|null        $for      the moment whose batches it takes up, where it is done for each of several
     */
    public function __construct(
        public StepKey $key,
        public PlannedDish $dish,
        public Step $step,
        public int $startMinute,
        public int $endMinute,
        public \DateTimeImmutable $start,
        public \DateTimeImmutable $end,
        public int $minMinutes,
        public int $maxMinutes,
        public ?string $burner,
        public array $vessels,
        public array $people,
        public array $bowls,
        public string $activity,
        public ?Moment $for = null,
        public Flame $flame = Flame::None,
        public bool $lid = false,
    ) {
    }

    /** The same step at other minutes. */
    public function placed(Placement $at, TimeAxis $axis): self
    {
        return $this->with($this->dish, $at->start, $at->end, $axis->instant($at->start), $axis->instant($at->end));
    }

    /** The same step with what really stands in its pots. */
    public function cookedAs(PlannedDish $dish): self
    {
        return $this->with($dish, $this->startMinute, $this->endMinute, $this->start, $this->end);
    }

    private function with(PlannedDish $dish, int $startMinute, int $endMinute, \DateTimeImmutable $start, \DateTimeImmutable $end): self
    {
        return new self(
            $this->key,
            $dish,
            $this->step,
            $startMinute,
            $endMinute,
            $start,
            $end,
            $this->minMinutes,
            $this->maxMinutes,
            $this->burner,
            $this->vessels,
            $this->people,
            $this->bowls,
            $this->activity,
            $this->for,
            $this->flame,
            $this->lid,
        );
    }

    public function minutes(): int
    {
        return $this->endMinute - $this->startMinute;
    }

    /**
     * When a minute inside the step comes: by the recipe's own minutes, or in proportion where the step takes longer here; null where a law
     * alone tells how long it takes, so that the recipe's minute is one of another pot.
     */
    public function at(int $minute): ?\DateTimeImmutable
    {
        $time = $this->step->work->time;
        $grows = \in_array($time->growth, [Growth::Mass, Growth::Roast], true) && $time->likelyMinutes > 0;
        if (!$grows && $time->growth->facts()->isLaw) {
            return null;
        }
        $after = min($this->minutes(), $grows ? (int) round(($minute * $this->minutes()) / $time->likelyMinutes) : $minute);

        return $this->start->modify('+'.$after.' minutes');
    }

    /** Days from a date, in the feast's own zone: −1 is the day before. */
    public function dayFrom(string $date, \DateTimeZone $zone): int
    {
        $day = new \DateTimeImmutable($this->start->setTimezone($zone)->format('Y-m-d').' 12:00', new \DateTimeZone('UTC'));

        return (int) round(
            ($day->getTimestamp() - (new \DateTimeImmutable($date.' 12:00', new \DateTimeZone('UTC')))->getTimestamp()) / 86400,
        );
    }
}
