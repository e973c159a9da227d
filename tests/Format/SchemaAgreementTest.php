<?php

declare(strict_types=1);

namespace App\Tests\Format;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Feast\MomentKind;
use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\BuyingPlace;
use FeastLadle\Larder\Danger;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Larder\Origin;
use FeastLadle\Larder\Without;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Recipe\Skill;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\VesselKind;
use JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The published schemas of feast, kitchen and larder say what their readers take: every field of the shipped documents is taken away, made
 * another type, made too much or too little, and every object is given a field nobody knows; reader and schema agree on each.
 */
final class SchemaAgreementTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @var array<string, \stdClass> read once */
    private static array $schemas = [];

    private static ?Kitchen $temple = null;

    private static ?RecipeShelf $shelf = null;

    private const BY_ID = ['pots', 'schools', 'dials', 'holds'];

    /** Fields of the schema that no shipped document needs, with something sound for each. */
    private const MORE = [
        'kitchen' => [
            '/humidity' => 0.5,
            '/fillLimits' => ['syrup' => 0.4],
            '/tools/0/loadPieces' => 12,
            '/vessels/0/metal' => 'brass',
            '/vessels/0/emptyKg' => 3,
            '/burners/0/ringMm' => 120,
        ],
        'feast' => [
            '/rules' => ['no-grain'],
            '/pins' => [['step' => 'kesari/1/roast', 'day' => -1, 'time' => '09:30']],
            '/otherWork' => [['name' => 'Rice', 'on' => 'fire-1', 'day' => 0, 'from' => '14:00', 'to' => '15:00']],
            '/marginMinutes' => 20,
            '/dishes/0/revision' => 1,
            '/dishes/0/readyEarlier' => 5,
            '/dishes/0/portion' => 80,
            '/dishes/0/pots' => ['roast' => 'great-pan'],
            '/dishes/0/schools' => ['texture' => 'moist'],
            '/dishes/0/dials' => ['sweet' => 0.9],
            '/dishes/0/without' => ['nuts'],
            '/dishes/0/bought' => ['paneer'],
            '/dishes/0/leftOut' => ['nuts'],
            '/dishes/0/instead' => [['for' => 'ghee', 'ingredient' => 'coconut-oil', 'ratio' => 0.9]],
            '/groups/0/avoids' => ['egg'],
        ],
        'larder' => [],
        'recipe' => [],
    ];

    /** @return iterable<string, array{string, string}> kind, file */
    public static function documents(): iterable
    {
        yield 'a temple kitchen' => ['kitchen', 'kitchens/tamarind-ghat'];
        yield 'a feast' => ['feast', 'feasts/boat-lamp'];
        yield 'the larder' => ['larder', 'larder'];
        yield 'a recipe of several ways' => ['recipe', 'recipes/jalebi'];
    }

    /** @return iterable<string, array{string, string}> */
    public static function shipped(): iterable
    {
        yield from self::documents();
        foreach (['kumbhar-lane', 'bell-yard', 'plain'] as $name) {
            yield $name => ['kitchen', 'kitchens/'.$name];
        }
        foreach (['new-roof', 'bell-raising'] as $name) {
            yield $name => ['feast', 'feasts/'.$name];
        }
    }

    #[DataProvider('documents')]
    public function testSchemaAndReaderAgreeOnEveryField(string $kind, string $file): void
    {
        $document = Shipped::document($file);
        foreach (self::MORE[$kind] as $pointer => $value) {
            $path = explode('/', substr($pointer, 1));
            if (1 === \count($path) || isset($document[$path[0]])) {
                $document = self::with($document, $path, $value);
            }
        }
        if ('kitchen' === $kind) {
            $document = array_map(
                static fn (mixed $field): mixed => \is_array($field) && array_is_list($field) ? \array_slice($field, 0, 2) : $field,
                $document,
            );
        }
        if ('larder' === $kind) {
            $document['ingredients'] = $this->eachKindOfThing($document['ingredients']);
        }
        self::assertSame([], $this->refusals($kind, $document), 'The document itself is sound.');
        $asked = 0;
        foreach ($this->changes($document) as [$at, $what, $changed]) {
            $schema = $this->schemaRefuses($kind, $changed);
            $reader = $this->nearBy($at, $this->refusals($kind, $changed));
            if ($schema) {
                self::assertNotSame([], $reader, "$at $what: the schema refuses what the reader takes.");
            } else {
                self::assertSame([], array_values(array_filter($reader, $this->aSchemaCouldTell(...))), "$at $what");
            }
            ++$asked;
        }
        self::assertGreaterThan(150, $asked);
    }

    /**
     * What is said of the field itself and of those beside it; what is far away only misses what it counted on.
     *
     * @param list<string> $refusals
     *
     * @return list<string>
     */
    private function nearBy(string $at, array $refusals): array
    {
        $beside = substr_count($at, '/') > 1 ? \dirname($at) : $at;

        return array_values(
            array_filter(
                $refusals,
                static fn (string $r): bool => str_starts_with($r, $beside) || str_starts_with($at, explode(':', $r)[0]),
            ),
        );
    }

    /** How several fields go together is told by the reader alone. */
    private function aSchemaCouldTell(string $refusal): bool
    {
        return 1 !==
            preg_match(
                '/These ways do not go together|needs a flame|needs a pot or a pan|Nothing takes what|There is no (dish|moment)|A '
                    .'feast needs guests|may '.
                    'not be left out/',
                $refusal,
            );
    }

    #[DataProvider('shipped')]
    public function testTheShippedDocumentIsValid(string $kind, string $file): void
    {
        self::assertFalse($this->schemaRefuses($kind, Shipped::document($file)));
    }

    public function testListsOfWordsAreThoseOfTheCore(): void
    {
        $lists = [
            'kitchen' => [
                'burners/items/properties/fuel' => Fuel::cases(),
                'vessels/items/properties/kind' => VesselKind::cases(),
                'vessels/items/properties/metal' => Metal::cases(),
                'people/items/properties/skill' => Skill::cases(),
                'tools/items/properties/process' => Process::cases(),
            ],
            'feast' => [
                'moments/items/properties/kind' => MomentKind::cases(),
                'dishes/items/properties/without/items' => Without::cases(),
            ],
            'larder' => [
                'ingredients/items/properties/diet' => Origin::cases(),
                'ingredients/items/properties/from' => BuyingPlace::cases(),
                'ingredients/items/properties/hazards/items' => Danger::OF_THINGS,
            ],
        ];
        foreach ($lists as $kind => $places) {
            foreach ($places as $place => $cases) {
                self::assertSame(array_column($cases, 'value'), $this->at($kind, $place.'/enum'), "$kind $place");
            }
        }
        $limits = $this->at('kitchen', 'fillLimits/properties');
        self::assertIsArray($limits);
        self::assertSame(array_column(FillLimit::cases(), 'value'), array_keys($limits));
    }

    private function at(string $kind, string $place): mixed
    {
        $value = json_decode(
            (string) file_get_contents(self::ROOT."/docs/formats/$kind.schema.json"),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        foreach (['properties', ...explode('/', $place)] as $key) {
            self::assertIsArray($value);
            $value = $value[$key] ?? null;
        }

        return $value;
    }

    /**
     * As few things of the larder as hold every field there is.
     *
     * @return list<mixed>
     */
    private function eachKindOfThing(mixed $things): array
    {
        self::assertIsArray($things);
        $kept = $seen = [];
        foreach ($things as $thing) {
            self::assertIsArray($thing);
            if ([] !== array_diff_key($thing, $seen)) {
                // What stands in for it is not of this list.
                unset($thing['substitutes']);
                $kept[] = $thing;
                $seen += $thing;
            }
        }
        $kept[0]['substitutes'] = [['without' => 'dairy', 'use' => $kept[0]['id'], 'ratio' => 1.5, 'caution' => 'Low flame.']];

        return $kept;
    }

    /**
     * @param array<mixed> $document
     *
     * @return iterable<array{string, string, array<mixed>}> where, what was done, the document with it
     */
    private function changes(array $document): iterable
    {
        foreach ($this->places($document, []) as [$path, $value]) {
            $at = '/'.implode('/', $path);
            if ([] !== $path && !\is_int(end($path))) {
                yield [$at, 'taken away', self::without($document, $path)];
            }
            if (\is_array($value)) {
                if ([] !== $value && !array_is_list($value)) {
                    // Where the keys are ids, only the reader knows which there are.
                    if (!\in_array(end($path), self::BY_ID, true)) {
                        yield [$at, 'with a field nobody knows', self::with($document, [...$path, 'zz'], 1)];
                    }
                    yield [$at, 'made a number', [] === $path ? ['zz' => 1] : self::with($document, $path, 7)];
                }
                continue;
            }
            foreach ([['an object', ['a' => 1]], ['true', true], ['a huge number', 1e15], ['less than all', -1e15]] as [$what, $new]) {
                if (!\is_bool($value) || !\is_bool($new)) {
                    yield [$at, "made $what", self::with($document, $path, $new)];
                }
            }
            if (\is_string($value)) {
                yield [$at, 'made empty', self::with($document, $path, '')];
                yield [$at, 'made long', self::with($document, $path, str_repeat('x', 400))];
            }
        }
    }

    /**
     * @param list<string|int> $path
     *
     * @return iterable<array{list<string|int>, mixed}>
     */
    private function places(mixed $value, array $path): iterable
    {
        yield [$path, $value];
        foreach (\is_array($value) ? \array_slice($value, 0, array_is_list($value) ? 2 : null, true) : [] as $key => $inner) {
            yield from $this->places($inner, [...$path, $key]);
        }
    }

    /** @param array<mixed> $document */
    private function schemaRefuses(string $kind, array $document): bool
    {
        $object = json_decode($this->json($document), false, 64, \JSON_THROW_ON_ERROR);
        $validator = new Validator();
        $validator->validate($object, $this->schema($kind));

        return !$validator->isValid();
    }

    /**
     * @param array<mixed> $document
     *
     * @return list<string>
     */
    private function refusals(string $kind, array $document): array
    {
        try {
            match ($kind) {
                'kitchen' => (new KitchenReader())->read($this->json($document)),
                'larder' => (new LarderReader())->read($this->json($document)),
                'recipe' => (new RecipeReader(Shipped::larder()))->read($this->json($document), null, self::$shelf ??= $this->shelf()),
                default => (new FeastReader(self::$temple ??= Shipped::temple(), self::$shelf ??= $this->shelf()))->read(
                    $this->json($document),
                ),
            };
        } catch (FaultyDocument $faulty) {
            return array_map(strval(...), $faulty->faults);
        }

        return [];
    }

    /** Reads each recipe once: here only the feast is asked. */
    private function shelf(): RecipeShelf
    {
        return new class implements RecipeShelf {
            /** @var array<string, Recipe|null> */
            private array $read = [];

            public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
            {
                if (!\array_key_exists($slug, $this->read)) {
                    $this->read[$slug] = 1 === preg_match('/^[a-z-]+$/D', $slug) ? Shipped::shelf()->find($slug, null) : null;
                }

                return $this->read[$slug];
            }
        };
    }

    /** @param array<mixed> $document */
    private function json(array $document): string
    {
        return json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }

    private function schema(string $kind): \stdClass
    {
        if (!isset(self::$schemas[$kind])) {
            $schema = json_decode(
                (string) file_get_contents(self::ROOT."/docs/formats/$kind.schema.json"),
                false,
                64,
                \JSON_THROW_ON_ERROR,
            );
            self::assertInstanceOf(\stdClass::class, $schema);
            self::$schemas[$kind] = $schema;
        }

        return self::$schemas[$kind];
    }

    /**
     * @param array<mixed>     $document
     * @param list<string|int> $path
     *
     * @return array<mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $key = array_shift($path);
        $inner = $document[$key] ?? [];
        $document[$key] = [] === $path ? $value : self::with(\is_array($inner) ? $inner : [], $path, $value);

        return $document;
    }

    /**
     * @param array<mixed>     $document
     * @param list<string|int> $path
     *
     * @return array<mixed>
     */
    private static function without(array $document, array $path): array
    {
        $key = array_shift($path);
        if ([] === $path) {
            unset($document[$key]);
        } elseif (\is_array($document[$key] ?? null)) {
            $left = self::without($document[$key], $path);
            $document[$key] = [] === $left ? new \stdClass() : $left;
        }

        return $document;
    }
}
