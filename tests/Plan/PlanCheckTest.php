<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Export\PlanJson;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every shipped recipe, by every single option of its schools, planned and checked by one who knows nothing of the planner: for sixty here,
 * for twelve to eighteen hundred in `make check-plans`. A plan that leaves the dish out, or is late, must say so and is
 * checked all the same.
 */
final class PlanCheckTest extends TestCase
{
    private const SOMETHING = '*';
    private const ALL = ['all' => true];

    /** Guests → feast and kitchen. */
    private const KITCHENS = [
        12 => ['new-roof', 'kumbhar-lane'],
        60 => ['boat-lamp', 'tamarind-ghat'],
        240 => ['boat-lamp', 'tamarind-ghat'],
        600 => ['bell-raising', 'bell-yard'],
        1800 => ['bell-raising', 'bell-yard'],
    ];

    /** @return iterable<string, array{string, array<string, string>, int}> */
    public static function plans(): iterable
    {
        $sizes = '' === (string) getenv('CHECK_PLANS') ? [60] : array_keys(self::KITCHENS);
        foreach (Shipped::recipes() as $slug) {
            foreach ([[], ...self::options($slug)] as $schools) {
                foreach ($sizes as $guests) {
                    yield $slug.' '.implode(' ', $schools).' for '.$guests => [$slug, $schools, $guests];
                }
            }
            // All that may be chosen together, at one size.
            foreach ('' === (string) getenv('CHECK_PLANS') ? [] : Shipped::everyWay($slug) as $i => $way) {
                yield $slug.', way '.($i + 1).' of every choice' => [$slug, $way->way->options, 60];
            }
        }
    }

    /** @param array<string, string> $schools */
    #[DataProvider('plans')]
    public function testARecipeIsPlannedAsACookWouldSign(string $slug, array $schools, int $guests): void
    {
        [$feast, $kitchen] = self::KITCHENS[$guests];
        $document = Shipped::document('feasts/'.$feast);
        $document['dishes'] = [['id' => 'it', 'recipe' => $slug, 'schools' => (object) $schools]];
        unset($document['boxes'], $document['otherWork'], $document['pins'], $document['rules']);
        \assert(\is_array($document['groups']));
        $document['groups'] = self::scaled($document['groups'], $guests);
        $faults = self::check($document, Shipped::document('kitchens/'.$kitchen));
        self::assertSame([], $faults);
    }

    public function testTheDemoFeastsAreSignedAndTheirDocumentsKeepToTheSchema(): void
    {
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../docs/formats/plan.schema.json'), false, 64, \JSON_THROW_ON_ERROR);
        foreach (['new-roof' => 'kumbhar-lane', 'boat-lamp' => 'tamarind-ghat', 'bell-raising' => 'bell-yard'] as $feast => $kitchen) {
            $kitchen = Shipped::document('kitchens/'.$kitchen);
            $text = self::write(Shipped::document('feasts/'.$feast), $kitchen);
            self::assertSame([], PlanChecker::faults(self::decoded($text), $kitchen), $feast);
            $plan = json_decode($text, false, 64, \JSON_THROW_ON_ERROR);
            $validator = new Validator();
            $validator->validate($plan, $schema);
            self::assertSame([], $validator->getErrors(), $feast);
        }
    }

