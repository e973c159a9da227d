<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Larder\Larder;
use FeastLadle\Menus\MenuFind;
use FeastLadle\Menus\MenuSearch;
use FeastLadle\Menus\MenuWish;
use FeastLadle\Modelling\Earliness;
use Symfony\Component\Uid\Uuid;

/** The recipe book as a menu may be chosen from it: by hand, or by what a search finds. */
final readonly class MenuBook
{
    /** Of the guests, those who take a sweet, where nobody has said otherwise. */
    private const USUAL_UPTAKE = 0.9;

    public function __construct(private RecipeBook $recipes, private Larder $larder, private DayPolicy $day)
    {
    }

    /**
     * A new row of a feast's menu, with the newest revision: a feast keeps the one it was planned with.
     *
     * @param array<string, mixed> $way bases bought, schools chosen
     *
     * @return array<string, mixed>
     */
    public function row(string $slug, array $way = []): array
    {
        $revision = $this->recipes->revision($slug)?->getNumber();
        $recipe = $this->recipes->find($slug, $revision);

        return [
            'id' => 'd-'.strtolower(Uuid::v7()->toBase32()),
            'recipe' => $slug,
            'revision' => $revision,
            'uptake' => self::USUAL_UPTAKE,
            ...null === $recipe ? [] : ['readyEarlier' => Earliness::usual($recipe)],
            ...$way,
        ];
    }

    /** @return list<string> slugs of all sweets, bases left out */
    public function sweets(): array
    {
        $sweets = [];
        foreach ($this->recipes->all() as $record) {
            try {
                $recipe = $this->recipes->find($record->getSlug(), null);
            } catch (FaultyDocument) {
                // One that can't be read any more is no reason to offer none.
                continue;
            }
            if (null !== $recipe && null === $recipe->base) {
                $sweets[] = $recipe->slug;
            }
        }

        return $sweets;
    }

    /**
     * @param \Closure(): bool $goOn
     *
     * @return \Generator<int, array{int, int, MenuFind|null}>
     */
    public function search(OpenFeast $open, MenuWish $wish, \Closure $goOn): \Generator
    {
        $search = new MenuSearch(
            FeastDocument::of($open->document),
            new FeastReader($open->kitchen, $this->recipes),
            $open->kitchen,
            $this->larder,
            $this->day->notBefore($open),
        );

        return $search->search($wish, array_map(fn (string $slug): array => $this->row($slug), $this->sweets()), $goOn);
    }
}
