<?php

declare(strict_types=1);

namespace App\Service;

use App\Doctrine\ComparesVersions;
use App\Entity\RecipeDraft;
use App\Entity\RecipeRevision;
use App\Repository\RecipeDraftRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\Draft;
use FeastLadle\Flow\Ledger;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\RecipeReader;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\String\Slugger\SluggerInterface;

/** Recipes while they are written: begun, kept after every change, judged, and at last taken into the book. */
final readonly class DraftDesk
{
    public function __construct(
        private RecipeDraftRepository $drafts,
        private CurrentKitchen $kitchen,
        private RecipeBook $book,
        private RecipeReader $reader,
        private RecipeChecker $checker,
        private Larder $larder,
        private EntityManagerInterface $entities,
        private ComparesVersions $versions,
        private ClockInterface $clock,
        private SluggerInterface $slugger,
    ) {
    }

    public function begin(string $name): RecipeDraft
    {
        $name = mb_substr(trim($name), 0, 100);

        return $this->keep(Draft::blank($this->freeSlug($name), '' === $name ? 'A new sweet' : $name), null, null);
    }

    /** The draft of a new revision of a recipe; one that was begun already goes on. */
    public function beginFrom(RecipeRevision $revision): RecipeDraft
    {
        $slug = $revision->getRecipe()->getSlug();

        return $this->drafts->ofRecipe($this->kitchen->home(), $slug) ??
            $this->keep(Draft::read($revision->getDocument()), $slug, $revision->getNumber());
    }

    /**
     * @param list<array{place: string, text: string, guess: bool, effect: string, later: bool}> $questions what is still to be answered
     * @param string|null                                                                        $told      the telling it was made of
     */
    public function beginWith(Draft $draft, array $questions, ?string $told): RecipeDraft
    {
        return $this->keep($draft, null, null, $questions, $told);
    }

    /** @param list<array{place: string, text: string, guess: bool, effect: string, later: bool}> $questions */
    public function tellAnew(RecipeDraft $record, Draft $draft, array $questions): void
    {
        $json = json_encode($questions, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $this->touch($record, null, fn () => $record->tellAnew($draft->json(), $json, $this->clock->now()));
    }

    /** A short name that no recipe of the book has. */
    public function freeSlug(string $name): string
    {
        $slug = mb_substr(strtolower($this->slugger->slug($name)->toString()), 0, 60);
        $slug = '' === $slug ? 'a-new-sweet' : $slug;
        for ($n = 1, $free = $slug; null !== $this->book->revision($free); $free = $slug.'-'.$n) {
            ++$n;
        }

        return $free;
    }

    /** @throws NotFoundHttpException when this kitchen has no such draft */
    public function open(int $id): OpenDraft
    {
        $record =
            $this->drafts->of($this->kitchen->home(), $id) ??
            throw new NotFoundHttpException(\sprintf('This kitchen has no draft %d.', $id));
        $draft = Draft::read($record->getDocument());
        try {
            $recipe = $this->reader->readEvery($record->getDocument(), $this->book)[0];
        } catch (FaultyDocument $faulty) {
            return new OpenDraft($record, $draft, $faulty->faults, null, null, []);
        }
        $ledger = Ledger::follow(
            $recipe,
            $this->larder,
            1.0,
            1,
            $this->kitchen->equipment()->climate,
        );

        return new OpenDraft($record, $draft, [], $recipe, $ledger, $this->checker->check($recipe));
    }

    /** @return list<array{id: int|null, name: string, of: string|null}> the one last worked on first */
    public function titles(): array
    {
        return array_map(static function (RecipeDraft $draft): array {
            $document = json_decode($draft->getDocument(), true, 64, \JSON_THROW_ON_ERROR);
            $name = \is_array($document) ? $document['name'] ?? '' : '';

            return ['id' => $draft->getId(), 'name' => \is_string($name) && '' !== $name ? $name : '…', 'of' => $draft->getOfSlug()];
        }, $this->drafts->all($this->kitchen->home()));
    }

    /**
     * @param int|null $seen version of the draft that the change was made to
     *
     * @throws ChangedMeanwhile
     */
    public function change(RecipeDraft $record, Draft $draft, ?int $seen): void
    {
        $json = $draft->withResultFound()->json();
        $this->touch($record, $seen, fn () => $record->change($json, $this->clock->now()));
    }

    public function goBack(RecipeDraft $record): void
    {
        $this->touch($record, null, fn () => $record->goBack($this->clock->now()));
    }

    public function settleQuestion(RecipeDraft $record, int $which): void
    {
        $questions = json_decode($record->getQuestions(), true, 16, \JSON_THROW_ON_ERROR);
        if (\is_array($questions)) {
            unset($questions[$which]);
            $json = json_encode(array_values($questions), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
            $this->touch($record, null, static fn () => $record->settleQuestions($json));
        }
    }

    /**
     * Into the book, as a new recipe or a new revision; the draft is then done with.
     *
     * @throws FaultyDocument when it does not read yet; it stays a draft then
     */
    public function save(RecipeDraft $record): RecipeRevision
    {
        $revision = $this->book->import($record->getDocument());
        $this->entities->remove($record);
        $this->entities->flush();

        return $revision;
    }

    public function discard(RecipeDraft $record): void
    {
        $this->entities->remove($record);
        $this->entities->flush();
    }

    /** @param list<array{place: string, text: string, guess: bool, effect: string, later: bool}> $questions */
    private function keep(Draft $draft, ?string $slug, ?int $revision, array $questions = [], ?string $told = null): RecipeDraft
    {
        $record = new RecipeDraft(
            $this->kitchen->home(),
            $draft->json(),
            $slug,
            $revision,
            json_encode($questions, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
            $this->clock->now(),
            $told,
        );
        $this->entities->persist($record);
        $this->entities->flush();

        return $record;
    }

    /** @param \Closure(): void $change */
    private function touch(RecipeDraft $record, ?int $seen, \Closure $change): void
    {
        $this->versions->change($record, $seen, $change, ChangedMeanwhile::draft(...));
    }
}
