<?php

declare(strict_types=1);

namespace App\Tests\Format;

use App\Export\PlanJson;
use App\Export\PlanText;
use App\Service\Speaker;
use App\Tests\Support\BrowserCase;
use FeastLadle\Amounts\QuantityPlanner;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Diet\DietGrid;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Safety\Cautions;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Standing\Clocks;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;

/** Each field of a kitchen, a feast and the larder changes a plan, its text, a card, a caution or who may eat what, or is refused. */
final class KitchenWalkTest extends BrowserCase
{
    use WalksFields;

    private const DISHES = [
        'pineapple-kesari',
        'milk-solids-balls',
        'sweet-pongal',
        'gram-honeycomb',
        'coconut-rose-barfi',
        'filled-flatbread',
        'sesame-balls',
    ];

    /**
     * Read where no plan is made: by the book (revisions), on the command line (files beside), when a telling is understood and a guest
     * does without, on a recipe's page and the larder's, for what none of these sweets is; each has tests of its own.
     */
    private const ELSEWHERE = [
        'feast' => ['/dishes[]/revision', '/kitchen', '/recipes'],
        'kitchen' => [],
        'larder' => [
            '/ingredients[]/unsoakedTimes',
            '/ingredients[]/addedSugar',
            '/ingredients[]/diet',
            '/ingredients[]/cooked',
            '/ingredients[]/names',
            '/ingredients[]/unlike',
            '/ingredients[]/unlike[]/name',
            '/ingredients[]/unlike[]/difference',
            '/ingredients[]/forms',
            '/ingredients[]/yields',
            '/ingredients[]/small',
            '/ingredients[]/counter',
            '/ingredients[]/each',
            '/ingredients[]/season',
            '/ingredients[]/leadDays',
            '/ingredients[]/own',
            '/ingredients[]/mostCelsius',
            '/ingredients[]/substitutes',
            '/ingredients[]/substitutes[]/without',
            '/ingredients[]/substitutes[]/use',
            '/ingredients[]/substitutes[]/ratio',
            '/ingredients[]/substitutes[]/caution',
        ],
    ];

    /** @var array<string, string> */
    private array $known = [];

    /** @return iterable<string, array{string, int}> kind of document, which third of its fields */
    public static function kinds(): iterable
    {
        foreach (['kitchen', 'feast', 'larder'] as $kind) {
            foreach ([0, 1, 2] as $part) {
                yield $kind.', part '.($part + 1) => [$kind, $part];
            }
        }
    }

    #[DataProvider('kinds')]
    public function testEveryFieldIsReadBySomething(string $kind, int $part): void
    {
        $of = ['kitchen' => $this->kitchens(), 'feast' => $this->feasts(), 'larder' => ['larder' => $this->larderFirst()]];
        $usual = array_map(static fn (array $each): array => $each[array_key_first($each)], $of);
        $fields = array_filter(self::fields($kind), static fn (int $i): bool => $i % 3 === $part, \ARRAY_FILTER_USE_KEY);
        $fields = array_filter($fields, static fn (array $f): bool => !\in_array($f[0], self::ELSEWHERE[$kind], true));
        self::assertGreaterThan(4, \count($fields));
        $wrong = [];
        foreach ($fields as [$field, $spec]) {
            $wrong[] = $this->deadness(
                $field,
                $spec,
                $of[$kind],
                fn (array $document): array => [fn (): string => $this->told([$kind => $document] + $usual), static fn (): string => ''],
            );
        }

        self::assertSame([], array_values(array_filter($wrong)));
    }

