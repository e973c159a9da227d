<?php

declare(strict_types=1);

namespace App\Tests\Command;

use App\Service\DraftDesk;
use App\Service\RecipeBook;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

final class CommandsTest extends KernelTestCase
{
    private const PROBLEM = ['format' => 'feast-ladle/schedule-problem', 'version' => 1, 'horizon' => [0, 100]];

    /** @return iterable<string, array{array<string, mixed>|string, int}> */
    public static function problems(): iterable
    {
        yield 'feasible' => [[...self::PROBLEM, 'activities' => [['id' => 'a', 'duration' => 5]]], 0];
        yield 'proven infeasible' => [[...self::PROBLEM, 'activities' => [['id' => 'a', 'duration' => 101]]], 1];
        yield 'not a valid problem' => [[...self::PROBLEM, 'activities' => [['id' => 'a', 'duration' => -1]]], 2];
        yield 'not JSON' => ['nonsense', 2];
        // So many of 30 minutes, one of so many fires each, within 50: one more than goes. Neither pairs nor sums prove it;
        // a few are tried out, many are not.
        $stuck = static fn (int $fires): array => [
            ...self::PROBLEM,
            'horizon' => [0, 50],
            'resources' => array_map(static fn (int $f): array => ['id' => "f$f"], range(1, $fires)),
            'activities' => array_map(
                static fn (int $i): array => [
                    'id' => "a$i",
                    'duration' => 30,
                    'needs' => [['from' => array_map(static fn (int $f): string => "f$f", range(1, $fires))]],
                ],
                range(0, $fires),
            ),
        ];
        yield 'proven by trying everything' => [$stuck(2), 1];
        yield 'proven by counting what overlaps' => [$stuck(20), 1];
        yield 'too large for a proof' => [$stuck(40), 3];
    }

