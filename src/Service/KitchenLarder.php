<?php

declare(strict_types=1);

namespace App\Service;

use App\Doctrine\ComparesVersions;
use App\Entity\KitchenRecord;
use App\Entity\LarderEntry;
use App\Repository\KitchenRepository;
use App\Repository\LarderEntryRepository;
use App\Repository\RecipeRepository;
use Doctrine\DBAL\Exception as DatabaseException;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonWriter;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The larder that ships, with what this kitchen has weighed, corrected and added laid over it. */
final readonly class KitchenLarder
{
    public function __construct(
        private ShippedFiles $files,
        private KitchenRepository $kitchens,
        private LarderEntryRepository $entries,
        private RecipeRepository $recipes,
        private EntityManagerInterface $entities,
        private ComparesVersions $versions,
        private Kept $beside,
        #[Autowire('%app.core_version%')] private string $coreVersion,
    ) {
    }

    public function larder(): Larder
    {
        $own = $this->own();

        return $this->beside->get(
            hash('xxh128', $this->coreVersion.$this->files->larder().serialize($own)),
            'larder',
            fn (): Larder => (new LarderReader())->read(json_encode($this->document($own), \JSON_THROW_ON_ERROR)),
        );
    }

    /** Changes when anything this kitchen knows of its own does. */
    public function fingerprint(): string
    {
        return hash('sha256', serialize($this->own()));
    }

    /** @return array<string, mixed>|null the document of one thing, as this kitchen knows it */
    public function thing(string $id): ?array
    {
        $own = $this->own();

        return $own[$id] ?? ($this->shipped()[$id] ?? null);
    }

    public function isOwn(string $id): bool
    {
        return isset($this->own()[$id]);
    }

    public function ships(string $id): bool
    {
        return isset($this->shipped()[$id]);
    }

    /** An id for a new thing that none has yet. */
    public function freeId(string $slug): string
    {
        $slug = '' === $slug ? 'thing' : $slug;
        for ($n = 1, $id = $slug; null !== $this->thing($id); $id = $slug.'-'.$n) {
            ++$n;
        }

        return $id;
    }

    /**
     * Keeps what this kitchen knows of a thing.
     *
     * @param array<string, mixed> $thing its whole document
     * @param int|null             $seen  version of its row that was changed; 0: there was none; null: the present one
     *
     * @throws FaultyDocument   with pointers into that document; nothing is kept then
     * @throws ChangedMeanwhile when somebody else was quicker; nothing is kept then
     */
    public function keep(string $id, array $thing, ?int $seen = null): void
    {
        $thing = [...$thing, 'id' => $id, 'own' => true];
        $document = $this->document([...$this->own(), $id => $thing]);
        try {
            (new LarderReader())->read(JsonWriter::write($document));
        } catch (FaultyDocument $faulty) {
            $place = '/ingredients/'.array_search($id, array_column($document['ingredients'], 'id'), true);
            throw new FaultyDocument(
                'larder',
                array_map(
                    static fn (Fault $f): Fault => $f->at(
                        str_starts_with($f->pointer, $place) ? substr($f->pointer, \strlen($place)) : $f->pointer,
                    ),
                    $faulty->faults,
                ),
            );
        }
        $json = JsonWriter::write($thing);
        $entry = $this->entries->of($this->kitchen(), $id);
        if (null !== $entry) {
            $this->versions->change($entry, $seen, static fn () => $entry->change($json), ChangedMeanwhile::thing(...));
        } elseif (null !== $seen && 0 !== $seen) {
            throw ChangedMeanwhile::thing();
        } else {
            $this->entities->persist(new LarderEntry($this->kitchen(), $id, $json));
            $this->entities->flush();
        }
    }

    /** The version of what this kitchen knows of a thing, for the form that changes it; 0 where it knows nothing of its own. */
    public function version(string $id): int
    {
        return $this->entries->of($this->kitchen(), $id)?->getVersion() ?? 0;
    }

    /**
     * Back to how it ships; a thing of this kitchen's own goes.
     *
     * @throws FaultyDocument when a recipe still takes it
     */
    public function forget(string $id): void
    {
        $entry = $this->entries->of($this->kitchen(), $id);
        if (null === $entry) {
            return;
        }
        if (!$this->ships($id)) {
            foreach ($this->recipes->book($this->kitchen()) as $recipe) {
                foreach ($recipe->revisions() as $revision) {
                    if (str_contains($revision->getDocument(), '"'.$id.'"')) {
                        throw FaultyDocument::because('larder', 'The recipe "{name}" takes it in revision {number}; it can\'t go.', [
                            'name' => $recipe->getName(),
                            'number' => $revision->getNumber(),
                        ]);
                    }
                }
            }
        }
        $this->entities->remove($entry);
        $this->entities->flush();
    }

    /** @return array<string, array<string, mixed>> by id */
    private function own(): array
    {
        try {
            $kitchen = $this->kitchens->local();
        } catch (DatabaseException) {
            // Before the first setup, and for files on the command line, there is no kitchen.
            return $this->broughtBy($this->files->recipes());
        }
        $brought = $this->broughtBy(null === $kitchen ? $this->files->recipes() : $this->recipes->documentsThatBring());

        return [...$brought, ...(null === $kitchen ? [] : $this->entered($kitchen))];
    }

    /** @return array<string, array<string, mixed>> what was entered here, by id */
    private function entered(KitchenRecord $kitchen): array
    {
        $entered = [];
        foreach ($this->entries->all($kitchen) as $entry) {
            /** @var array<string, mixed> $thing */
            $thing = json_decode($entry->getDocument(), true, 16, \JSON_THROW_ON_ERROR);
            $entered[$entry->getIngredient()] = $thing;
        }

        return $entered;
    }

    /** @return array<string, string> ingredient ids by the words that this kitchen calls them and nobody else does */
    public function ownWords(): array
    {
        try {
            $kitchen = $this->kitchens->local();
        } catch (DatabaseException) {
            return [];
        }
        $words = [];
        $shipped = $this->shipped();
        foreach (null === $kitchen ? [] : $this->entered($kitchen) as $id => $thing) {
            $names = \is_array($thing['names'] ?? null) ? $thing['names'] : [];
            $known = \is_array($shipped[$id]['names'] ?? null) ? $shipped[$id]['names'] : [];
            foreach (array_filter($names, \is_string(...)) as $name) {
                if (!\in_array($name, $known, true)) {
                    $words[$name] = $id;
                }
            }
        }

        return $words;
    }

    /** This kitchen calls a thing so from now on. */
    public function learn(string $word, string $id): void
    {
        $thing = $this->thing($id) ?? throw FaultyDocument::because('larder', 'The larder holds no "{id}".', ['id' => $id]);
        $names = array_filter(\is_array($thing['names'] ?? null) ? $thing['names'] : [], \is_string(...));
        $this->keep($id, [...$thing, 'names' => array_values(array_unique([...$names, $word]))]);
    }

    /** Nothing goes by this word of the kitchen's own any more. */
    public function unlearn(string $word): void
    {
        foreach (array_unique(array_filter($this->ownWords(), static fn (string $id, string $name): bool => mb_strtolower($name) === $word,
            \ARRAY_FILTER_USE_BOTH)) as $id) {
            $thing = $this->thing($id) ?? [];
            $names = array_filter(\is_array($thing['names'] ?? null) ? $thing['names'] : [], \is_string(...));
            $this->keep($id, [
                ...$thing,
                'names' => array_values(array_filter($names, static fn (string $name): bool => mb_strtolower($name) !== $word)),
            ]);
        }
    }

    /**
     * What recipes and drafts bring with them and nobody else knows.
     *
     * @param iterable<string> $documents
     *
     * @return array<string, array<string, mixed>> by id
     */
    private function broughtBy(iterable $documents): array
    {
        $brought = [];
        $shipped = null;
        foreach ($documents as $json) {
            $document = str_contains($json, '"ingredients"') ? json_decode($json, true, 64) : null;
            foreach (\is_array($document) && \is_array($document['ingredients'] ?? null) ? $document['ingredients'] : [] as $thing) {
                $shipped ??= $this->shipped();
                $id = \is_array($thing) && \is_string($thing['id'] ?? null) ? $thing['id'] : '';
                if (\is_array($thing) && '' !== $id && !isset($shipped[$id])) {
                    $brought[$id] ??= self::completed($thing);
                }
            }
        }

        return $brought;
    }

    /**
     * @param array<array-key, mixed> $thing
     *
     * @return array<string, mixed> with what a larder wants of a thing
     */
    private static function completed(array $thing): array
    {
        $whole = [];
        foreach ([...LarderReader::NAMED_ONLY, ...$thing] as $field => $value) {
            $whole[(string) $field] = $value;
        }
        if ([] === array_intersect_key($thing, ['water' => 1, 'sugar' => 1, 'fat' => 1, 'starch' => 1])) {
            $known = \is_array($thing['hazards'] ?? null) ? $thing['hazards'] : [];
            $whole['hazards'] = \in_array('unknown', $known, true) ? $known : [...$known, 'unknown'];
        }

        return [...$whole, 'own' => true];
    }

    /** @return array<string, array<string, mixed>> by id */
    private function shipped(): array
    {
        /** @var array{ingredients: list<array<string, mixed>>} $document */
        $document = json_decode($this->files->larder(), true, 16, \JSON_THROW_ON_ERROR);
        $things = [];
        foreach ($document['ingredients'] as $thing) {
            $things[\is_string($thing['id'] ?? null) ? $thing['id'] : ''] = $thing;
        }

        return $things;
    }

    /**
     * @param array<string, array<string, mixed>> $own
     *
     * @return array{format: string, version: int, ingredients: list<array<string, mixed>>}
     */
    private function document(array $own): array
    {
        return ['format' => 'feast-ladle/larder', 'version' => 1, 'ingredients' => array_values([...$this->shipped(), ...$own])];
    }

    private function kitchen(): KitchenRecord
    {
        return $this->kitchens->local() ?? throw new \LogicException('There is no kitchen yet.');
    }
}
