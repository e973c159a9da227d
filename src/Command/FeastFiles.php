<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\FileShelf;
use App\Service\ShippedFiles;
use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Schedule\Budget;
use FeastLadle\Solving\Plan;
use Psr\Clock\ClockInterface;

/** A feast from a file, its kitchen from the same, another or the shipped ones; and its plan, the same for every command. */
final readonly class FeastFiles
{
    /** Where a feast file names nobody who works in another kitchen that ships. */
    private const USUAL_KITCHEN = 'kumbhar-lane';

    public function __construct(
        private FeastPlanner $planner,
        private KitchenReader $kitchens,
        private RecipeReader $recipes,
        private ShippedFiles $files,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $kitchen path of a kitchen's document; empty: the one in the feast, or that ships
     *
     * @return array{Feast, Kitchen}
     *
     * @throws FaultyDocument
     */
    public function read(string $path, string $kitchen = ''): array
    {
        $faults = new Faults();
        $root = JsonText::decode(Reading::file($path, 'feast'), 'feast', $faults);
        $there = match (true) {
            $root->has('kitchen') => $this->kitchens->fromNode($root->at('kitchen')),
            '' !== $kitchen => $this->kitchens->read(Reading::file($kitchen, 'kitchen')),
            default => $this->kitchens->read($this->kitchenOf($root->at('hands'))),
        };
        $shelf = new FileShelf($this->recipes, $this->files, $root->at('recipes')->items(50), $faults);

        return [(new FeastReader($there, $shelf))->fromNode($root, $faults, $this->clock->now()), $there];
    }

    public function plan(Feast $feast, Kitchen $kitchen, ?Budget $budget = null): Plan
    {
        $plan = $this->planner->plan($feast, $kitchen, null, $budget);

        // Nobody waits for a page here: room is looked for at once.
        return null === $budget && $plan->isOnTime()
            ? $this->planner->improve($feast, $kitchen, $plan, null, Budget::milliseconds(0), 1) ?? $plan
            : $plan;
    }

    /** The shipped kitchen in which all whose hands the feast counts on work. */
    private function kitchenOf(Node $hands): string
    {
        $wanted = array_map(static fn (Node $shift): string => $shift->at('person')->text(), $hands->isList() ? $hands->items() : []);
        $kitchens = $this->files->kitchens();
        foreach ($kitchens as $json) {
            if ([] !== $wanted && [] === array_diff($wanted, array_keys($this->kitchens->read($json)->people))) {
                return $json;
            }
        }

        return $kitchens[self::USUAL_KITCHEN];
    }
}
