<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Explaining\RoomBefore;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Schedule\SolutionStatus;

/** Gives each dish of a feast as many minutes as it lacks to be in time in 95 of 100 tries. */
final readonly class WishedRoom
{
    /** What is moved earlier may stand in the way of something else, which then lacks minutes too. */
    private const ROUNDS = 3;

    public function __construct(private RecipeBook $recipes, private FeastPlanner $planner)
    {
    }

    /** @return array<string, mixed> the document with the wishes that made its least sure sweets surest; as it was where none did */
    public function document(OpenFeast $open): array
    {
        $best = $document = FeastDocument::of($open->document);
        $surest = null;
        $feast = $open->feast;
        for ($round = 0; $round <= self::ROUNDS; ++$round) {
            $plan = $this->planner->plan($feast, $open->kitchen);
            if (SolutionStatus::Feasible !== $plan->solution->status || [] === $plan->steps || $plan->isToTheMinute) {
                break;
            }
            $risk = Risk::of($plan->problem, $plan->solution, grace: $plan->margins);
            $sure = self::leastFirst($risk);
            if (null === $surest || $sure > $surest) {
                [$best, $surest] = [$document, $sure];
            }
            $wanted = RoomBefore::wanted($plan, $risk);
            $changed = [];
            foreach ($feast->dishes as $i => $dish) {
                if (isset($wanted[$dish->id]) && $wanted[$dish->id] > $dish->readyEarlier) {
                    $document = $document->withDish($i, ['readyEarlier' => $wanted[$dish->id]]);
                    $changed[] = $dish->id;
                }
            }
            if ([] === $changed) {
                break;
            }
            $feast = (new FeastReader($open->kitchen, $this->recipes))->read($document->json());
        }

        return $best->fields;
    }

    /** @return list<int> tries of a hundred that are in time, the least sure first */
    private static function leastFirst(RiskReport $risk): array
    {
        $sure = array_map(static fn (float $chance): int => (int) round(100 * $chance), array_values($risk->chances));
        sort($sure);

        return $sure;
    }
}
