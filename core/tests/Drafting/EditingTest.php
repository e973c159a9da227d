<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Drafting;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\Comparing;
use FeastLadle\Drafting\Difference;
use FeastLadle\Drafting\Draft;
use FeastLadle\Drafting\Edited;
use FeastLadle\Drafting\Editing;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the writer of a recipe does to a draft. */
final class EditingTest extends TestCase
{
    /** @return iterable<string, array{Process}> */
    public static function processes(): iterable
    {
        foreach (Process::cases() as $process) {
            yield $process->value => [$process];
        }
    }

    #[DataProvider('processes')]
    public function testANewStepOfAnyProcessReadsOnceSomethingIsInIt(Process $process): void
    {
        $draft = Draft::blank('one', 'One step')->withStep($process);
        $draft = $this->apply($draft, 'add-bowl', ['line' => '500 g sugar'])->draft;
        if (\in_array($process, [Process::Syrup, Process::Reduce, Process::Boil], true)) {
            $draft = $this->apply($draft, 'add-bowl', ['line' => '500 ml water'])->draft;
        }
        $recipe = (new RecipeReader(Shipped::larder()))->read($draft->withResultFound()->json());
        self::assertSame($process, $recipe->last()->process);
        self::assertNotSame('', ProcessGuide::of($process)->label);
    }

    public function testABowlIsSaidAsOneWouldSayIt(): void
    {
        $draft = $this->apply(Draft::blank('x', 'X')->withStep(Process::MixIn), 'add-bowl', ['line' => '2 cups jaggery, grated'])->draft;
        self::assertSame([['ingredient' => 'jaggery', 'grams' => 345.6, 'how' => 'grated']], Draft::rows($draft->step(0) ?? [], 'takes'));
        $refused = $this->apply($draft, 'add-bowl', ['line' => '2 cups moonlight']);
        self::assertSame($draft->document(), $refused->draft->document());
        self::assertStringContainsString('moonlight', (string) $refused->refusal?->text());
    }

    public function testAmountsMayBeTypedAsTheyAreMeasured(): void
    {
        $draft = $this->editing()->typed(
            $this->two(),
            null,
            [
                'id' => 'boil',
                'process' => 'boil',
                'title' => 'Boil',
                'takes' => [['ingredient' => 'Whole milk', 'grams' => '2 l', 'how' => ''], ['ingredient' => 'sugar', 'grams' => 'a lot']],
                'time' => ['grows' => 'warm-up'],
                'target' => ['kind' => 'celsius', 'value' => '99'],
                'vessel' => ['kind' => 'pot', 'continues' => ''],
                'flame' => 'high',
                'attention' => ['kind' => 'watch', 'people' => '1'],
                'once' => '1',
                'keeping' => ['minutes' => '', 'place' => ''],
            ],
            0,
        );
        $step = $draft->step(0) ?? [];
        self::assertSame(
            [['ingredient' => 'milk', 'grams' => 2060.0], ['ingredient' => 'sugar', 'grams' => 'a lot']],
            $step['takes'],
            'what is no amount stays for the reader to refuse',
        );
        self::assertTrue($step['once']);
        self::assertArrayNotHasKey('keeping', $step);
        self::assertSame(['kind' => 'pot'], $step['vessel']);
    }

    public function testPouringTakesAllThenWhatIsLeft(): void
    {
        $draft = $this->two();
        $draft = $this->apply($draft, 'connect', ['from' => 'boil', 'to' => 'simmer'])->draft;
        self::assertSame([['from' => 'boil']], Draft::rows($draft->step(1) ?? [], 'takes'));
        self::assertSame(['kind' => 'pot', 'continues' => 'boil'], ($draft->step(1) ?? [])['vessel'] ?? null, 'the pot goes on');
        $refused = $this->apply($draft, 'connect', ['from' => 'boil', 'to' => 'dish-up']);
        self::assertNotNull($refused->refusal, 'nothing of it is left');
        $step = $draft->step(1) ?? [];
        $step['takes'] = [['from' => 'boil', 'share' => 0.7]];
        $draft = $this->apply($draft->withStepAt(1, $step), 'connect', ['from' => 'boil', 'to' => 'dish-up'])->draft;
        self::assertSame([['from' => 'boil', 'share' => 0.3]], Draft::rows($draft->step(2) ?? [], 'takes'));
    }

