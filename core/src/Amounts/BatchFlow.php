<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Recipe\Step;

/**
 * How often each step of a dish is done: once for all, once for each batch, or, where something done once takes up batches
 * that are wanted at several moments, once for each of these.
 */
final readonly class BatchFlow
{
    /**
     * @param non-empty-list<Wave> $waves
     * @param array<string, true>  $joins steps done once that take up batches, directly or through others
     */
    private function __construct(private PlannedDish $planned, public array $waves, private array $joins)
    {
    }

    public static function of(Feast $feast, PlannedDish $planned): self
    {
        $joins = [];
        $recipe = $planned->dish->recipe;
        foreach ($recipe->steps as $step) {
            foreach ($step->work->once ? $step->sources() : [] as $source) {
                if (!$recipe->step($source)->work->once || isset($joins[$source])) {
                    $joins[$step->id] = true;
                }
            }
        }
        $waves = Waves::of($feast, $planned);
        foreach ($planned->batchPlan->pots as $choice) {
            $joined = array_filter($choice->run->flows, static fn ($f): bool => isset($joins[$f->step->id]));
            if ($choice->run->isOnce() && [] !== $joined && \count($joined) < \count($choice->run->flows)) {
                // A pot that is filled once can't be emptied for each wave.
                $waves = [new Wave($waves[0]->moment, end($waves)->until, range(1, $planned->batchPlan->batches))];
            }
        }

        return new self($planned, $waves, $joins);
    }

    /** @return list<Round> */
    public function rounds(Step $step): array
    {
        return match (true) {
            !$step->work->once => array_map(Round::ofBatch(...), range(1, $this->planned->batchPlan->batches)),
            isset($this->joins[$step->id]) && \count($this->waves) > 1 => array_map(Round::ofWave(...), range(1, \count($this->waves))),
            default => [Round::once()],
        };
    }

    /** @return list<Round> */
    public function roundsOfRun(VesselRun $run): array
    {
        return $this->rounds($run->flows[0]->step);
    }

    /** @return list<Round> the rounds of a source that a round of a step takes from */
    public function sources(Step $source, Step $step, Round $round): array
    {
        $rounds = $this->rounds($source);

        return match (true) {
            $source->work->once === $step->work->once && $round->isAmong($rounds) => [$round],
            null !== $round->wave && !$source->work->once => array_map(Round::ofBatch(...), $this->wave($round)->batches),
            default => $rounds,
        };
    }

    /** @return list<Round> the rounds of a step that take from a round of a source */
    public function takers(Step $source, Round $round, Step $step): array
    {
        return array_values(
            array_filter($this->rounds($step), fn (Round $r): bool => $round->isAmong($this->sources($source, $step, $r))),
        );
    }

    public function wave(Round $round): Wave
    {
        if (null !== $round->wave) {
            return $this->waves[$round->wave - 1];
        }
        foreach ($this->waves as $wave) {
            if (\in_array($round->batch, $wave->batches, true)) {
                return $wave;
            }
        }

        return $this->waves[0];
    }

    /** How much of all batches a round of a step has to do with, from 0 to 1; 1 for a batch, and for what is done once. */
    public function share(Round $round): float
    {
        return null === $round->wave ? 1.0 : \count($this->wave($round)->batches) / $this->planned->batchPlan->batches;
    }
}