    /**
     * What the checker must say; in which list of the plan; of which rows the first or all; what is written there instead.
     *
     * @return iterable<string, array{string, string, array<string, mixed>, array<string, mixed>}>
     */
    public static function breaks(): iterable
    {
        $any = ['vessels/0/vessel' => self::SOMETHING];
        $burning = ['fire' => self::SOMETHING, 'process' => 'boil'];
        $taking = ['takes/0/from' => self::SOMETHING];
        $knead = ['process' => 'knead'];
        yield 'more comes out than goes in' => ['come out', 'steps', $any, ['out/0/grams' => 9e5]];
        yield 'a bowl too much' => ['go in', 'steps', $knead, ['takes/0/grams' => 9e5]];
        yield 'too short for its heat' => ['kJ', 'steps', ['process' => 'reduce'], ['end' => '2031-11-15T11:29:00+05:30']];
        yield 'more heat than the fire has' => ['the fire gives', 'steps', $burning, ['netKw' => 90.0]];
        yield 'no such fire' => ['there is no fire', 'steps', $burning, ['fire' => 'moon']];
        yield 'no such vessel' => ['there is no vessel', 'steps', $any, ['vessels/0/vessel' => 'hat']];
        yield 'a flame under nothing' => ['without a fire', 'steps', ['fire' => null], ['flame' => 'low']];
        yield 'too full' => ['% full', 'steps', $any, ['vessels/0/fill' => 0.97]];
        yield 'above the brim' => ['above the brim', 'steps', $any, ['vessels/0/depthMm' => 9000]];
        yield 'a pot that holds less' => ['said to hold', 'steps', $knead, ['vessels/0/fill' => 0.001]];
        yield 'warm by itself' => ['by itself', 'steps', $knead, ['out/0/celsius' => 70.0]];
        yield 'colder than the room' => ['colder than the room', 'steps', $knead, ['out/0/celsius' => 3.0]];
        yield 'cold at once' => [
            'a hot kilo',
            'steps',
            ['process' => 'mix-in'],
            ['in/celsius' => 95.0, 'out/0/celsius' => 28.0, 'out/0/pieces' => 0, 'out/0/grams' => 2000],
        ];
        yield 'not a mixture' => ['a mixture', 'steps', ['process' => 'merge'], ['in/celsius' => 190.0]];
        yield 'taken before it is there' => ['before it is there', 'steps', $taking, ['start' => '2001-01-01T00:00:00+05:30']];
        yield 'taken from nowhere' => ['not in the plan', 'steps', $taking, ['takes/0/from' => 'kesari/1/nothing']];
        yield 'warmer than it was' => ['warmer than it was', 'steps', $taking, ['takes/0/celsius' => 250.0]];
        yield 'taken twice' => ['are taken', 'steps', $taking, ['takes/0/grams' => 9e5]];
        yield 'a window overrun in silence' => [
            'its window is over',
            'steps',
            ['window/tie' => self::SOMETHING],
            ['window/latestStart' => '2001-01-01T00:00:00+05:30'],
        ];
        yield 'nobody there' => ['nobody is there', 'steps', ['people/0/person' => self::SOMETHING], ['people' => []]];
        $asha = ['person' => 'asha', 'percent' => 80, 'from' => '2031-11-15T12:00:00+05:30', 'until' => '2031-11-15T13:00:00+05:30'];
        yield 'two spoons' => ['two spoons', 'steps', self::ALL + ['people/0/person' => self::SOMETHING], ['people' => [$asha]]];
        yield 'more than all of a person' => [
            '% of one person',
            'steps',
            self::ALL + ['process' => 'knead'],
            ['people' => [$asha, ['percent' => 80] + $asha]],
        ];
        yield 'two pots on one fire' => [
            'fire wide-ring',
            'steps',
            self::ALL + ['fire' => self::SOMETHING],
            ['fire' => 'wide-ring', 'start' => '2031-11-15T12:00:00+05:30', 'end' => '2031-11-15T13:00:00+05:30'],
        ];
        yield 'two things in one vessel' => ['vessel tall-pot', 'steps', self::ALL + $any, ['vessels/0/vessel' => 'tall-pot']];
        yield 'too long neither hot nor cold' => ['nothing is said', 'holds', [], ['exempt' => null, 'bandMinutes' => 300]];
        yield 'in time with a clock broken' => ['with a clock broken', 'holds', [], ['exempt' => null, 'bandMinutes' => 300]];
        yield 'minutes not counted' => ['are counted', 'holds', [], ['exempt' => null, 'celsius' => [40, 35], 'bandMinutes' => 0]];
        yield 'left out and cooked' => ['stands in the steps', 'dishes', [], ['leftOut' => true]];
        yield 'not left out and not cooked' => ['nobody cooks it', 'dishes', [], ['id' => 'air']];
        yield 'too little made' => ['needed', 'dishes', [], ['need' => 1e6]];
        yield 'another pot in the summary' => ['two pots', 'dishes', [], ['pots/0/vessels' => ['hat']]];
        yield 'more served than made' => ['than there is', 'dishes', [], ['batches/0/serves' => [['grams' => 9e5]]]];
    }