    public function testNothingFlowsInACircle(): void
    {
        $draft = $this->apply($this->two(), 'connect', ['from' => 'boil', 'to' => 'simmer'])->draft;
        foreach ([['simmer', 'boil'], ['boil', 'boil'], ['boil', 'nowhere']] as [$from, $to]) {
            self::assertSame($draft->document(), $this->apply($draft, 'connect', ['from' => $from, 'to' => $to])->draft->document());
        }
    }

    public function testAStepThatGoesTakesItsStreamsAlong(): void
    {
        $draft = $this->apply($this->two(), 'connect', ['from' => 'boil', 'to' => 'simmer'])->draft;
        $edited = $this->apply($draft, 'remove-step:0', []);
        self::assertCount(2, $edited->draft->steps());
        self::assertSame([], Draft::rows($edited->draft->step(0) ?? [], 'takes'));
        self::assertStringNotContainsString('"continues"', $edited->draft->json());
    }

    public function testARenamedStepIsFollowedEverywhere(): void
    {
        $basundi = Draft::read(Shipped::json('recipes/basundi'));
        $step = $basundi->step(0) ?? [];
        $step['id'] = 'first-boil';
        $renamed = $basundi->withStepAt(0, $step);
        $recipe = (new RecipeReader(Shipped::larder()))->read($renamed->json());
        self::assertSame(['first-boil'], $recipe->step('reduce')->sources());
        self::assertSame('first-boil', $recipe->step('reduce')->vessel?->continues);
    }

    public function testAnotherWayOfTellingTimeBringsItsOwnFields(): void
    {
        $typed = fn (array $change): array => $this->editing()
            ->typed($this->two(), null, [...$this->two()->step(1) ?? [], ...$change], 1)
            ->step(1) ?? [];
        self::assertSame(
            ['grows' => 'mass', 'minutes' => [10.0, 15.0, 25.0], 'power' => 0.6],
            $typed(['time' => ['grows' => 'mass', 'minutes' => ['1', '2', '3']]])['time'],
        );
        self::assertSame(['kind' => 'stage', 'stage' => 'one-string'], $typed(['target' => ['kind' => 'stage']])['target']);
        self::assertSame(['kind' => 'volume-to', 'value' => 0.5], $typed(['time' => ['grows' => 'boil-off']])['target'] ?? null);
        self::assertArrayNotHasKey('target', $typed(['target' => ['kind' => 'none']]));
    }

    public function testWhatTheFormDoesNotAskAboutIsKept(): void
    {
        $kesari = Draft::read(Shipped::json('recipes/pineapple-kesari'));
        $at = $kesari->indexOf('roast') ?? 0;
        $step = $kesari->step($at) ?? [];
        $typed = $step;
        unset($typed['variants']);
        self::assertEquals($step, $this->editing()->typed($kesari, null, $typed, $at)->step($at));
    }

    public function testSchoolsAndDialsAreAddedAndGoWithAllThatHangsOnThem(): void
    {
        $draft = $this->apply($this->two(), 'add-school', [])->draft;
        $step = $draft->step(1) ?? [];
        $step['when'] = ['school-1' => 'ours'];
        $draft = $draft->withStepAt(1, $step);
        self::assertCount(
            3,
            Draft::rows(Draft::rows($this->apply($draft, 'add-option:0', [])->draft->document(), 'schools')[0], 'options'),
        );
        $without = $this->apply($draft, 'remove-school:0', [])->draft;
        self::assertArrayNotHasKey('schools', $without->document());
        self::assertArrayNotHasKey('when', $without->step(1) ?? []);
        $dial = $this->apply($draft, 'add-dial', ['dial' => 'sweet', 'moves' => 'boil/sugar'])->draft;
        self::assertSame([['step' => 'boil', 'ingredient' => 'sugar']], Draft::rows(Draft::rows($dial->document(), 'dials')[0], 'moves'));
        self::assertArrayNotHasKey('dials', $this->apply($dial, 'remove-dial:0', [])->draft->document());
    }