    /** @param array<string, mixed>|string $problem */
    #[DataProvider('problems')]
    public function testScheduleAnswersWithItsExitStatus(array|string $problem, int $status): void
    {
        $file = $this->file(\is_string($problem) ? $problem : json_encode($problem, \JSON_THROW_ON_ERROR));
        $tester = $this->tester('ladle:schedule');
        self::assertSame($status, $tester->execute(['file' => $file, '--iterations' => '20'], ['capture_stderr_separately' => true]));
        if (2 === $status) {
            self::assertNotSame('', $tester->getErrorOutput());
            self::assertSame('', $tester->getDisplay());
        } else {
            $solution = json_decode($tester->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
            self::assertIsArray($solution);
            self::assertSame([0 => 'feasible', 1 => 'infeasible', 3 => 'unknown'][$status], $solution['status']);
            self::assertSame(0 === $status, [] === $solution['conflicts']);
        }
    }

    public function testABookIsLaidOutWhereThereIsNone(): void
    {
        $place = sys_get_temp_dir().'/feast-ladle-book-'.getmypid();
        $root = \dirname(__DIR__, 2);
        // A folder that is there already, even with an empty database in it, is no book yet.
        (new Filesystem())->mkdir($place);
        (new Filesystem())->touch($place.'/feast-ladle.sqlite');
        try {
            foreach (['A new book was laid out', ''] as $says) {
                $export = new Process([\PHP_BINARY, $root.'/bin/console', 'ladle:recipe:export', 'basundi'], $root, [
                    'APP_ENV' => 'dev',
                    'APP_DEBUG' => '1',
                    'DATA_DIR' => $place,
                ]);
                $export->mustRun();
                self::assertJson($export->getOutput());
                self::assertSame('' === $says, '' === $export->getErrorOutput());
                self::assertStringContainsString($says, $export->getErrorOutput());
            }
        } finally {
            (new Filesystem())->remove($place);
        }
    }

    public function testSameSeedAndFileGiveTheSameAnswer(): void
    {
        $file = __DIR__.'/../../core/tests/Schedule/fixtures/example.json';
        $answers = [];
        for ($i = 0; $i < 2; ++$i) {
            $tester = $this->tester('ladle:schedule');
            $tester->execute(['file' => $file, '--seed' => '9', '--budget-ms' => '30']);
            $answers[] = preg_replace('/"elapsedMs":\d+/', '', $tester->getDisplay());
        }
        self::assertSame($answers[0], $answers[1]);
    }

    public function testBadOptionsAndMissingFilesAreNamed(): void
    {
        $file = __DIR__.'/../../core/tests/Schedule/fixtures/example.json';
        $tester = $this->tester('ladle:schedule');
        self::assertSame(2, $tester->execute(['file' => $file, '--seed' => 'lucky'], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('not "lucky"', $tester->getErrorOutput());
        self::assertSame(2, $tester->execute(['file' => '/no/such/file.json'], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('There is no file /no/such/file.json', $tester->getErrorOutput());
    }

    public function testTheDemoFeastIsPlannedFromItsFileAlone(): void
    {
        $tester = $this->tester('ladle:plan');
        self::assertSame(0, $tester->execute(['file' => __DIR__.'/../../data/feasts/new-roof.json', '--format' => 'json']));
        $plan = json_decode($tester->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($plan);
        self::assertTrue($plan['inTime']);
        self::assertIsArray($plan['guests']);
        self::assertSame(28, array_sum(array_column($plan['guests'], 'count')));
        self::assertSame(2, $plan['version']);
        self::assertContains($plan['word'], ['sure', 'likely', 'at-risk'], 'it is in time by the plan');
        self::assertIsArray($plan['steps']);
        self::assertCount(25, $plan['steps']);
        self::assertSame(0, $tester->execute(['file' => __DIR__.'/../../data/feasts/new-roof.json']));
        foreach (['RUN SHEET', 'STORES', '2.32 kg', 'Tall milk pot', 'Pour the hot syrup'] as $word) {
            self::assertStringContainsString($word, $tester->getDisplay());
        }
    }

    public function testAFeastThatShipsFindsItsKitchenAndLeavesInEveryFormat(): void
    {
        $tester = $this->tester('ladle:plan');
        $file = __DIR__.'/../../data/feasts/boat-lamp.json';
        self::assertSame(0, $tester->execute(['file' => $file, '--format' => 'csv']));
        $lines = explode("\n", trim($tester->getDisplay()));
        self::assertStringStartsWith('start,end,minutes', $lines[0]);
        self::assertSame(0, $tester->execute(['file' => $file, '--format' => 'ics']));
        self::assertSame(\count($lines) - 1, substr_count($tester->getDisplay(), 'BEGIN:VEVENT'));
        self::assertSame(0, $tester->execute(['file' => $file, '--format' => 'ics', '--person' => 'ila']));
        self::assertGreaterThan(3, substr_count($tester->getDisplay(), 'BEGIN:VEVENT'));
        self::assertLessThan(\count($lines) - 1, substr_count($tester->getDisplay(), 'BEGIN:VEVENT'));
        foreach ([['--format' => 'xls'], ['--format' => 'ics', '--person' => 'nobody']] as $options) {
            self::assertSame(2, $tester->execute(['file' => $file, ...$options], ['capture_stderr_separately' => true]));
            self::assertStringContainsString((string) end($options), $tester->getErrorOutput());
        }
    }

    public function testAFeastFileMayBringItsKitchenAndRecipes(): void
    {
        $data = __DIR__.'/../../data/';
        /** @var array<string, mixed> $feast */
        $feast = json_decode((string) file_get_contents($data.'feasts/new-roof.json'), true);
        /** @var array<string, mixed> $recipe */
        $recipe = json_decode((string) file_get_contents($data.'recipes/basundi.json'), true);
        $feast['kitchen'] = json_decode((string) file_get_contents($data.'kitchens/kumbhar-lane.json'), true);
        $feast['recipes'] = [['slug' => 'evening-milk', 'name' => 'Evening milk'] + $recipe];
        $feast['dishes'] = [['id' => 'milk', 'recipe' => 'evening-milk', 'uptake' => 1]];
        $tester = $this->tester('ladle:plan');
        self::assertSame(0, $tester->execute(['file' => $this->file(json_encode($feast, \JSON_THROW_ON_ERROR))]));
        self::assertStringContainsString('Evening milk', $tester->getDisplay());
    }

    public function testAWindowThatIsOverrunStandsInTheText(): void
    {
        /** @var array<string, mixed> $feast */
        $feast = json_decode((string) file_get_contents(__DIR__.'/../../data/feasts/boat-lamp.json'), true);
        unset($feast['boxes']);
        $feast['groups'] = [['id' => 'all', 'name' => 'All', 'count' => 600, 'appetite' => 1, 'at' => 'first']];
        $feast['dishes'] = [['id' => 'cups', 'recipe' => 'millet-cups', 'uptake' => 1]];
        $tester = $this->tester('ladle:plan');
        self::assertSame(1, $tester->execute(['file' => $this->file(json_encode($feast, \JSON_THROW_ON_ERROR))]));
        // 1,260 cups to be shaped within an hour of the kneading.
        self::assertMatchesRegularExpression(
            '/! cups: "Shape the cups.+ too late after "Knead it hot", for which there are 60 min/',
            $tester->getDisplay(),
        );
    }

    public function testAFaultyFeastFileIsRefusedWithPointers(): void
    {
        $tester = $this->tester('ladle:plan');
        $feast = str_replace(
            ['"count": 18', '"recipe": "basundi"'],
            ['"count": "many"', '"recipe": "air"'],
            (string) file_get_contents(__DIR__.'/../../data/feasts/new-roof.json'),
        );
        self::assertSame(2, $tester->execute(['file' => $this->file($feast)], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('/groups/0/count:', $tester->getErrorOutput());
        self::assertStringContainsString('/dishes/1/recipe:', $tester->getErrorOutput());
    }

    public function testARecipeFileIsChecked(): void
    {
        $basundi = (string) file_get_contents(__DIR__.'/../../data/recipes/basundi.json');
        $tester = $this->tester('ladle:recipe:check');
        self::assertSame([0, ''], [$tester->execute(['file' => $this->file($basundi)]), $tester->getDisplay()]);
        self::assertSame(1, $tester->execute(['file' => $this->file(str_replace('"value": 0.5', '"value": 0.1', $basundi))]));
        self::assertStringContainsString('error: step "reduce": To fall to 10 %', $tester->getDisplay());
        self::assertSame(2, $tester->execute(['file' => $this->file(substr($basundi, 0, 700))], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('ends in the middle', $tester->getErrorOutput());
    }

    public function testImportingEveryExportIsTheIdentity(): void
    {
        $book = static::getContainer()->get(RecipeBook::class);
        $recipes = $book->all();
        self::assertGreaterThanOrEqual(16, \count($recipes));
        foreach ($recipes as $recipe) {
            $slug = $recipe->getSlug();
            foreach (['json', 'jsonld'] as $format) {
                $export = $this->tester('ladle:recipe:export');
                self::assertSame(0, $export->execute(['slug' => $slug, '--format' => $format]));
                $import = $this->tester('ladle:recipe:import');
                self::assertSame(
                    [0, $slug.", revision 1\n"],
                    [$import->execute(['file' => $this->file($export->getDisplay())]), $import->getDisplay()],
                    $slug.' as '.$format,
                );
            }
            self::assertSame(
                (string) file_get_contents(__DIR__.'/../../data/recipes/'.$slug.'.json'),
                $book->revision($slug)?->getDocument(),
            );
        }
    }

    public function testAChangedFileIsANewRevisionAndABadOneIsRefused(): void
    {
        $export = $this->tester('ladle:recipe:export');
        $export->execute(['slug' => 'basundi']);
        $import = $this->tester('ladle:recipe:import');
        self::assertSame(
            0,
            $import->execute(['file' => $this->file(str_replace('"Basundi"', '"Basundi, richer"', $export->getDisplay()))]),
        );
        self::assertSame("basundi, revision 2\n", $import->getDisplay());
        self::assertSame(2, $import->execute(['file' => $this->file('{}')], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('/slug: This field is missing.', $import->getErrorOutput());
        self::assertSame(2, $this->tester('ladle:recipe:export')->execute(['slug' => 'moonshine']));
        self::assertSame(2, $this->tester('ladle:recipe:export')->execute(['slug' => 'basundi', '--format' => 'papyrus']));
    }

    public function testARecipeGoesOutAsJsonLd(): void
    {
        $export = $this->tester('ladle:recipe:export');
        self::assertSame(0, $export->execute(['slug' => 'milk-solids-balls', '--format' => 'jsonld']));
        $recipe = json_decode($export->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($recipe);
        self::assertSame(
            [['https://schema.org', ['ladle' => 'urn:feast-ladle:']], 'Recipe', '33 × ball'],
            [$recipe['@context'], $recipe['@type'], $recipe['recipeYield']],
        );
        self::assertIsArray($recipe['recipeIngredient']);
        self::assertContains('400 g Milk solids, fresh', $recipe['recipeIngredient']);
        // As it is written, not as a scale shows it.
        self::assertContains('3 g Baking powder', $recipe['recipeIngredient']);
        self::assertContains('Frying oil, for frying', $recipe['recipeIngredient']);
        self::assertIsArray($recipe['recipeInstructions']);
        self::assertCount(7, $recipe['recipeInstructions']);
    }

    public function testAToldRecipeIsParsedWithoutBeingKept(): void
    {
        $parse = $this->tester('ladle:recipe:parse');
        self::assertSame(
            0,
            $parse->execute([
                'file' => $this->file(
                    "Semolina sweet\n1 cup semolina\n2 tbsp ghee\nRoast the semolina in the ghee for 10 minutes. Serve hot.",
                ),
            ]),
        );
        $parsed = json_decode($parse->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($parsed);
        self::assertSame(['draft', 'questions', 'guesses', 'read'], array_keys($parsed));
        self::assertStringContainsString('"semolina-sweet"', $parse->getDisplay());
        self::assertSame([], static::getContainer()->get(DraftDesk::class)->titles());
        self::assertSame(2, $parse->execute(['file' => $this->file("\xff\xfe")]));
    }

    public function testAToldRecipeGoesToTheWritingDesk(): void
    {
        $import = $this->tester('ladle:recipe:import');
        self::assertSame(
            0,
            $import->execute(
                [
                    'file' => $this->file(
                        "Semolina sweet\n1 cup semolina\n2 tbsp ghee\nRoast the semolina in the ghee for 10 minutes. Serve hot.",
                    ),
                ],
                ['capture_stderr_separately' => true],
            ),
        );
        self::assertMatchesRegularExpression('/^draft \d+$/', trim($import->getDisplay()));
        self::assertSame('Semolina sweet', static::getContainer()->get(DraftDesk::class)->titles()[0]['name']);
    }

    private function tester(string $command): CommandTester
    {
        return new CommandTester((new Application(self::bootKernel()))->find($command));
    }

    private function file(string $content): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'fl');
        file_put_contents($path, $content);

        return $path;
    }
}
