<?php

declare(strict_types=1);

namespace App\Tests\Format;

use App\Service\RecipeBook;
use App\Tests\Support\BrowserCase;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Modelling\ScheduleBuilder;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Recipe\RecipeShelf;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schools\Choices;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Whatever a document may say changes something: each field of the schema is changed where a shipped document uses it, and then the
 * schedule problem, the amounts, the pots, what a page shows, or what is refused must be another.
 */
final class FieldWalkTest extends BrowserCase
{
    private const FORMATS = __DIR__.'/../../docs/formats/';

    /** Places tried for a field before it is called dead. */
    private const PLACES = 6;

    /** @var array<string, string> what follows from a document, by its own text */
    private array $known = [];

    /** @return iterable<string, array{int}> the fields of a recipe in four parts, to be walked side by side */
    public static function parts(): iterable
    {
        foreach (range(0, 3) as $part) {
            yield 'part '.($part + 1) => [$part];
        }
    }

    #[DataProvider('parts')]
    public function testEveryFieldOfARecipeIsReadByThePlanOrByItsPage(int $part): void
    {
        $documents = [];
        foreach (Shipped::recipes() as $slug) {
            $documents[$slug] = Shipped::document('recipes/'.$slug);
        }
        $documents['walked'] = $this->withRareFields($documents['fried-nuts']);
        $fields = self::fields('recipe');
        $mine = array_filter($fields, static fn (int $i): bool => $i % 4 === $part, \ARRAY_FILTER_USE_KEY);
        self::assertGreaterThan(20, \count($mine));
        $dead = [];
        foreach ($mine as [$field, $spec]) {
            $effect = fn (array $of, string $slug): array => [fn (): string => $this->plan($slug, $of), fn (): string => $this->page($of)];
            $dead[] = $this->deadness($field, $spec, $documents, $effect);
        }

        self::assertSame([], array_values(array_filter($dead)));
    }

    /**
     * @param array<mixed>                                                                  $spec
     * @param array<string, array<mixed>>                                                   $documents
     * @param \Closure(array<mixed>, string): array{\Closure(): string, \Closure(): string} $effects
     *
     * @return string|null what is wrong, or null
     */
    private function deadness(string $field, array $spec, array $documents, \Closure $effects): ?string
    {
        $found = [];
        foreach ($documents as $slug => $document) {
            foreach (self::instances($document, explode('/', substr($field, 1)), []) as $path) {
                $found[] = [$slug, $path];
            }
        }
        if ([] === $found) {
            return "$field: no document has it";
        }
        $taken = $refused = 0;
        $step = max(1, intdiv(\count($found), self::PLACES));
        for ($i = 0; $i < \count($found); $i += $step) {
            [$slug, $path] = $found[$i];
            foreach (self::instead(self::at($documents[$slug], $path), $spec) as $value) {
                $changed = self::with($documents[$slug], $path, $value);
                try {
                    $before = $effects($documents[$slug], $slug);
                    foreach ($effects($changed, $slug) as $k => $after) {
                        if ($before[$k]() !== $after()) {
                            return null;
                        }
                    }
                    ++$taken;
                } catch (FaultyDocument) {
                    ++$refused;
                }
            }
        }

        // What may only be as it is (format, ids that others name) is read, or nobody could refuse it.
        return 0 === $taken && $refused > 0 ? null : "$field: $taken changes made no difference";
    }

    /**
     * What a recipe comes to: with its dials as written, and turned.
     *
     * @param array<mixed> $document
     */
    private function plan(string $slug, array $document): string
    {
        $json = json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);

