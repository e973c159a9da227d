<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenRecord;
use App\Entity\RecipeRevision;
use App\Repository\RecipeRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\Choices;
use Psr\Clock\ClockInterface;

/** The recipes of the current kitchen: finds them for feasts, and takes in documents as new revisions. */
final class RecipeBook implements RecipeShelf
{
    /** @var array<string, Recipe> read already, by slug, revision and choices */
    private array $read = [];

    /** @var array<string, true> slugs on the way */
    private array $reading = [];

    public function __construct(
        private readonly RecipeRepository $recipes,
        private readonly CurrentKitchen $kitchen,
        private readonly RecipeReader $reader,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
    }

    public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
    {
        $key = $slug.'#'.($revision ?? 0).'#'.(null === $choices ? '' : serialize($choices));
        if (isset($this->reading[$slug])) {
            // A recipe can't be its own base.
            return null;
        }
        if (!isset($this->read[$key])) {
            $stored = $this->revision($slug, $revision);
            if (null === $stored) {
                return null;
            }
            $this->reading[$slug] = true;
            try {
                $this->read[$key] = $this->reader->read($stored->getDocument(), $choices, $this);
            } finally {
                unset($this->reading[$slug]);
            }
        }

        return $this->read[$key];
    }

    public function revision(string $slug, ?int $number = null): ?RecipeRevision
    {
        $recipe = $this->recipes->of($this->kitchen->home(), $slug);

        return null === $number ? $recipe?->newest() : $recipe?->revision($number);
    }

    /** Changes when any recipe of the book gets a revision: these are never changed. */
    public function state(): string
    {
        return $this->recipes->state();
    }

    /** @return list<Recipe> those that others can take from */
    public function bases(): array
    {
        $bases = [];
        foreach ($this->all() as $entry) {
            // Cheaper than reading them all: only a base says so in its document.
            if (1 === preg_match('/"base"\s*:\s*\{/', $entry->newest()->getDocument())) {
                $bases[] = $this->find($entry->getSlug(), null);
            }
        }

        return array_values(array_filter($bases, static fn (?Recipe $r): bool => null !== $r?->base));
    }

    /** @return list<\App\Entity\RecipeRecord> */
    public function all(): array
    {
        return $this->recipes->book($this->kitchen->home());
    }

    /**
     * Takes a recipe document into the book of a kitchen, as a new recipe or a new revision.
     *
     * @throws FaultyDocument when it is not a sound recipe; the book is then as it was
     */
    public function import(string $json, ?KitchenRecord $into = null): RecipeRevision
    {
        $kitchen = $into ?? $this->kitchen->home();
        $read = $this->reader->readEvery($json, $this)[0];
        $recipe = $this->recipes->of($kitchen, $read->slug) ?? new \App\Entity\RecipeRecord($kitchen, $read->slug, $read->name);
        $revision = $recipe->revise($read->name, $json, $this->clock->now());
        $this->entities->persist($recipe);
        $this->entities->persist($revision);
        $this->entities->flush();
        $this->read = [];

        return $revision;
    }

    /**
     * Takes in several documents that may take from each other, in whatever order they stand.
     *
     * @param list<string> $documents
     *
     * @throws FaultyDocument
     */
    public function importAll(array $documents, ?KitchenRecord $into = null): void
    {
        while ([] !== $documents) {
            $left = [];
            $faulty = null;
            foreach ($documents as $json) {
                try {
                    $this->import($json, $into);
                } catch (FaultyDocument $exception) {
                    // Perhaps its base comes later.
                    $left[] = $json;
                    $faulty = $exception;
                }
            }
            if (null !== $faulty && \count($left) === \count($documents)) {
                throw $faulty;
            }
            $documents = $left;
        }
    }
}
