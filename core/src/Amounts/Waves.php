<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Feast\Feast;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;

/** Which batches of a dish are wanted when: staged sittings call for them one after the other. */
final class Waves
{
    private const LITTLE = 1e-6;

    /** So many batches more than need be are made, if then each sitting has its own. */
    private const MORE_BATCHES = 5;

    /**
     * A batch is wanted at the first moment that those before it do not cover.
     *
     * @return non-empty-list<Wave> by time
     */
    public static function of(Feast $feast, PlannedDish $planned): array
    {
        $calls = array_values(array_filter(DemandCurve::of($feast, $planned), static fn (array $row): bool => $row['now'] > self::LITTLE));
        $batches = $planned->batchPlan->batches;
        if ($planned->dish->isBase || [] === $calls) {
            return [new Wave($feast->firstMoment(), $feast->lastMoment()->at, range(1, $batches))];
        }
        $waves = [];
        foreach (self::split(array_column($calls, 'soFar'), $batches) as [$first, $last, $of]) {
            $waves[] = new Wave($calls[$first]['of'], $calls[$last]['at'], $of);
        }

        // One wave lasts until the last who really eat of it, not until the last moment of the feast.
        return \count($waves) < 2 ? [new Wave($calls[0]['of'], end($calls)['at'], range(1, $batches))] : $waves;
    }

    /**
     * The fewest batches, or a few more, that let a dish which does not keep so long be fresh for all who eat of it.
     *
     * @param list<array{at: \DateTimeImmutable, soFar: float}> $calls as the demand builds up
     */
    public static function leastBatches(Recipe $recipe, array $calls): int
    {
        if (!\in_array($recipe->serving, [ServingWay::Hot, ServingWay::Warm], true) || [] === $calls) {
            return 1;
        }
        $soFar = array_column($calls, 'soFar');
        $span = end($calls)['at']->getTimestamp() - $calls[0]['at']->getTimestamp();
        $fewest = 1 + intdiv($span, 60 * max(1, $recipe->keepMinutes) + 1);
        for ($batches = $fewest; $batches <= $fewest + self::MORE_BATCHES; ++$batches) {
            $stale = array_filter(
                self::split($soFar, $batches),
                static fn (array $wave): bool => $calls[$wave[1]]['at']->getTimestamp() - $calls[$wave[0]]['at']->getTimestamp() >
                    60 * $recipe->keepMinutes,
            );
            if ([] === $stale) {
                return $batches;
            }
        }

        return $fewest;
    }

    /**
     * @param list<float> $soFar
     *
     * @return list<array{int, int, list<int>}> the call at which a wave is wanted, the last that eats of it, its batches
     */
    private static function split(array $soFar, int $batches): array
    {
        $wanted = [];
        foreach (self::callOfBatch($soFar, $batches) as $b => $call) {
            $wanted[$call][] = $b + 1;
        }
        $waves = [];
        $keys = array_keys($wanted);
        foreach ($keys as $k => $call) {
            $waves[] = [
                $call,
                isset($keys[$k + 1])
                    ? max($call, $keys[$k + 1] - (self::endsAt($soFar, $batches, $wanted[$call]) ? 1 : 0))
                    : \count($soFar) - 1,
                $wanted[$call],
            ];
        }

        return $waves;
    }

    /**
     * @param list<float> $soFar
     *
     * @return list<int> by batch, the call at which it is wanted
     */
    private static function callOfBatch(array $soFar, int $batches): array
    {
        $all = max([0.0, ...$soFar]);
        $of = [];
        for ($b = 0; $b < $batches; ++$b) {
            $call = 0;
            while ($call < \count($soFar) - 1 && $soFar[$call] <= ($all * $b) / $batches + self::LITTLE * $all) {
                ++$call;
            }
            $of[] = $call;
        }

        return $of;
    }

    /**
     * Whether the batches end just where a call ends, so that nothing of them is left for the next.
     *
     * @param list<float>         $soFar
     * @param non-empty-list<int> $wave
     */
    private static function endsAt(array $soFar, int $batches, array $wave): bool
    {
        $all = max([0.0, ...$soFar]);
        $made = ($all * max($wave)) / $batches;
        foreach ($soFar as $call) {
            if (abs($call - $made) <= 1e-3 * $all) {
                return true;
            }
        }

        return false;
    }
}
