<?php

declare(strict_types=1);

namespace FeastLadle\Keeping;

/**
 * How long food has been neither hot nor cold. Minutes between 5 and 60 °C add up: 120 warns, 240 stops; heating it again gives none back.
 * A cooling that makes 60 → 21 °C within two hours and 21 → 5 °C within four more does not count; one that fails a leg does.
 * Usual levels of food
 * codes, as data: the local code comes first.
 */
final readonly class TwoClocks
{
    public const HOT_CELSIUS = 60.0;
    public const COLD_CELSIUS = 5.0;
    public const WARN_MINUTES = 120.0;
    public const STOP_MINUTES = 240.0;

    public function __construct(
        private float $hotCelsius = self::HOT_CELSIUS,
        private float $coldCelsius = self::COLD_CELSIUS,
        private float $middleCelsius = 21.0,
        public float $warnMinutes = self::WARN_MINUTES,
        public float $stopMinutes = self::STOP_MINUTES,
        private float $firstLegMinutes = 120.0,
        private float $secondLegMinutes = 240.0,
    ) {
    }

    /**
     * Minutes that count, for readings taken one after another; straight lines between them.
     *
     * @param non-empty-list<array{minute: float, celsius: float}> $readings by time
     */
    public function countedMinutes(array $readings): float
    {
        $counted = 0.0;
        $visit = [];
        foreach ($this->withCrossings($readings) as $reading) {
            $visit[] = $reading;
            if (!$this->isBetween($reading['celsius'])) {
                $counted += $this->ofVisit($visit);
                $visit = [$reading];
            }
        }

        return $counted + $this->ofVisit($visit);
    }

    private function isBetween(float $celsius): bool
    {
        return $celsius < $this->hotCelsius && $celsius > $this->coldCelsius;
    }

    /** @param list<array{minute: float, celsius: float}> $visit from the edge of the dangerous band to the edge, or to now */
    private function ofVisit(array $visit): float
    {
        if (\count($visit) < 2) {
            return 0.0;
        }
        $first = $visit[0];
        $last = $visit[\count($visit) - 1];
        // Of two readings both hot or both cold nothing lies between.
        if (2 === \count($visit) && !$this->isBetween(($first['celsius'] + $last['celsius']) / 2)) {
            return 0.0;
        }
        if ($first['celsius'] >= $this->hotCelsius && $last['celsius'] <= $this->coldCelsius) {
            foreach ($visit as $reading) {
                if ($reading['celsius'] <= $this->middleCelsius) {
                    if (
                        $reading['minute'] - $first['minute'] <= $this->firstLegMinutes
                        && $last['minute'] - $reading['minute'] <= $this->secondLegMinutes
                    ) {
                        return 0.0;
                    }
                    break;
                }
            }
        }

        return $last['minute'] - $first['minute'];
    }

    /**
     * @param non-empty-list<array{minute: float, celsius: float}> $readings
     *
     * @return list<array{minute: float, celsius: float}> with the minutes at which a level is crossed put in
     */
    private function withCrossings(array $readings): array
    {
        $all = [$readings[0]];
        foreach (\array_slice($readings, 1) as $i => $next) {
            $former = $readings[$i];
            $levels = [$this->hotCelsius, $this->middleCelsius, $this->coldCelsius];
            if ($next['celsius'] > $former['celsius']) {
                $levels = array_reverse($levels);
            }
            foreach ($levels as $level) {
                $share =
                    $next['celsius'] === $former['celsius']
                        ? -1.0
                        : ($level - $former['celsius']) / ($next['celsius'] - $former['celsius']);
                if ($share > 1e-9 && $share < 1 - 1e-9) {
                    $all[] = ['minute' => $former['minute'] + $share * ($next['minute'] - $former['minute']), 'celsius' => $level];
                }
            }
            $all[] = $next;
        }

        return $all;
    }
}
