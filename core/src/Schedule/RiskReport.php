<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** What many tries of a schedule gave. */
final readonly class RiskReport
{
    /**
     * @param array<string, float>  $chances share of the runs in which an activity with a due time met it
     * @param array<string, int>    $earlier by how much earlier everything before it must start for 95 of 100 runs to be in time
     * @param array<string, float>  $blame   share of the runs in which an activity took too long and something late had waited
     *                                       for it; the worst first
     * @param array<string, string> $late    minutes late in each run, two bytes each, by activity with a due time
     */
    public function __construct(
        public int $runs,
        public int $seed,
        public array $chances,
        public array $earlier,
        public array $blame,
        private array $late = [],
    ) {
    }

    /**
     * @param array<string, list<int>> $lateness units late in each run, by activity with a due time
     * @param array<string, float>     $blame    as above
     */
    public static function of(int $runs, int $seed, array $lateness, array $blame = []): self
    {
        $chances = $earlier = $late = [];
        foreach ($lateness as $id => $units) {
            $late[$id] = pack('n*', ...array_map(static fn (int $m): int => min(65_535, $m), $units));
            sort($units);
            $chances[$id] = (float) (\count(array_filter($units, static fn (int $m): bool => 0 === $m)) / $runs);
            $earlier[$id] = $units[min($runs - 1, (int) ceil(Risk::SURE * $runs) - 1)];
        }

        return new self($runs, $seed, $chances, $earlier, $blame, $late);
    }

    /**
     * The share of runs in which all of these are there together.
     *
     * @param array<string, int> $allowed minutes after its own due time at which each is still in time here, by activity
     */
    public function together(array $allowed): float
    {
        $in = array_fill(1, $this->runs, true);
        foreach ($allowed as $id => $minutes) {
            foreach (unpack('n*', $this->late[$id] ?? '') ?: [] as $run => $late) {
                $in[$run] = $in[$run] && $late <= $minutes;
            }
        }

        return \count(array_filter($in)) / $this->runs;
    }

    /** @param string $activity with a due time */
    public function sureness(string $activity): Sureness
    {
        return Sureness::of($this->chances[$activity]);
    }
}
