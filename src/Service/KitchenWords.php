<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Asking\BookShares;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Asking\Unsaids;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
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
    ) {
    }

    public function lexicon(): Lexicon
    {
        return (new LexiconReader())->read($this->files->words())->with($this->things->ownWords());
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
