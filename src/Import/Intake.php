<?php

declare(strict_types=1);

namespace App\Import;

use App\Entity\RecipeDraft;
use App\Entity\RecipeRevision;
use App\Service\CurrentKitchen;
use App\Service\DraftDesk;
use App\Service\RecipeBook;
use App\Service\Speaker;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\DraftOfTelling;
use FeastLadle\Drafting\OpenPoint;
use FeastLadle\Drafting\ToldDraft;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;
use FeastLadle\Telling\TextReader;
use FeastLadle\Telling\ToldRecipe;

/**
 * Takes recipes in from whatever they come as. A document of our own goes into the book; anything else is understood as far as it
 * goes and put on the writing desk, with its guesses marked and its questions asked.
 */
final readonly class Intake
{
    public function __construct(
        private RecipeBook $book,
        private DraftDesk $desk,
        private LinkedData $linked,
        private LineReader $lines,
        private Telling $telling,
        private CurrentKitchen $kitchen,
        private FiveQuestions $questions,
        private Speaker $speaker,
    ) {
    }

    /** @throws FaultyDocument when nothing can be made of it; book and desk are then as they were */
    public function take(string $content): RecipeRevision|RecipeDraft
    {
        $source = $this->source($content);
        if (\is_string($source)) {
            return $this->book->import($source);
        }
        $told = $this->understand($source, $this->desk->freeSlug($source->name));

        return $this->desk->beginWith($told->draft, $this->open($told), self::isPlain($content) ? $content : null);
    }

    /**
     * What a text comes to, without keeping it.
     *
     * @throws FaultyDocument
     */
    public function parse(string $content): ToldDraft
    {
        $source = $this->source($content);

        return \is_string($source)
            ? throw FaultyDocument::because('text', 'This is a recipe document already; there is nothing to guess. Import it.')
            : $this->understand($source, $this->desk->freeSlug($source->name));
    }

    /** A draft is made of its telling once more, by the words that this kitchen has learned since; what was changed in it by hand goes. */
    public function again(RecipeDraft $draft): void
    {
        $document = json_decode($draft->getDocument(), true, 64, \JSON_THROW_ON_ERROR);
        $slug = \is_array($document) && \is_string($document['slug'] ?? null) ? $document['slug'] : 'told';
        $source = $this->source($draft->getTold() ?? '');
        if ($source instanceof ToldRecipe) {
            $told = $this->understand($source, $slug);
            $this->desk->tellAnew($draft, $told->draft, $this->open($told));
        }
    }

    /** What a telling was heard as, word by word. */
    public function heard(string $told): ?Heard
    {
        $source = $this->source($told);

        return $source instanceof ToldRecipe ? $this->understand($source, 'told')->heard : null;
    }

    private static function isPlain(string $content): bool
    {
        return 1 !== preg_match('/^\s*[{\[]|<!doctype html|<html\b|<script/i', $content);
    }

    /**
     * As the desk keeps it: places by step id, which outlive a reordering; what matters most first, the rest marked as later.
     *
     * @return list<array{place: string, text: string, guess: bool, effect: string, later: bool}>
     */
    public function open(ToldDraft $told): array
    {
        $steps = $told->draft->steps();
        $place = static function (OpenPoint $open) use ($steps): string {
            if (1 !== preg_match('#^/steps/(\d+)(/.*)?$#', $open->place, $match)) {
                return $open->place;
            }
            $id = $steps[(int) $match[1]]['id'] ?? '';

            return '#'.(\is_string($id) ? $id : '').($match[2] ?? '');
        };
        $rows = [];
        foreach ($this->questions->of($told) as $n => $asked) {
            $rows[] = [
                'place' => $place($asked->point),
                'text' => $asked->point->text(),
                'guess' => false,
                'effect' => null === $asked->effect ? '' : $this->speaker->say($asked->effect),
                'later' => $n >= FiveQuestions::FIRST,
            ];
        }
        foreach ($told->guesses as $guess) {
            $rows[] = ['place' => $place($guess), 'text' => $guess->text(), 'guess' => true, 'effect' => '', 'later' => true];
        }

        return $rows;
    }

    /** @return string|ToldRecipe a document of our own, or what was told */
    private function source(string $content): string|ToldRecipe
    {
        if (!mb_check_encoding($content, 'UTF-8')) {
            throw FaultyDocument::because('recipe', 'This is no text in UTF-8.');
        }
        $start = ltrim($content, "\u{feff} \t\r\n");
        if (str_starts_with($start, '{') || str_starts_with($start, '[')) {
            if (!$this->linked->isLinkedData($start)) {
                return $start;
            }

            return $this->linked->ownDocument($start) ??
                ($this->linked->told($start) ?? throw FaultyDocument::because('recipe', 'This JSON-LD describes no recipe.'));
        }
        if (
            1 === preg_match('/<!doctype html|<html\b/i', $start)
            || (false !== stripos($start, '<script') && false !== stripos($start, 'ld+json'))
        ) {
            foreach ($this->linked->scripts($start) as $script) {
                $found = $this->inScript($script);
                if (null !== $found) {
                    return $found;
                }
            }
        }

        return (new TextReader($this->lines, $this->telling))->read($start);
    }

    private function inScript(string $script): string|ToldRecipe|null
    {
        try {
            return $this->linked->ownDocument($script) ?? $this->linked->told($script);
        } catch (FaultyDocument) {
            // A page may hold broken parts that are none of ours.
            return null;
        }
    }

    private function understand(ToldRecipe $told, string $slug): ToldDraft
    {
        return (new DraftOfTelling($this->lines, $this->telling, $this->kitchen->equipment()->measures->cupMl))->make($told, $slug);
    }
}
