<?php

declare(strict_types=1);

namespace App\View;

use App\Service\RecipeBook;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;

/**
 * The recipe book at a glance.
 *
 * @phpstan-type Row array{slug: string, name: string, summary: string, served: string, questions: int, dials: int,
 *     steps: int, revision: int}
 */
final readonly class BookPage
{
    public function __construct(private RecipeBook $book)
    {
    }

    /** @return array{sweets: list<Row>, bases: list<Row>} by name */
    public function of(): array
    {
        $sweets = [];
        $bases = [];
        foreach ($this->book->all() as $entry) {
            $newest = $entry->newest();
            // Only what the glance shows is looked at; reading every recipe whole would take longer than the page may.
            $document = Node::root(json_decode($newest->getDocument(), true, 64, \JSON_THROW_ON_ERROR), new Faults());
            $row = [
                'slug' => $entry->getSlug(),
                'name' => $entry->getName(),
                'summary' => $document->at('summary')->text(),
                'served' => $document->at('serving')->at('way')->text(),
                'questions' => \count($document->at('schools')->items()),
                'dials' => \count($document->at('dials')->items()),
                'steps' => \count($document->at('steps')->items()),
                'revision' => $newest->getNumber(),
            ];
            if ($document->has('base')) {
                $bases[] = $row;
            } else {
                $sweets[] = $row;
            }
        }

        return ['sweets' => $sweets, 'bases' => $bases];
    }
}
