<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenWord;
use App\Repository\KitchenRepository;
use App\Repository\KitchenWordRepository;
use Doctrine\DBAL\Exception as DatabaseException;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Asking\BookShares;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Asking\Unsaids;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\Lexicon;
use FeastLadle\Telling\LexiconReader;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;

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
        $kitchen = $this->kitchen->home();
        $known = $this->words->of($kitchen, $word);
        if (\is_string($means)) {
            if (null !== $known) {
                $this->entities->remove($known);
                $this->entities->flush();
            }
            $this->things->learn($word, $means);

            return;
        }
        $action = $means->value ?? KitchenWord::NOTHING;
        if (null === $known) {
            $this->entities->persist(new KitchenWord($kitchen, $word, $action));
        } else {
            $known->becomes($action);
        }
        $this->entities->flush();
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

    public function questions(): FiveQuestions
    {
        $recipes = array_map(
            fn (string $json): Recipe => (new RecipeReader($this->larder))->read($json, null, $this->book),
            $this->files->recipes(),
        );

        return new FiveQuestions(
            $this->larder,
            $this->kitchen->equipment()->climate,
            new Unsaids(BookShares::of($recipes), $this->cupMl()),
        );
    }

    private function cupMl(): float
    {
        return $this->kitchen->equipment()->measures->cupMl;
    }
}
