<?php

declare(strict_types=1);

namespace App\View;

use App\Entity\RecipeRecord;
use App\Service\Kept;
use App\Service\KitchenLarder;
use App\Service\RecipeBook;
use FeastLadle\Glance\Glancing;
use FeastLadle\Glance\Sweet;
use FeastLadle\Larder\Larder;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The recipe book at a glance: each sweet drawn as it is, those that are asked for.
 *
 * @phpstan-import-type Drawn from SweetPicture
 *
 * @phpstan-type Row array{slug: string, name: string, summary: string, served: string, questions: int, keepMinutes: int,
 *     keepDays: int, handMinutes: float, allergens: list<string>, revision: int, picture: Drawn}
 */
final readonly class BookPage
{
    public function __construct(
        private RecipeBook $book,
        private Larder $larder,
        private KitchenLarder $own,
        private Kept $kept,
        #[Autowire('%app.core_version%')] private string $coreVersion,
    ) {
    }

    /**
     * By name.
     *
     * @return array{sweets: list<Row>, bases: list<Row>, found: int, all: int, allergens: list<string>} all: how many there are
     */
    public function of(BookAsked $asked): array
    {
        $glances = $this->glances();
        $found = ['sweets' => [], 'bases' => []];
        $allergens = [];
        foreach ($this->book->all() as $entry) {
            [$sweet, $summary, $questions, $isBase] = $glances[$entry->getSlug()] ?? [null, '', 0, false];
            if (null === $sweet) {
                continue;
            }
            array_push($allergens, ...$sweet->allergens);
            if ($asked->fits($entry->getName(), $summary, $sweet)) {
                $found[$isBase ? 'bases' : 'sweets'][] = self::row($entry, $sweet, $summary, $questions);
            }
        }
        $allergens = array_values(array_unique($allergens));
        sort($allergens);

        return [
            ...$found,
            'found' => \count($found['sweets']) + \count($found['bases']),
            'all' => \count($glances),
            'allergens' => $allergens,
        ];
    }

    /** @return Row */
    private static function row(RecipeRecord $entry, Sweet $sweet, string $summary, int $questions): array
    {
        return [
            'slug' => $entry->getSlug(),
            'name' => $entry->getName(),
            'summary' => $summary,
            'served' => $sweet->served->value,
            'questions' => $questions,
            'keepMinutes' => $sweet->keepMinutes,
            'keepDays' => intdiv($sweet->keepMinutes, BookAsked::DAY),
            'handMinutes' => $sweet->handMinutes,
            'allergens' => $sweet->allergens,
            'revision' => $entry->newest()->getNumber(),
            'picture' => SweetPicture::of($sweet),
        ];
    }

    /** @return array<string, array{Sweet, string, int, bool}> by slug: the glance, its summary, questions, whether others take from it */
    private function glances(): array
    {
        // Reading every recipe whole takes longer than the page may, and none of them changes but by a new revision.
        $follows = [$this->book->state(), $this->own->fingerprint(), $this->coreVersion];

        return $this->kept->get(hash('xxh128', serialize($follows)), 'glances', function (): array {
            $glancing = new Glancing($this->larder);
            $glances = [];
            foreach ($this->book->all() as $entry) {
                $recipe = $this->book->find($entry->getSlug(), null);
                if (null !== $recipe) {
                    $glances[$entry->getSlug()] = [
                        $glancing->at($recipe),
                        $recipe->summary,
                        \count($recipe->way->schools),
                        null !== $recipe->base,
                    ];
                }
            }

            return $glances;
        });
    }
}
