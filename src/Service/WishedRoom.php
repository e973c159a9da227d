<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Explaining\RoomBefore;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Schedule\SolutionStatus;

/** Gives each dish of a feast as many minutes as it lacks to be in time in 95 of 100 tries. */
final readonly class WishedRoom
{
    /** What is moved earlier may stand in the way of something else, which then lacks minutes too. */
    private const ROUNDS = 3;

    public function __construct(private RecipeBook $recipes, private FeastPlanner $planner)
    {
    }

    /** @return array<string, mixed> the document with its wishes */
    public function document(OpenFeast $open): array
    {
        $document = $open->document;
        $feast = $open->feast;
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $plan = $this->planner->plan($feast, $open->kitchen);
            if (SolutionStatus::Feasible !== $plan->solution->status || [] === $plan->steps || $plan->isToTheMinute) {
                break;
            }
            $wanted = RoomBefore::wanted($plan, Risk::of($plan->problem, $plan->solution, grace: $plan->margins));
            $dishes = \is_array($document['dishes'] ?? null) ? array_values(array_filter($document['dishes'], \is_array(...))) : [];
            $changed = [];
            foreach ($feast->dishes as $i => $dish) {
                if (isset($dishes[$i], $wanted[$dish->id]) && $wanted[$dish->id] > $dish->readyEarlier) {
                    $dishes[$i]['readyEarlier'] = $wanted[$dish->id];
                    $changed[] = $dish->id;
                }
            }
            if ([] === $changed) {
                break;
            }
            $document['dishes'] = $dishes;
            $feast = (new FeastReader($open->kitchen, $this->recipes))->read(
                json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            );
        }

        return $document;
    }
}
