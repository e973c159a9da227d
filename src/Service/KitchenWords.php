<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Larder\Larder;
use FeastLadle\Telling\Lexicon;
use FeastLadle\Telling\LexiconReader;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;

/** The words that ship, with what this kitchen calls its things, and what reads by them. */
final readonly class KitchenWords
{
    public function __construct(private ShippedFiles $files, private CurrentKitchen $kitchen, private Larder $larder)
    {
    }

    public function lexicon(): Lexicon
    {
        return (new LexiconReader())->read($this->files->words());
    }

    public function lines(): LineReader
    {
        return new LineReader($this->larder, $this->lexicon(), $this->cupMl());
    }

    public function telling(): Telling
    {
        return new Telling($this->larder, $this->lexicon(), $this->cupMl());
    }

    private function cupMl(): float
    {
        return $this->kitchen->equipment()->measures->cupMl;
    }
}