    public function testNoOperationBreaksADraft(): void
    {
        mt_srand(7);
        $words = [
            'add-step',
            'remove-step:0',
            'remove-step:9',
            'up:1',
            'down:0',
            'open:3',
            'connect',
            'add-bowl',
            'add-base',
            'remove-row:takes:0',
            'remove-row:steps:0',
            'remove-row:cues:7',
            'add-row:cues',
            'add-row:ties',
            'add-row:outputs',
            'add-row:marks',
            'add-row:magic',
            'add-school',
            'add-option:0',
            'remove-school:0',
            'add-dial',
            'remove-dial:3',
            'portion:pieces',
            'portion:grams',
            'explode',
            '',
        ];
        $draft = Draft::read(Shipped::json('recipes/pulse-coconut-pudding'));
        for ($i = 0; $i < 300; ++$i) {
            $ids = array_column($draft->steps(), 'id');
            $one = static fn (): string => self::text([] === $ids ? '' : $ids[mt_rand(0, \count($ids) - 1)]);
            $edited = $this->editing()->apply(
                $draft,
                $words[mt_rand(0, \count($words) - 1)],
                [
                    'process' => Process::cases()[mt_rand(0, 20)]->value,
                    'from' => $one(),
                    'to' => $one(),
                    'line' => '1 cup sugar',
                    'base' => 'jaggery-syrup',
                    'dial' => 'sweet',
                    'moves' => $one().'/sugar',
                ],
                mt_rand(0, 5),
            );
            $draft = $edited->draft->withResultFound();
            try {
                (new RecipeReader(Shipped::larder()))->read($draft->json(), null, Shipped::shelf());
            } catch (FaultyDocument $faulty) {
                self::assertStringNotContainsString('in a circle', $faulty->getMessage(), 'pouring never makes a circle');
            }
        }
        self::assertGreaterThan(0, \count($draft->steps()));
    }

    public function testTwoRevisionsAreComparedStepByStepAndBowlByBowl(): void
    {
        $before = Draft::read(Shipped::json('recipes/basundi'));
        $step = $before->step(5) ?? [];
        $takes = Draft::rows($step, 'takes');
        $takes[1]['grams'] = 180;
        $step['takes'] = [...$takes, ['ingredient' => 'nutmeg', 'grams' => 0.5]];
        $after = $before
            ->withStepAt(5, $step)
            ->withHead(['summary' => 'Shorter.'])
            ->withStep(Process::Garnish);
        $found = array_map(
            static fn (Difference $d): array => [$d->where, $d->what, $d->before, $d->after],
            (new Comparing(Shipped::larder()))->differences($before, $after),
        );
        self::assertContains(
            ['Sweeten and flavour', 'bowl', 'Sugar, grams 210, when milk slow, ground', 'Sugar, grams 180, when milk slow, ground'],
            $found,
        );
        self::assertContains(['Sweeten and flavour', 'bowl', '', 'Nutmeg, ground, grams 0.5'], $found);
        self::assertSame(
            ['', 'summary', 'Milk reduced to half its volume with its skins folded back, sweetened late, drunk cold.', 'Shorter.'],
            $found[0],
        );
        self::assertSame('step', $found[\count($found) - 1][1]);
        self::assertCount(4, $found);
        self::assertSame([], (new Comparing(Shipped::larder()))->differences($before, $before));
    }

    /** @param array<string, string> $with */
    private function apply(Draft $draft, string $operation, array $with): Edited
    {
        return $this->editing()->apply($draft, $operation, $with, 0);
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }

    private function editing(): Editing
    {
        return new Editing(Shipped::lines());
    }

    private function two(): Draft
    {
        return Draft::blank('two', 'Two')->withStep(Process::Boil)->withStep(Process::Simmer)->withStep(Process::DishUp);
    }
}
