<?php

declare(strict_types=1);

namespace App\Service;

use App\Doctrine\ComparesVersions;
use App\Entity\KitchenRecord;
use App\Repository\FeastRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;

/** Changes a kitchen, unless a feast counts on something that would be gone, and adds further ones. */
final readonly class KitchenDesk
{
    public function __construct(
        private CurrentKitchen $kitchen,
        private KitchenReader $reader,
        private FeastRepository $feasts,
        private RecipeBook $recipes,
        private EntityManagerInterface $entities,
        private ComparesVersions $versions,
    ) {
    }

    /**
     * @param int|null $seen version of the kitchen that the change was made to; null: the present one
     *
     * @throws FaultyDocument   when the document is no sound kitchen, or a feast could not be read against it
     * @throws ChangedMeanwhile when somebody else was quicker; nothing is stored then
     */
    public function change(KitchenRecord $record, string $document, ?int $seen = null): void
    {
        $kitchen = $this->reader->read($document);
        foreach ($this->feasts->all($record) as $feast) {
            try {
                (new FeastReader($kitchen, $this->recipes))->read($feast->getDocument());
            } catch (FaultyDocument $faulty) {
                $first = $faulty->faults[0];
                throw new FaultyDocument('kitchen', [
                    new Fault('', '"{feast}" counts on this kitchen: {fault}', [
                        'feast' => $feast->getName(),
                        'fault' => $first->message(),
                    ]),
                ]);
            }
        }
        $this->versions->change(
            $record,
            $seen,
            static fn () => $record->change($kitchen->name, $document),
            ChangedMeanwhile::kitchen(...),
        );
        $this->kitchen->reset();
    }

    /** @throws FaultyDocument */
    public function add(string $document): KitchenRecord
    {
        $record = new KitchenRecord($this->reader->read($document)->name, $document);
        $this->entities->persist($record);
        $this->entities->flush();

        return $record;
    }
}
