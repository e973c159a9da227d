<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\Feast;
use App\Entity\Kitchen;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Kitchen\KitchenReader;
use Psr\Clock\ClockInterface;

/** Puts in place what an empty database needs: a kitchen, the shipped recipes and, for the demo, a feast. Run again, it changes nothing. */
final readonly class Setup
{
    public function __construct(
        private ShippedFiles $files,
        private KitchenRepository $kitchens,
        private FeastRepository $feasts,
        private RecipeBook $recipes,
        private KitchenReader $kitchenReader,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
    ) {
    }

    public function run(bool $demo): void
    {
        $kitchen = $this->kitchens->local();
        if (null === $kitchen) {
            $document = $this->files->kitchen($demo ? 'kumbhar-lane' : 'plain');
            $kitchen = new Kitchen($this->kitchenReader->read($document)->name, $document);
            $this->entities->persist($kitchen);
            $this->entities->flush();
            foreach ($this->files->recipes() as $recipe) {
                $this->recipes->import($recipe, $kitchen);
            }
        }
        if ($demo && [] === $this->feasts->all($kitchen)) {
            /** @var array<string, mixed> $feast */
            $feast = json_decode($this->files->feast('new-roof'), true, 64, \JSON_THROW_ON_ERROR);
            $feast['date'] = $this->nextSaturday()->format('Y-m-d');
            $name = $feast['name'];
            $this->entities->persist(new Feast($kitchen, \is_string($name) ? $name : '', json_encode($feast, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION), $this->clock->now()));
            $this->entities->flush();
        }
    }

    /** Far enough ahead for the work of the evening before. */
    private function nextSaturday(): \DateTimeImmutable
    {
        return $this->clock->now()->modify('+3 days')->modify('saturday');
    }
}
