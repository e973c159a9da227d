<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Exemption;
use FeastLadle\Heat\Flame;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Timing\CoolingTimes;

/** How warm what was heated wet has been, from the minute its first heating ended. */
final readonly class Readings
{
    /** A reading so often, minutes. */
    private const EVERY = 10;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /**
     * @param list<Entering> $enters
     * @param list<Waiting>  $waits  so far
     *
     * @return list<Reading> empty while nothing wet was heated
     */
    public function through(PlannedStep $planned, Contents $in, Contents $gives, array $enters, array $waits): array
    {
        $before = $this->oldest($enters, $waits, $planned);
        $end = new Reading((float) $planned->endMinute, $gives->celsius);
        if (null === $before) {
            $wet = $in->waterGrams($this->larder) > Exemption::DRY_TO * $in->massGrams();

            return $wet && Flame::None !== $planned->step->work->flame && $gives->celsius >= TwoClocks::HOT_CELSIUS ? [$end] : [];
        }
        $readings = [...$before->readings, ...$this->wait($before, $planned, $waits)];
        $readings[] = new Reading((float) $planned->startMinute, $in->celsius);
        if (Flame::None === $planned->step->work->flame) {
            array_push($readings, ...self::between(
                (float) $planned->startMinute,
                $in->celsius,
                (float) $planned->endMinute,
                $gives->celsius,
                (new CoolingTimes($this->kitchen, $this->larder))->around($planned->step),
            ));
        }
        $readings[] = $end;

        return $readings;
    }

    /**
     * @return list<Reading> every ten minutes, both ends left out, on the way from one warmth to another that the law of cooling takes
     */
    public static function between(float $from, float $hot, float $to, float $cold, float $around): array
    {
        $readings = [];
        $ratio = $hot === $around ? 0.0 : ($cold - $around) / ($hot - $around);
        for ($minute = $from + self::EVERY; $minute < $to - 1e-9; $minute += self::EVERY) {
            $part = ($minute - $from) / ($to - $from);
            // Straight where it is no cooling towards what is around.
            $celsius = $ratio > 0 && $ratio <= 1 ? $around + ($hot - $around) * $ratio ** $part : $hot + ($cold - $hot) * $part;
            $readings[] = new Reading($minute, $celsius);
        }

        return $readings;
    }

    /**
     * Whose clock goes on in the mixture: of what is neither dry, sweet nor fat enough that which was longest between hot and cold; of the
     * rest the heaviest.
     *
     * @param list<Entering> $enters
     * @param list<Waiting>  $waits
     */
    private function oldest(array $enters, array $waits, PlannedStep $planned): ?StandingStep
    {
        $oldest = null;
        $most = [-1, -1.0, -1.0];
        foreach ($enters as $entering) {
            if (null === $entering->from || [] === $entering->from->readings) {
                continue;
            }
            $runs = null === Exemption::byItself($entering->what, $this->larder);
            $band = $runs ? Waiting::bandMinutes([...$entering->from->readings, ...$this->wait($entering->from, $planned, $waits)]) : 0.0;
            $rank = [(int) $runs, $band, $entering->what->massGrams()];
            if ($rank > $most) {
                [$oldest, $most] = [$entering->from, $rank];
            }
        }

        return $oldest;
    }

    /**
     * @param list<Waiting> $waits
     *
     * @return list<Reading>
     */
    private function wait(StandingStep $of, PlannedStep $for, array $waits): array
    {
        foreach ($waits as $wait) {
            if ($wait->of === $of && $wait->for === $for) {
                return $wait->readings;
            }
        }

        return [];
    }
}
