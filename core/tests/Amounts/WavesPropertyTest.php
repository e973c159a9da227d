<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Amounts;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\Round;
use FeastLadle\Amounts\Waves;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Sittings of any size at any time: no guest waits for a batch that is not there, and each batch is in one wave. */
final class WavesPropertyTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 25; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testWhatHasBeenMadeCoversWhatIsCalledForAtEveryMoment(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $feast = Shipped::templeFeast(static function (array $document) use ($random): array {
            /** @var array{groups: list<array<string, mixed>>, moments: list<array<string, mixed>>} $document */
            $document['groups'] = array_map(
                static fn (array $group): array => ['count' => $random->getInt(1, 400)] + $group,
                $document['groups'],
            );
            $document['moments'][2]['time'] = \sprintf('%02d:%02d', $random->getInt(19, 23), 5 * $random->getInt(0, 11));

            return $document;
        });
        foreach ((new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::temple())->dishes as $planned) {
            if ($planned->dish->isBase) {
                continue;
            }
            $waves = Waves::of($feast, $planned);
            $batches = array_merge(...array_column($waves, 'batches'));
            self::assertSame(range(1, $planned->batchPlan->batches), $batches, 'Each batch is in one wave, in order.');
            foreach (DemandCurve::of($feast, $planned) as $call) {
                $made = 0;
                foreach ($waves as $wave) {
                    $made += $wave->moment->at <= $call['at'] ? \count($wave->batches) : 0;
                }
                self::assertGreaterThanOrEqual(
                    $call['soFar'] * (1 - 1e-6),
                    (($planned->demand->total * $made) / $planned->batchPlan->batches) * (1 + 1e-6) + 1,
                    $planned->dish->id.' at '.$call['moment'],
                );
            }
            $flow = BatchFlow::of($feast, $planned);
            foreach ($planned->dish->recipe->steps as $step) {
                $shares = array_sum(
                    array_map($flow->share(...), array_filter($flow->rounds($step), static fn (Round $r): bool => null !== $r->wave)),
                );
                self::assertTrue(0.0 === (float) $shares || abs($shares - 1) < 1e-9, 'The waves of a step are the whole.');
                foreach ($step->sources() as $source) {
                    $from = $planned->dish->recipe->step($source);
                    foreach ($flow->rounds($step) as $round) {
                        foreach ($flow->sources($from, $step, $round) as $taken) {
                            self::assertTrue($round->isAmong($flow->takers($from, $taken, $step)), 'Who takes is who is taken from.');
                        }
                    }
                }
            }
        }
    }
}
