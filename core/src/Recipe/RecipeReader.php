<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Schools\Choices;
use FeastLadle\Schools\SchoolsReader;

/** The one reader of recipe documents. It reports every fault with its JSON pointer, or gives a recipe that hangs together. */
final readonly class RecipeReader
{
    public const FORMAT = 'feast-ladle/recipe';
    public const VERSION = 1;
    public const MOST_STEPS = 200;

    private const KEYS = [
        'format',
        'version',
        'slug',
        'name',
        'summary',
        'origin',
        'serving',
        'portion',
        'schools',
        'excludes',
        'dials',
        'base',
        'ingredients',
        'steps',
        'result',
    ];

    public function __construct(private Larder $larder)
    {
    }

    /**
     * Reads it by one way of its schools and dials.
     *
     * @param Choices|null     $choices null: as written
     * @param RecipeShelf|null $bases   where recipes that it takes from are found
     *
     * @throws FaultyDocument
     */
    public function read(string $json, ?Choices $choices = null, ?RecipeShelf $bases = null): Recipe
    {
        $faults = new Faults();

        return $this->fromNode(JsonText::decode($json, 'recipe', $faults), $faults, $choices, $bases);
    }

    /**
     * Reads it by every combination of schools that it allows, and without each step that may be left out; a fault in any of
     * them is a fault of the document.
     *
     * @return non-empty-list<Recipe> as written first
     *
     * @throws FaultyDocument
     */
    public function readEvery(string $json, ?RecipeShelf $bases = null): array
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'recipe', $faults);

        return $this->knowing($root)->everyWay($root, $faults, $bases);
    }

    /** The reader that knows what the recipe brings. */
    private function knowing(Node $root): self
    {
        $brought = (new LarderReader())->brought($root->at('ingredients'));

        return [] === $brought ? $this : new self($this->larder->with($brought));
    }

    /** @return non-empty-list<Recipe> */
    private function everyWay(Node $root, Faults $faults, ?RecipeShelf $bases): array
    {
        $written = $this->readNode($root, $faults, null, $bases);
        $recipes = [$written];
        $combinations = SchoolsReader::combinations($written->way);
        if (\count($combinations) > SchoolsReader::MOST_COMBINATIONS) {
            $root
                ->at('schools')
                ->fault('The schools combine to more than {limit} recipes. Say with "when" which questions arise only under others.', [
                    'limit' => SchoolsReader::MOST_COMBINATIONS,
                ]);
            $faults->throwIfAny('recipe');
        }
        foreach ($combinations as $options) {
            // As written first, and it is there already.
            array_push(
                $recipes,
                ...\array_slice(
                    $this->variants($root, $faults, new Choices($options), $bases, true),
                    $options === $written->way->options ? 1 : 0,
                ),
            );
        }
        $faults->throwIfAny('recipe');

        return $recipes;
    }

    /** @throws FaultyDocument */
    public function fromNode(Node $root, Faults $faults, ?Choices $choices = null, ?RecipeShelf $bases = null): Recipe
    {
        return $this->knowing($root)->readNode($root, $faults, $choices, $bases);
    }

    private function readNode(Node $root, Faults $faults, ?Choices $choices, ?RecipeShelf $bases): Recipe
    {
        $recipe = $this->one($root, $faults, $choices ?? Choices::asWritten(), $bases ?? new NoShelf());
        $faults->throwIfAny('recipe');

        return $recipe;
    }

    private function one(Node $root, Faults $faults, Choices $choices, ?RecipeShelf $shelf): Recipe
    {
        $recipe = $this->variants($root, $faults, $choices, $shelf, false)[0];

        return [] === $choices->without || !$faults->isEmpty()
            ? $recipe
            : $this->byTheSchoolThatWorks($recipe, $root, $faults, $choices, $shelf);
    }

    /** Where what stands in for milk would be boiled down: by the nearest ways that nobody chose otherwise and that do not. */
    private function byTheSchoolThatWorks(Recipe $recipe, Node $root, Faults $faults, Choices $choices, ?RecipeShelf $shelf): Recipe
    {
        $splits = (new BoiledDown($this->larder))->whatSplits($recipe);
        if (null === $splits) {
            return $recipe;
        }
        $ways = [];
        foreach (\array_slice(SchoolsReader::combinations($recipe->way), 0, SchoolsReader::MOST_COMBINATIONS) as $options) {
            $other = array_diff_assoc($options, $recipe->way->options);
            if ([] !== $other && [] === array_diff_assoc(array_intersect_key($choices->schools, $options), $options)) {
                $ways[] = $other;
            }
        }
        usort($ways, static fn (array $a, array $b): int => \count($a) <=> \count($b));
        foreach ($ways as $other) {
            $way = $choices->withSchools([...$choices->schools, ...$other]);
            $found = $this->variants($root, $faults, $way, $shelf, false)[0];
            if (null === (new BoiledDown($this->larder))->whatSplits($found)) {
                return $found->byOtherWay(new OtherWay($other, $splits));
            }
        }

        return $recipe;
    }

    /** @return non-empty-list<Recipe> by these choices; after that, if asked for, without each step that may be left out */
    private function variants(Node $root, Faults $faults, Choices $choices, ?RecipeShelf $shelf, bool $lessEach): array
    {
        $root->onlyKeys(self::KEYS);
        $root->isOf(self::FORMAT, self::VERSION);
        $slug = $root->at('slug')->id();
        $way = (new SchoolsReader())->read($root, $choices);
        foreach ($choices->instead as $exchange) {
            if (!$this->larder->knows($exchange->ingredient)) {
                $root->fault('The larder knows no "{id}" that could go in for "{for}".', [
                    'id' => $exchange->ingredient,
                    'for' => $exchange->for,
                ]);
            }
        }
        $excluded = $way->excludedBy();
        if (null !== $excluded) {
            $root->at('schools')->fault('These ways do not go together: {why}', ['why' => $excluded->why]);
        }
        $serving = $root->at('serving');
        $serving->object(['way', 'keepMinutes', 'eaten']);
        $swaps = new Swaps($this->larder, $choices->without, $choices->instead);
        $reader = new StepReader($this->larder, $way, $swaps);
        $steps = [];
        $nodes = [];
        foreach ($root->at('steps')->items(self::MOST_STEPS, 1) as $node) {
            if (!$way->holds($node)) {
                continue;
            }
            $step = $reader->step($node);
            if (isset($steps[$step->id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $step->id]);
            }
            $steps[$step->id] = $step;
            $nodes[$step->id] = $way->varied($node);
        }
        $result = $root->at('result')->string();
        if (!isset($steps[$result])) {
            $root->at('result')->fault('There is no step "{id}".', ['id' => $result]);
        }
        $portion = $this->portion($root->at('portion'));
        $shelf ??= new NoShelf();
        $kept = (new LeavingOut())->of($steps, $nodes, $choices->leftOut, $result);
        $this->checkPieces($portion, $kept, $root);
        $built = [
            new Recipe(
                $slug,
                $root->at('name')->string(),
                $root->at('summary')->string('', 500),
                $serving->at('way')->enum(ServingWay::class),
                $portion,
                $serving->at('keepMinutes')->int(0, 100000),
                (new FlowCheck())->order($kept, $nodes, $result),
                $result,
                $way,
                $root->at('origin')->string('', 300),
                $this->bases($kept, $nodes, $shelf, $slug, $choices),
                $this->base($root->at('base')),
                $swaps->made(),
                $serving->at('eaten')->enum(EatingWay::class, EatingWay::Spooned),
            ),
        ];
        foreach ($lessEach ? array_keys(array_intersect_key($way->optional, $steps)) : [] as $id) {
            $kept = (new LeavingOut())->of($steps, $nodes, [(string) $id], $result);
            $this->checkPieces($portion, $kept, $root);
            $built[] = $built[0]->leaving(
                [(string) $id],
                (new FlowCheck())->order($kept, $nodes, $result),
                $this->bases($kept, $nodes, $shelf, $slug, $choices),
            );
        }

        return $built;
    }

    /** @param array<string, Step> $steps */
    private function checkPieces(Portion $portion, array $steps, Node $root): void
    {
        if (
            $portion->countsPieces
            && [] !== $steps
            && [] === array_filter($steps, static fn (Step $s): bool => null !== $s->gives->pieces)
        ) {
            $root->at('portion')->at('pieces')->fault('The dish is counted in pieces, but no step makes any.');
        }
    }

    private function portion(Node $node): Portion
    {
        $node->object($node->has('pieces') ? ['pieces', 'pieceName'] : ['grams']);

        return $node->has('pieces')
            ? Portion::pieces($node->at('pieces')->number(0.1, 100), $node->at('pieceName')->string('piece', 30))
            : Portion::grams($node->at('grams')->number(1, 2000));
    }

    /**
     * @param array<string, Step> $steps
     * @param array<string, Node> $nodes
     *
     * @return array<string, Recipe>
     */
    private function bases(array $steps, array $nodes, RecipeShelf $shelf, string $slug, Choices $choices): array
    {
        $bases = [];
        foreach ($steps as $id => $step) {
            foreach ($step->takes as $take) {
                if (null === $take->base || isset($bases[$take->base])) {
                    continue;
                }
                $place = $nodes[$id]->at('takes')->at($take->place)->at('base');
                // What a guest does without holds for the bases too.
                $same = new Choices(without: $choices->without, instead: $choices->instead);
                $base = $take->base === $slug ? null : $shelf->find($take->base, null, $same);
                if (null === $base) {
                    $place->fault('The book holds no recipe "{slug}" to take from.', ['slug' => $take->base]);
                } elseif (null === $base->base) {
                    $place->fault('"{name}" is a dish of its own, not a base that others take from.', ['name' => $base->name]);
                } else {
                    $bases[$take->base] = $base;
                }
            }
        }

        return $bases;
    }

    private function base(Node $node): ?Base
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['strength', 'bought', 'ratio', 'label', 'pricePerKg']);
        $bought = $node->has('bought') ? $node->at('bought')->id() : null;
        if (null !== $bought && '' !== $bought && !$this->larder->knows($bought)) {
            $node->at('bought')->fault('The larder holds no "{id}".', ['id' => $bought]);
        }

        return new Base(
            $node->at('strength')->string('', 100),
            $bought,
            $node->at('ratio')->number(0.05, 20, 1.0),
            array_map(static fn (Node $n): string => $n->string(null, 40), $node->at('label')->items(20)),
            $node->has('label'),
            $node->has('pricePerKg') ? $node->at('pricePerKg')->number(0, 1_000_000) : null,
        );
    }
}
