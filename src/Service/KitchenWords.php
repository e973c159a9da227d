<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenWord;
use App\Entity\RecipeRecord;
use App\Repository\KitchenRepository;
use App\Repository\KitchenWordRepository;
use Doctrine\DBAL\Exception as DatabaseException;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Asking\BookShares;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Asking\Unsaids;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\Lexicon;
use FeastLadle\Telling\LexiconReader;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The words that ship, with what this kitchen calls its things, and what reads by them. */
final readonly class KitchenWords
{
    public function __construct(
        private ShippedFiles $files,
        private CurrentKitchen $kitchen,
        private Larder $larder,
        private KitchenLarder $things,
        private RecipeBook $book,
        private KitchenRepository $kitchens,
        private KitchenWordRepository $words,
        private EntityManagerInterface $entities,
        private Kept $kept,
        #[Autowire('%app.core_version%')] private string $coreVersion,
    ) {
    }

    public function lexicon(): Lexicon
    {
        $does = $nothing = [];
        foreach ($this->corrections() as $word) {
            $action = Action::tryFrom($word->getAction());
            if (null !== $action) {
                $does[$word->getWord()] = $action;
            } elseif (KitchenWord::NOTHING === $word->getAction()) {
                $nothing[] = $word->getWord();
            }
        }

        return (new LexiconReader())->read($this->files->words())->with($this->things->ownWords())->corrected($does, $nothing);
    }

    /**
     * From now on a word means this in the home kitchen; what it meant before goes.
     *
     * @param Action|string|null $means what is done, the id of a thing of the larder, or null: it says nothing
     */
    public function learn(string $word, Action|string|null $means): void
    {
        $this->entities->wrapInTransaction(function () use ($word, $means): void {
            $kitchen = $this->kitchen->home();
            $this->things->unlearn($word);
            $known = $this->words->of($kitchen, $word);
            $action = \is_string($means) ? null : $means->value ?? KitchenWord::NOTHING;
            if (null === $action && null !== $known) {
                $this->entities->remove($known);
            } elseif (null !== $action && null === $known) {
                $this->entities->persist(new KitchenWord($kitchen, $word, $action));
            } elseif (null !== $action) {
                $known->becomes($action);
            }
            if (\is_string($means)) {
                $this->things->learn($word, $means);
            }
        });
    }

    /** @return list<KitchenWord> none where nothing was laid out yet */
    private function corrections(): array
    {
        try {
            $kitchen = $this->kitchens->local();

            return null === $kitchen ? [] : $this->words->all($kitchen);
        } catch (DatabaseException) {
            return [];
        }
    }

    public function lines(): LineReader
    {
        return new LineReader($this->larder, $this->lexicon(), $this->cupMl());
    }

    public function telling(): Telling
    {
        return new Telling($this->larder, $this->lexicon(), $this->cupMl());
    }

    /** What was never said is supposed as this kitchen's own book has it. */
    public function questions(): FiveQuestions
    {
        return new FiveQuestions(
            $this->larder,
            $this->kitchen->equipment()->climate,
            new Unsaids($this->shares(), $this->cupMl()),
        );
    }

    private function shares(): BookShares
    {
        $follows = [$this->coreVersion, $this->things->fingerprint(), $this->book->state()];

        return $this->kept->get(hash('xxh128', serialize($follows)), 'shares', fn (): BookShares => BookShares::of(array_filter(
            array_map(fn (RecipeRecord $r): ?Recipe => $this->book->find($r->getSlug(), null), $this->book->all()),
        )));
    }

    private function cupMl(): float
    {
        return $this->kitchen->equipment()->measures->cupMl;
    }
}
