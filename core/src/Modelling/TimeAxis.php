<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Feast\Feast;

/**
 * The minutes of a schedule problem and the instants they stand for. Counted in seconds since the epoch, so a clock change
 * shifts nothing.
 */
final readonly class TimeAxis
{
    /** How long after the last moment the plan may run, for feasts that can't be in time. */
    private const OVERRUN_MINUTES = 720;

    /** @param \DateTimeImmutable $origin minute 0, in the feast's own zone */
    private function __construct(public \DateTimeImmutable $origin, public int $horizonEnd)
    {
    }

    /**
     * From the first shift, or the day before the first moment.
     *
     * @param \DateTimeImmutable|null $notBefore nothing may start earlier, when the day has begun
     */
    public static function of(Feast $feast, ?\DateTimeImmutable $notBefore): self
    {
        $start = $feast->firstMoment()->at->modify('-1 day');
        foreach ($feast->shifts as $shift) {
            $start = min($start, $shift->from);
        }
        if (null !== $notBefore && $notBefore > $start) {
            $start = $notBefore;
        }
        $start = $start->setTimezone($feast->timeZone);
        $origin = $start->setTimestamp(60 * (int) ceil($start->getTimestamp() / 60));
        $last = intdiv($feast->lastMoment()->at->getTimestamp() - $origin->getTimestamp(), 60);

        return new self($origin, max(1, $last) + self::OVERRUN_MINUTES);
    }

    public function instant(int $minute): \DateTimeImmutable
    {
        return $this->origin->setTimestamp($this->origin->getTimestamp() + 60 * $minute);
    }

    /** The same for what has happened: what was before all counted minutes was over when they began. */
    public function minutePassed(\DateTimeImmutable $instant): int
    {
        return max(0, $this->minute($instant));
    }

    public function minute(\DateTimeImmutable $instant): int
    {
        return intdiv($instant->getTimestamp() - $this->origin->getTimestamp(), 60);
    }
}
