<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\FeastRecord;
use App\Entity\KitchenRecord;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\JsonWriter;
use FeastLadle\Kitchen\KitchenReader;
use Psr\Clock\ClockInterface;

/** Puts in place what an empty database needs: a kitchen, the shipped recipes and, for the demo, a feast. Run again, it changes nothing. */
final readonly class Setup
{
    /** Kitchens of the demo beside the home one, and the feast in each. */
    private const HALLS = [['tamarind-ghat', 'boat-lamp'], ['bell-yard', 'bell-raising']];

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
            $kitchen = new KitchenRecord($this->kitchenReader->read($document)->name, $document);
            $this->entities->persist($kitchen);
            $this->entities->flush();
        }
        // A kitchen of an earlier day gets the recipes that ship since; its own stay as they are.
        $missing = array_filter(
            $this->files->recipes(),
            fn (string $slug): bool => null === $this->recipes->revision($slug),
            \ARRAY_FILTER_USE_KEY,
        );
        $this->recipes->importAll(array_values($missing), $kitchen);
        if ($demo) {
            $this->demoFeast($kitchen, 'new-roof', $this->nextSaturday());
            foreach (self::HALLS as $i => [$file, $feast]) {
                $hall = $this->kitchens->household()[$i + 1] ?? null;
                if (null === $hall) {
                    $document = $this->files->kitchen($file);
                    $hall = new KitchenRecord($this->kitchenReader->read($document)->name, $document);
                    $this->entities->persist($hall);
                    $this->entities->flush();
                }
                $this->demoFeast($hall, $feast, $this->nextSaturday()->modify(\sprintf('+%d days', 7 * ($i + 1))));
            }
        }
    }

    private function demoFeast(KitchenRecord $kitchen, string $name, \DateTimeImmutable $day): void
    {
        if ([] !== $this->feasts->all($kitchen)) {
            return;
        }
        /** @var array<string, mixed> $feast */
        $feast = json_decode($this->files->feast($name), true, 64, \JSON_THROW_ON_ERROR);
        $feast['date'] = $day->format('Y-m-d');
        $title = $feast['name'];
        $this->entities->persist(
            new FeastRecord(
                $kitchen,
                \is_string($title) ? $title : '',
                JsonWriter::write($feast),
                $this->clock->now(),
            ),
        );
        $this->entities->flush();
    }

    /** Far enough ahead for the work of the evening before. */
    private function nextSaturday(): \DateTimeImmutable
    {
        return $this->clock->now()->modify('+3 days')->modify('saturday');
    }
}