    /**
     * @param array<string, mixed> $where
     * @param array<string, mixed> $change
     */
    #[DataProvider('breaks')]
    public function testTheCheckerNotices(string $says, string $list, array $where, array $change): void
    {
        $kitchen = Shipped::document('kitchens/kumbhar-lane');
        $plan = self::plan(Shipped::document('feasts/new-roof'), $kitchen);
        self::assertSame([], PlanChecker::faults($plan, $kitchen));
        $broken = 0;
        $rows = \is_array($plan[$list]) ? $plan[$list] : [];
        foreach ($rows as $i => $row) {
            if ((0 === $broken || isset($where['all'])) && \is_array($row) && self::is($row, $where)) {
                ++$broken;
                foreach ($change as $place => $value) {
                    $row = self::with($row, explode('/', $place), $value);
                }
                $rows[$i] = $row;
            }
        }
        $plan[$list] = $rows;
        self::assertGreaterThan(0, $broken, 'something of the kind is in the plan');
        self::assertStringContainsString($says, implode("\n", PlanChecker::faults($plan, $kitchen)));
    }

    /**
     * @param array<array-key, mixed> $row
     * @param array<string, mixed>    $where
     */
    private static function is(array $row, array $where): bool
    {
        foreach (array_diff_key($where, self::ALL) as $place => $wanted) {
            $value = $row;
            foreach (explode('/', $place) as $key) {
                $value = \is_array($value) ? $value[$key] ?? null : null;
            }
            if (self::SOMETHING === $wanted ? null === $value : $value !== $wanted) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<array-key, mixed> $of
     * @param list<string>            $place
     *
     * @return array<array-key, mixed>
     */
    private static function with(array $of, array $place, mixed $value): array
    {
        $key = array_shift($place);
        $inner = $of[$key] ?? [];
        $of[$key] = [] === $place ? $value : self::with(\is_array($inner) ? $inner : [], $place, $value);

        return $of;
    }

    /**
     * @param array<string, mixed> $feast
     * @param array<string, mixed> $kitchen
     *
     * @return list<string>
     */
    private static function check(array $feast, array $kitchen): array
    {
        return PlanChecker::faults(self::plan($feast, $kitchen), $kitchen);
    }

    /**
     * @param array<string, mixed> $feast
     * @param array<string, mixed> $kitchen
     *
     * @return array<string, mixed>
     */
    private static function plan(array $feast, array $kitchen): array
    {
        return self::decoded(self::write($feast, $kitchen));
    }

    /**
     * @param array<string, mixed> $feast
     * @param array<string, mixed> $kitchen
     */
    private static function write(array $feast, array $kitchen): string
    {
        $at = (new KitchenReader())->read(json_encode($kitchen, \JSON_THROW_ON_ERROR));
        $read = (new FeastReader($at, Shipped::shelf()))->read(json_encode($feast, \JSON_THROW_ON_ERROR));
        $plan = (new FeastPlanner(Shipped::larder()))->plan($read, $at);

        return (new PlanJson(Shipped::larder(), 50))->write($read, $at, $plan);
    }

    /** @return array<string, mixed> */
    private static function decoded(string $plan): array
    {
        $document = json_decode($plan, true, 64, \JSON_THROW_ON_ERROR);
        \assert(\is_array($document));
        /** @var array<string, mixed> $document */

        return $document;
    }

    /** @return list<array<string, string>> each option of each school by itself */
    private static function options(string $slug): array
    {
        $ways = [];
        foreach (Shipped::recipe($slug)->way->schools as $school) {
            foreach ($school->options as $option) {
                $ways[] = [$school->id => $option->id];
            }
        }

        return $ways;
    }

    /**
     * @param array<array-key, mixed> $groups
     *
     * @return list<array<string, mixed>>
     */
    private static function scaled(array $groups, int $guests): array
    {
        $sum = array_sum(array_column($groups, 'count'));
        $scaled = [];
        foreach ($groups as $group) {
            \assert(\is_array($group) && \is_int($group['count']));
            $count = max(1, (int) round(($group['count'] * $guests) / max(1, $sum)));
            /** @var array<string, mixed> $group */
            $scaled[] = ['count' => $count] + $group;
        }

        return $scaled;
    }
}