    /** @param array<mixed> $documents */
    private function told(array $documents): string
    {
        $json = static fn (string $kind): string => json_encode($documents[$kind], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        $key = md5($json('kitchen').$json('feast').$json('larder'));

        return $this->known[$key] ??= $this->everything($json('kitchen'), $json('feast'), $json('larder'));
    }

    private function everything(string $kitchen, string $feast, string $larder): string
    {
        $larder = (new LarderReader())->read($larder);
        $kitchen = (new KitchenReader())->read($kitchen);
        $feast = (new FeastReader($kitchen, Shipped::shelf()))->read($feast);
        // Without a search: whether a field is read does not depend on how good the plan is.
        $task = new Task($feast, $kitchen, (new QuantityPlanner($larder))->plan($feast, $kitchen));
        $plan = (new Solve($larder))->attempt($task, [], Budget::milliseconds(20))->plan;
        $plan = (new Clocks($larder))->watch($feast, $plan, $kitchen);
        $told = [
            preg_replace('/"fingerprint":"[^"]*"/', '', (new PlanJson($larder, 20))->write($feast, $kitchen, $plan)),
            (new PlanText(static::getContainer()->get(Speaker::class)))->write($feast, $kitchen, $plan),
            (new ProblemWriter())->problem($plan->problem),
            $feast->meanSweet(),
            array_map(
                static fn ($line): array => [$line->ingredient->id, $line->buyGrams(), $line->cost(), $line->place()->value],
                $plan->quantities->stores,
            ),
        ];
        foreach (CardMaker::cards($plan->quantities) as $card) {
            foreach ($card->steps as $step) {
                foreach ($step->bowls as $bowl) {
                    $told[] = [$bowl->bowl->amount->text(), $bowl->bowl->byCup?->text()];
                }
            }
        }
        foreach ($plan->steps as $step) {
            $flow = $step->dish->batchPlan->ledger->flow($step->step->id);
            $pot = $kitchen->vessels[$step->vessels[0] ?? ''] ?? null;
            foreach ((new Cautions($larder))->of($flow, $kitchen->rules->liftKg, $pot?->emptyKg) as $caution) {
                $told[] = $caution->sentence->text();
            }
        }
        foreach ((new StopSigns($larder))->of($plan, $feast, $kitchen) as $sign) {
            $told[] = [$sign->grams(), $sign->moreMm];
        }
        foreach ((new DietGrid($larder, $kitchen))->of($feast) as $row) {
            $told[] = array_map('count', $row);
        }

        return json_encode($told, \JSON_THROW_ON_ERROR);
    }

    /** @return array<string, array<mixed>> with all that no shipped kitchen needs; one with a single scale and an induction plate */
    private function kitchens(): array
    {
        $document = Shipped::document('kitchens/tamarind-ghat');
        $document['humidity'] = 0.5;
        $document['warmLitres'] = 80;
        $document['warmCelsius'] = 68;
        $document['fillLimits'] = [
            'rest' => 0.8,
            'syrup' => 0.45,
            'milk-or-starch-boil' => 0.5,
            'stiff-stirred' => 0.5,
            'deep-fat' => 0.4,
            'frothing-fat' => 0.3,
            'hot-onto-hot' => 0.4,
            'pressure' => 0.6,
            'frothing-pressure' => 0.45,
            'soaking' => 0.7,
        ];
        \assert(\is_array($document['tools']) && \is_array($document['vessels']) && \is_array($document['burners']));
        $document['tools'][] = ['id' => 'ladle', 'name' => 'Holed ladle', 'process' => 'dunk', 'loadPieces' => 20, 'restMinutes' => 1];
        \assert(\is_array($document['burners'][0]));
        $document['burners'][0]['fuel'] = 'wood';
        $document['fuel'] = ['bottles' => [0.5, 2.0], 'bottleKg' => 0.3, 'woodKg' => 2];
        $plain = $document;
        unset($plain['scales']);
        $plain['vessels'] = array_reverse($document['vessels']);
        $plain['burners'] = [
            ['id' => 'fire-1', 'name' => 'Plate', 'fuel' => 'induction', 'kilowatts' => 3.5, 'ringMm' => 150],
            ...\array_slice($document['burners'], 1),
        ];

        return ['kitchen' => $document, 'plain' => $plain];
    }

    /** @return array<string, array<mixed>> with all that no shipped feast needs */
    private function feasts(): array
    {
        $document = Shipped::document('feasts/boat-lamp');
        \assert(\is_array($document['moments']) && \is_array($document['moments'][1]));
        $document['moments'][1]['servingMinutes'] = 150;
        $document['moments'][1]['wishPercent'] = 85;
        $document['rules'] = ['no-grain'];
        $document['marginMinutes'] = 5;
        $document['otherWork'] = [['name' => 'Rice', 'on' => 'fire-1', 'day' => 0, 'from' => '14:00', 'to' => '15:00']];
        $document['dishes'] = [];
        foreach (self::DISHES as $slug) {
            $document['dishes'][] = ['id' => $slug, 'recipe' => $slug, 'uptake' => 0.3];
        }
        $document['dishes'][0] += [
            'readyEarlier' => 5,
            'portion' => 80,
            'pots' => ['roast' => 'great-pan'],
            'schools' => ['texture' => 'moist'],
            'dials' => ['sweet' => 0.9],
            'leftOut' => ['nuts'],
            'instead' => [['for' => 'ghee', 'ingredient' => 'coconut-oil', 'ratio' => 0.9]],
        ];
        $document['dishes'][2] += ['bought' => ['jaggery-syrup'], 'without' => ['nuts']];
        $document['boxes'] = [
            [
                'id' => 'rowers',
                'name' => 'Rowers',
                'count' => 12,
                'holds' => ['coconut-rose-barfi' => 2],
                'packSeconds' => 40,
                'at' => 'boxes',
            ],
        ];
        $pinned = $document;
        $pinned['pins'] = [['step' => 'coconut-rose-barfi/1/cook', 'day' => 0, 'time' => '09:30']];

        return ['feast' => $pinned];
    }

    /**
     * The larder with what these sweets take before all else, so that this is tried.
     *
     * @return array<mixed>
     */
    private function larderFirst(): array
    {
        $document = Shipped::document('larder');
        $used = [];
        foreach (self::DISHES as $slug) {
            preg_match_all('/"ingredient": ?"([^"]+)"/', Shipped::json('recipes/'.$slug), $found);
            $used += array_flip($found[1]);
        }
        \assert(\is_array($document['ingredients']));
        usort($document['ingredients'], static fn (mixed $a, mixed $b): int => self::isOf($used, $b) <=> self::isOf($used, $a));
        // Of what none of these sweets takes, as many as the walk looks at.
        $document['ingredients'] = \array_slice($document['ingredients'], 0, 140);

        return $document;
    }

    /** @param array<string, mixed> $used */
    private static function isOf(array $used, mixed $thing): bool
    {
        return \is_array($thing) && \is_string($thing['id'] ?? null) && isset($used[$thing['id']]);
    }
}
