<?php

declare(strict_types=1);

namespace App\Tests\Format;

use App\Service\RecipeBook;
use App\Tests\Support\BrowserCase;
use FeastLadle\Amounts\QuantityPlanner;
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
    use WalksFields;

    /** What a recipe brings is known to the whole house once it is in the book; the reader's own tests read it. */
    private const BROUGHT = ['/ingredients', '/ingredients[]/id', '/ingredients[]/name'];

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
        $this->walk($part, self::fields('recipe'), $this->documents());
    }

    #[DataProvider('parts')]
    public function testWhatAVariantSaysIsReadAsTheStepItself(int $part): void
    {
        $this->walk($part, self::fieldsOfVariants(), array_map(self::saidByVariants(...), $this->documents()));
    }

    /** @return array<string, array<string, mixed>> by slug */
    private function documents(): array
    {
        $documents = [];
        foreach (Shipped::recipes() as $slug) {
            $documents[$slug] = Shipped::document('recipes/'.$slug);
        }
        $documents['walked'] = $this->withRareFields($documents['fried-nuts']);

        return $documents;
    }

    /**
     * The same recipe, where all that a step says is said by a variant that always holds.
     *
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed>
     */
    private static function saidByVariants(array $document): array
    {
        $yes = ['id' => 'yes', 'name' => 'Yes', 'why' => 'It is so.'];
        $walk = ['id' => 'walk', 'question' => 'So?', 'options' => [$yes, ['id' => 'no'] + $yes]];
        $document['schools'] = [...self::map($document['schools'] ?? null), $walk];
        $steps = [];
        foreach (self::map($document['steps'] ?? null) as $step) {
            $step = self::map($step);
            $all = array_diff_key($step, ['id' => true, 'when' => true, 'variants' => true]);
            // What a step has to say it says; all else stands in the variant alone.
            $bare = array_intersect_key($step, array_flip(['id', 'when', 'process', 'title', 'takes', 'time', 'attention']));
            $steps[] = [...$bare, 'variants' => [['when' => ['walk' => 'yes'], ...$all], ...self::map($step['variants'] ?? null)]];
        }
        $document['steps'] = $steps;

        return $document;
    }

    /**
     * @param list<array{string, array<mixed>}>   $fields
     * @param array<string, array<string, mixed>> $documents
     */
    private function walk(int $part, array $fields, array $documents): void
    {
        $fields = array_values(array_filter($fields, static fn (array $f): bool => !\in_array($f[0], self::BROUGHT, true)));
        $mine = array_filter($fields, static fn (int $i): bool => $i % 4 === $part, \ARRAY_FILTER_USE_KEY);
        self::assertGreaterThan(15, \count($mine));
        $dead = [];
        foreach ($mine as [$field, $spec]) {
            $effect = fn (array $of, string $slug): array => [fn (): string => $this->plan($slug, $of), fn (): string => $this->page($of)];
            $dead[] = $this->deadness($field, $spec, $documents, $effect);
        }

        self::assertSame([], array_values(array_filter($dead)));
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
}
