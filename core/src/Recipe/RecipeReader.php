<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Larder\Larder;

/** The one reader of recipe documents. It reports every fault with its JSON pointer, or gives a recipe that hangs together. */
final readonly class RecipeReader
{
    public const FORMAT = 'feast-ladle/recipe';
    public const VERSION = 1;
    public const MOST_STEPS = 200;

    public function __construct(private Larder $larder)
    {
    }

    /** @throws FaultyDocument */
    public function read(string $json): Recipe
    {
        $faults = new Faults();

        return $this->fromNode(JsonText::decode($json, 'recipe', $faults), $faults);
    }

    /** @throws FaultyDocument */
    public function fromNode(Node $root, Faults $faults): Recipe
    {
        $root->onlyKeys(['format', 'version', 'slug', 'name', 'summary', 'serving', 'portion', 'steps', 'result']);
        if (self::FORMAT !== $root->at('format')->string()) {
            $root->at('format')->fault('Here must stand "{format}".', ['format' => self::FORMAT]);
        }
        $root->at('version')->int(self::VERSION, self::VERSION);
        $slug = $root->at('slug')->id();
        $name = $root->at('name')->string();
        $summary = $root->at('summary')->string('', 500);
        $serving = $root->at('serving');
        $serving->object(['way', 'keepMinutes']);
        $way = $serving->at('way')->enum(ServingWay::class);
        $keep = $serving->at('keepMinutes')->int(0, 100000);
        $portion = $root->at('portion');
        $portion->object(['grams', 'pieces', 'pieceName']);
        $usual = $portion->has('pieces')
            ? Portion::pieces($portion->at('pieces')->number(0.1, 100), $portion->at('pieceName')->string('piece', 30))
            : Portion::grams($portion->at('grams')->number(1, 2000));

        $steps = [];
        $nodes = [];
        foreach ($root->at('steps')->items(self::MOST_STEPS, 1) as $node) {
            $step = (new StepReader($this->larder))->step($node);
            if (isset($steps[$step->id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $step->id]);
            }
            $steps[$step->id] = $step;
            $nodes[$step->id] = $node;
        }
        $result = $root->at('result')->string();
        if (!isset($steps[$result])) {
            $root->at('result')->fault('There is no step "{id}".', ['id' => $result]);
        }
        if ($portion->has('pieces') && [] !== $steps && [] === array_filter($steps, static fn (Step $s): bool => null !== $s->pieces)) {
            $portion->at('pieces')->fault('The dish is counted in pieces, but no step makes any.');
        }
        $ordered = (new FlowCheck())->order($steps, $nodes, $result);
        $faults->throwIfAny('recipe');

        return new Recipe($slug, $name, $summary, $way, $usual, $keep, $ordered, $result);
    }
}
