<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\Kitchen;
use App\Entity\RecipeRevision;
use App\Repository\RecipeRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\RecipeShelf;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use Psr\Clock\ClockInterface;

/** The recipes of the current kitchen: finds them for feasts, and takes in documents as new revisions. */
final class RecipeBook implements RecipeShelf
{
    /** @var array<string, Recipe> read already, by slug and revision */
    private array $read = [];

    public function __construct(
        private readonly RecipeRepository $recipes,
        private readonly CurrentKitchen $kitchen,
        private readonly RecipeReader $reader,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
    }

    public function find(string $slug, ?int $revision): ?Recipe
    {
        $key = $slug.'#'.($revision ?? 0);
        if (!isset($this->read[$key])) {
            $stored = $this->revision($slug, $revision);
            if (null === $stored) {
                return null;
            }
            $this->read[$key] = $this->reader->read($stored->getDocument());
        }

        return $this->read[$key];
    }

    public function revision(string $slug, ?int $number = null): ?RecipeRevision
    {
        $recipe = $this->recipes->of($this->kitchen->get(), $slug);

        return null === $number ? $recipe?->newest() : $recipe?->revision($number);
    }

    /** @return list<\App\Entity\Recipe> */
    public function all(): array
    {
        return $this->recipes->book($this->kitchen->get());
    }

    /**
     * Takes a recipe document into the book of a kitchen, as a new recipe or a new revision.
     *
     * @throws FaultyDocument when it is not a sound recipe; the book is then as it was
     */
    public function import(string $json, ?Kitchen $into = null): RecipeRevision
    {
        $kitchen = $into ?? $this->kitchen->get();
        $read = $this->reader->read($json);
        $recipe = $this->recipes->of($kitchen, $read->slug) ?? new \App\Entity\Recipe($kitchen, $read->slug, $read->name);
        $revision = $recipe->revise($read->name, $json, $this->clock->now());
        $this->entities->persist($recipe);
        $this->entities->persist($revision);
        $this->entities->flush();
        $this->read = [];

        return $revision;
    }
}
