<?php

declare(strict_types=1);

namespace App\Service;

use App\Doctrine\ComparesVersions;
use App\Entity\FeastRecord;
use App\Repository\FeastRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonWriter;
use FeastLadle\Feast\FeastReader;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Opens feasts of the current kitchen and changes their wishes; a faulty change changes nothing. */
final readonly class FeastDesk
{
    public function __construct(
        private FeastRepository $feasts,
        private CurrentKitchen $kitchen,
        private RecipeBook $recipes,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
        private ComparesVersions $versions,
        private KitchenLarder $larder,
        private Kept $kept,
        #[Autowire('%app.core_version%')] private string $coreVersion,
    ) {
    }

    /** @throws NotFoundHttpException when there is no such feast */
    public function record(int $id): FeastRecord
    {
        return $this->feasts->find($id) ?? throw new NotFoundHttpException(\sprintf('There is no feast %d in the book.', $id));
    }

    /**
     * Opens a feast, and with it the kitchen it is cooked in.
     *
     * @throws NotFoundHttpException when there is no such feast
     */
    public function open(int $id): OpenFeast
    {
        $record = $this->record($id);
        $this->kitchen->enter($record->getKitchen());
        /** @var array<string, mixed> $document */
        $document = json_decode($record->getDocument(), true, 64, \JSON_THROW_ON_ERROR);
        $equipment = $this->kitchen->equipment();

        $follows = [
            $this->coreVersion,
            $this->larder->fingerprint(),
            $this->recipes->state(),
            $record->getDocument(),
            $record->getKitchen()->getDocument(),
        ];
        $feast = $this->kept->get(
            hash('xxh128', serialize($follows)),
            'feast',
            fn (): \FeastLadle\Feast\Feast => (new FeastReader($equipment, $this->recipes))->read($record->getDocument()),
        );

        return new OpenFeast($record, $document, $feast, $equipment);
    }

    /**
     * @param array<string, mixed> $document
     * @param int|null             $seen     version of the feast that the change was made to; null: the present one
     *
     * @throws FaultyDocument   when the new wishes can't be; nothing is stored then
     * @throws ChangedMeanwhile when somebody else was quicker; nothing is stored then
     */
    public function change(OpenFeast $open, array $document, ?int $seen = null): void
    {
        $json = JsonWriter::write($document);
        $moved =
            ($open->document['moments'] ?? null) !== ($document['moments'] ?? null)
            || ($open->document['date'] ?? null) !== ($document['date'] ?? null);
        // An old feast may still be corrected; only a moment that is set anew must lie ahead.
        $feast = (new FeastReader($open->kitchen, $this->recipes))->read($json, $moved ? $this->clock->now() : null);
        $record = $open->record;
        $this->versions->change($record, $seen, static fn () => $record->change($feast->name, $json), ChangedMeanwhile::feast(...));
    }

    /**
     * @param array<string, mixed> $document
     *
     * @throws FaultyDocument
     */
    public function create(array $document): FeastRecord
    {
        $json = JsonWriter::write($document);
        $feast = (new FeastReader($this->kitchen->equipment(), $this->recipes))->read($json, $this->clock->now());
        $record = new FeastRecord($this->kitchen->get(), $feast->name, $json, $this->clock->now());
        $this->entities->persist($record);
        $this->entities->flush();

        return $record;
    }

    /** Takes a feast out of the book, with its plan, its ticks and what was noted. */
    public function remove(OpenFeast $open): void
    {
        $this->entities->remove($open->record);
        $this->entities->flush();
    }
}
