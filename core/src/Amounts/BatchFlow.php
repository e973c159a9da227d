<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Flow\VesselRun;
use FeastLadle\Recipe\Step;

/**
 * How often each step of a dish is done: once for all, once for each batch, or, where something done once takes up batches
 * that are wanted at several moments, once for each of these. A place is 0 for once, the number of a batch, or minus the
 * number of a wave.
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

    /** @return list<int> */
    public function places(Step $step): array
    {
        return match (true) {
            !$step->work->once => range(1, $this->planned->batchPlan->batches),
            isset($this->joins[$step->id]) && \count($this->waves) > 1 => range(-1, -\count($this->waves)),
            default => [0],
        };
    }

    /** @return list<int> */
    public function placesOfRun(VesselRun $run): array
    {
        return $this->places($run->flows[0]->step);
    }

    /** @return list<int> the places of a source that a step at a place takes from */
    public function sources(Step $source, Step $step, int $place): array
    {
        $places = $this->places($source);

        return match (true) {
            $source->work->once === $step->work->once && \in_array($place, $places, true) => [$place],
            $place < 0 && !$source->work->once => $this->waves[-$place - 1]->batches,
            default => $places,
        };
    }

    /** @return list<int> the places of a step that take from a source at a place */
    public function takers(Step $source, int $place, Step $step): array
    {
        return array_values(
            array_filter($this->places($step), fn (int $p): bool => \in_array($place, $this->sources($source, $step, $p), true)),
        );
    }

    public function wave(int $place): Wave
    {
        if ($place < 0) {
            return $this->waves[-$place - 1];
        }
        foreach ($this->waves as $wave) {
            if (\in_array($place, $wave->batches, true)) {
                return $wave;
            }
        }

        return $this->waves[0];
    }

    /** How much of all batches a step at a place has to do with, from 0 to 1; 1 for a batch, and for what is done once. */
    public function share(int $place): float
    {
        return $place < 0 ? \count($this->waves[-$place - 1]->batches) / $this->planned->batchPlan->batches : 1.0;
    }
}