        return $this->known['plan'.$json] ??= $this->planned($slug, $json, $document);
    }

    /** @param array<mixed> $document */
    private function planned(string $slug, string $json, array $document): string
    {
        $shelf = new class($slug, $json) implements RecipeShelf {
            public function __construct(private readonly string $slug, private readonly string $json)
            {
            }

            public function find(string $slug, ?int $revision, ?Choices $choices = null): ?Recipe
            {
                return $slug === $this->slug
                    ? (new RecipeReader(Shipped::larder()))->read($this->json, $choices, Shipped::shelf())
                    : Shipped::shelf()->find($slug, $revision, $choices);
            }
        };
        $feast = Shipped::document('feasts/boat-lamp');
        unset($feast['boxes'], $feast['pins'], $feast['rules']);
        $dials = [];
        foreach (\is_array($document['dials'] ?? null) ? $document['dials'] : [] as $dial) {
            if (\is_array($dial) && \is_string($dial['dial'] ?? null)) {
                $dials[$dial['dial']] = 0.9;
            }
        }
        $told = '';
        foreach ([[], $dials] as $i => $turned) {
            if (0 === $i || [] !== $turned) {
                $feast['dishes'] = [['id' => 'it', 'recipe' => $slug] + ([] === $turned ? [] : ['dials' => $turned])];
                $read = (new FeastReader(Shipped::temple(), $shelf))->read(json_encode($feast, \JSON_THROW_ON_ERROR));
                $told .= self::told($read, Shipped::temple());
            }
        }

        return $told;
    }

    /** The schedule problem, the amounts and the pots, as text. */
    private static function told(Feast $feast, Kitchen $kitchen): string
    {
        $quantities = (new QuantityPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $model = (new ScheduleBuilder($feast, $kitchen, Shipped::larder(), $quantities))->build();
        $told = [(new ProblemWriter())->problem($model->problem), array_map(static fn ($o): string => $o->text(), $model->obstacles)];
        foreach ($quantities->dishes as $dish) {
            foreach ($dish->bowls as $step => $bowls) {
                foreach ($bowls as $bowl) {
                    $told[] = [$step, $bowl->ingredient->id, $bowl->grams];
                }
            }
            foreach ($dish->batchPlan->ledger->flows as $step => $flow) {
                $told[] = [$step, $flow->gives->massGrams(), $flow->gives->celsius, $flow->waste, $flow->gives->pieces];
            }
            foreach ($dish->batchPlan->potOfStep() as $step => $pot) {
                $told[] = [$step, $pot->vessel()->id, $pot->fullestMl];
            }
        }

        return json_encode($told, \JSON_THROW_ON_ERROR);
    }

    /** @param array<mixed> $document */
    private function page(array $document): string
    {
        $json = json_encode(['slug' => 'walked'] + $document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        if (!isset($this->known['page'.$json])) {
            static::getContainer()->get(RecipeBook::class)->import($json);
            $this->browser->request('GET', '/recipes/walked');
            self::assertResponseIsSuccessful();
            $this->known['page'.$json] = (string) preg_replace(
                ['/[Rr]evision[ =]?\d+/', '/value="[^"]{40,}"/', '/What changed/', '/compare\?[^"]*/'],
                '',
                $this->browser->getCrawler()->filter('main')->html(),
            );
        }

        return $this->known['page'.$json];
    }

    /**
     * What no shipped recipe needs, in one that is small.
     *
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed>
     */
    private function withRareFields(array $document): array
    {
        \assert(\is_array($document['steps']) && \is_array($document['steps'][0]));
        $document['slug'] = 'walked';
        unset($document['base']);
        $fry = $document['steps'][0];
        $fry['vessel'] = ['kind' => 'pan', 'mostGrams' => 700];
        $fry['cues'] = [
            ['kind' => 'done', 'sign' => 'Brown as a nut', 'when' => ['colour' => 'dark']],
            ['kind' => 'done', 'sign' => 'It is sweet', 'tasting' => true],
        ];
        $fry['marks'] = [['minute' => 2, 'do' => 'Shake the pan', 'when' => ['colour' => 'dark']]];
        $fry['outputs'] = [
            [
                'id' => 'nuts',
                'name' => 'nuts',
                'is' => 'solids',
                'drinks' => 0.1,
                'keeping' => [
                    'minutes' => 600,
                    'place' => 'shelf',
                    'container' => 'a jar',
                    'enemies' => ['damp', 'ants'],
                    'thickens' => true,
                ],
            ],
            ['id' => 'fat', 'is' => 'rest', 'waste' => true],
        ];
        $document['steps'] = [
            $fry,
            [
                'id' => 'tip',
                'process' => 'mix-in',
                'title' => 'Tip out',
                'takes' => [['from' => 'fry', 'output' => 'nuts']],
                'time' => ['grows' => 'fixed', 'minutes' => [1, 1, 2]],
                'attention' => ['kind' => 'constant', 'skill' => 'any'],
            ],
        ];
        $document['schools'] = [
            [
                'id' => 'colour',
                'question' => 'How far?',
                'options' => [
                    ['id' => 'light', 'name' => 'Light', 'why' => 'Mild.'],
                    ['id' => 'dark', 'name' => 'Dark', 'why' => 'Strong.'],
                ],
            ],
        ];
        $document['result'] = 'tip';

        return $document;
    }

    /** @return list<array{string, array<mixed>}> pointer with "[]" for each of a list, and what the schema says of it */
    private static function fields(string $kind): array
    {
        $schema = json_decode((string) file_get_contents(self::FORMATS.$kind.'.schema.json'), true, 64, \JSON_THROW_ON_ERROR);
        \assert(\is_array($schema));
        $fields = [];
        self::collect($schema, $schema, '', $fields);

        return $fields;
    }

    /**
     * @param array<mixed>                      $root
     * @param array<mixed>                      $schema
     * @param list<array{string, array<mixed>}> $fields
     */
    private static function collect(array $root, array $schema, string $at, array &$fields): void
    {
        if (\is_string($schema['$ref'] ?? null)) {
            $schema = self::map(self::map($root['definitions'] ?? null)[basename($schema['$ref'])] ?? null);
        }
        // A variant says the same again under a condition; what is in it is read by the same lines.
        if (str_ends_with($at, 'variants')) {
            return;
        }
        foreach (self::map($schema['properties'] ?? null) as $key => $sub) {
            $fields[] = [$at.'/'.$key, self::map($sub)];
            self::collect($root, self::map($sub), $at.'/'.$key, $fields);
        }
        if (isset($schema['items'])) {
            self::collect($root, self::map($schema['items']), $at.'[]', $fields);
        }
    }

    /** @return array<array-key, mixed> */
    private static function map(mixed $value): array
    {
        return \is_array($value) ? $value : [];
    }

    /**
     * @param array<mixed>     $document
     * @param list<string>     $keys
     * @param list<int|string> $path
     *
     * @return iterable<list<int|string>>
     */
    private static function instances(array $document, array $keys, array $path): iterable
    {
        $key = (string) array_shift($keys);
        $isList = str_ends_with($key, '[]');
        $key = $isList ? substr($key, 0, -2) : $key;
        if (!\array_key_exists($key, $document)) {
            return;
        }
        if (!$isList) {
            if ([] === $keys) {
                yield [...$path, $key];
            } elseif (\is_array($document[$key])) {
                yield from self::instances($document[$key], $keys, [...$path, $key]);
            }

            return;
        }
        foreach (\is_array($document[$key]) ? $document[$key] : [] as $i => $each) {
            if (\is_array($each)) {
                yield from self::instances($each, $keys, [...$path, $key, $i]);
            }
        }
    }

    /**
     * @param array<mixed>     $document
     * @param list<int|string> $path
     */
    private static function at(array $document, array $path): mixed
    {
        $value = $document;
        foreach ($path as $key) {
            \assert(\is_array($value));
            $value = $value[$key];
        }

        return $value;
    }

    /**
     * @param array<mixed>     $document
     * @param list<int|string> $path
     *
     * @return array<mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $key = array_shift($path);
        if ([] === $path && null === $value) {
            unset($document[$key]);

            return $document;
        }
        $inner = $document[$key] ?? [];
        $document[$key] = [] === $path ? $value : self::with(\is_array($inner) ? $inner : [], $path, $value);

        return $document;
    }

    /**
     * @param array<mixed> $spec
     *
     * @return iterable<mixed> other values; null takes it away
     */
    private static function instead(mixed $value, array $spec): iterable
    {
        if (\is_array($spec['enum'] ?? null)) {
            yield from array_filter($spec['enum'], static fn (mixed $e): bool => $e !== $value);
        } elseif (\is_bool($value)) {
            yield !$value;
        } elseif (\is_int($value)) {
            yield from [$value + max(1, intdiv($value, 2)), intdiv($value, 2), 2 * $value + 10];
        } elseif (\is_float($value)) {
            yield from [1.3 * $value, 0.6 * $value, 2 * $value];
        } elseif (\is_string($value)) {
            yield 'Zebra '.$value;
        } elseif (\is_array($value) && 3 === \count($value) && array_is_list($value) && is_numeric($value[0])) {
            yield array_map(static fn (mixed $v): float => 1.7 * (is_numeric($v) ? (float) $v : 0.0) + 1, $value);
        } else {
            yield null;
            if (\is_array($value) && array_is_list($value) && \count($value) > 1) {
                yield \array_slice($value, 1);
            }
        }
    }
}
