<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Support;

use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schools\Choices;
use FeastLadle\Telling\Lexicon;
use FeastLadle\Telling\LexiconReader;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;

/** The shipped data, read for tests. */
final class Shipped
{
    private static ?Larder $larder = null;

    private static ?Lexicon $lexicon = null;

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
        if (null === self::$larder) {
            $reader = new LarderReader();
            self::$larder = $reader->read(self::json('larder'));
            foreach (self::recipes() as $slug) {
                $root = Node::root(self::document('recipes/'.$slug), new Faults());
                self::$larder = self::$larder->with($reader->brought($root->at('ingredients')));
            }
        }

        return self::$larder;
    }

    public static function lexicon(): Lexicon
    {
        return self::$lexicon ??= (new LexiconReader())->read(self::json('words'));
    }

    public static function lines(float $cupMl = 240): LineReader
    {
        return new LineReader(self::larder(), self::lexicon(), $cupMl);
    }

    public static function telling(float $cupMl = 240): Telling
    {
        return new Telling(self::larder(), self::lexicon(), $cupMl);
    }

    public static function recipe(string $slug, ?Choices $choices = null): Recipe
    {
        return (new RecipeReader(self::larder()))->read(self::json('recipes/'.$slug), $choices, self::shelf());
    }

    public static function kitchen(): Kitchen
    {
        return (new KitchenReader())->read(self::json('kitchens/kumbhar-lane'));
    }

    public static function temple(): Kitchen
    {
        return (new KitchenReader())->read(self::json('kitchens/tamarind-ghat'));
    }

    /** @param (callable(array<string, mixed>): array<string, mixed>)|null $change */
    public static function templeFeast(?callable $change = null): Feast
    {
        $document = self::document('feasts/boat-lamp');

        return (new FeastReader(self::temple(), self::shelf()))->read(
            json_encode(null === $change ? $document : $change($document), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
        );
    }

    public static function bellYard(): Kitchen
    {
        return (new KitchenReader())->read(self::json('kitchens/bell-yard'));
    }

    /** Four sittings of 450. */
    public static function bellFeast(): Feast
    {
        return (new FeastReader(self::bellYard(), self::shelf()))->read(self::json('feasts/bell-raising'));
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
            public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
            {
                return is_file(\dirname(__DIR__, 3).'/data/recipes/'.$slug.'.json') ? Shipped::recipe($slug, $choices) : null;
            }
        };
    }

    /** @return non-empty-list<Recipe> a recipe by every combination of schools that it allows */
    public static function everyWay(string $slug): array
    {
        return (new RecipeReader(self::larder()))->readEvery(self::json('recipes/'.$slug), self::shelf());
    }

    /** @return list<string> slugs of all recipes */
    public static function recipes(): array
    {
        return array_map(static fn (string $f): string => basename($f, '.json'), glob(\dirname(__DIR__, 3).'/data/recipes/*.json') ?: []);
    }
}
