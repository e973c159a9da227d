<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Support;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Feast\RecipeShelf;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;

/** The shipped data, read for tests. */
final class Shipped
{
    /** @return array<string, mixed> */
    public static function document(string $name): array
    {
        /** @var array<string, mixed> $document */
        $document = json_decode(self::json($name), true, 64, \JSON_THROW_ON_ERROR);

        return $document;
    }

    public static function json(string $name): string
    {
        return (string) file_get_contents(\dirname(__DIR__, 3).'/data/'.$name.'.json');
    }

    public static function larder(): Larder
    {
        return (new LarderReader())->read(self::json('larder'));
    }

    public static function recipe(string $slug): Recipe
    {
        return (new RecipeReader(self::larder()))->read(self::json('recipes/'.$slug));
    }

    public static function kitchen(): Kitchen
    {
        return (new KitchenReader())->read(self::json('kitchens/kumbhar-lane'));
    }

    /** The demo feast with other numbers of grown-ups, elders and children. */
    public static function feast(int $grownUps = 18, int $elders = 4, int $children = 6): Feast
    {
        /** @var array{groups: list<array<string, mixed>>} $document */
        $document = self::document('feasts/new-roof');
        foreach ([$grownUps, $elders, $children] as $i => $count) {
            $document['groups'][$i]['count'] = $count;
        }

        return (new FeastReader(self::kitchen(), self::shelf()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }

    public static function shelf(): RecipeShelf
    {
        return new class implements RecipeShelf {
            public function find(string $slug, ?int $revision): ?Recipe
            {
                return \in_array($slug, ['pineapple-kesari', 'basundi', 'milk-solids-balls', 'coconut-rose-barfi'], true) ? Shipped::recipe($slug) : null;
            }
        };
    }
}
