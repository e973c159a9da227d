<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Recipe;

use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\Question;
use FeastLadle\Recipe\TargetKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A process owns its facts: one that is added needs its case and its row, and everything else knows it. */
final class NewProcessTest extends TestCase
{
    public function testANewProcessNeedsItsCaseAndItsRowOnly(): void
    {
        $core = \dirname(__DIR__, 3).'/core/src';
        $copy = sys_get_temp_dir().'/feast-ladle-core-'.getmypid();
        exec(\sprintf('cp -r %s %s', escapeshellarg($core), escapeshellarg($copy)));
        try {
            $this->insert($copy.'/Recipe/Process.php', '/(    case DishUp = .*;\n)/', "$1    case Caramelise = 'caramelise';\n");
            $this->insert(
                $copy.'/Recipe/ProcessTable.php',
                '/(        return match \(\$process\) \{\n)/',
                "$1            Process::Caramelise => new ProcessFacts('Caramelise', \$fire, \$pan, \$byMass, \$stir, [4.0, 6.0, 9.0],\n".
                    "                flame: Flame::Medium, targets: \$cues, fill: FillLimit::Syrup, cap: HeatCap::Syrup, browns: true,\n".
                    "                danger: Danger::HotSugar, neverAlone: true, begins: true, becomes: ['caramel']),\n",
            );
            $found = json_decode($this->ask($copy), true);
            self::assertIsArray($found);
            // Read, planned on a fire in a pan, warned of, checked, asked about at the desk, known to a telling.
            self::assertSame('caramelise', $found['read']);
            self::assertSame(['hot-sugar'], $found['cautions']);
            self::assertSame(0.5, $found['limit']);
            self::assertSame(140, $found['peak']);
            self::assertSame('Hot sugar is left alone.', $found['leftAlone']);
            self::assertSame('Caramelise', $found['desk']);
            self::assertIsArray($found['planned']);
            self::assertContains('sugar/1/melt', $found['planned']);
        } finally {
            exec('rm -rf '.escapeshellarg($copy));
        }
    }

    /** @return iterable<string, array{Process}> */
    public static function processes(): iterable
    {
        foreach (Process::cases() as $process) {
            yield $process->value => [$process];
        }
    }

    #[DataProvider('processes')]
    public function testARowHangsTogether(Process $process): void
    {
        $facts = $process->facts();
        self::assertNotSame('', $facts->label);
        self::assertLessThanOrEqual($facts->minutes[1], $facts->minutes[0]);
        self::assertLessThanOrEqual($facts->minutes[2], $facts->minutes[1]);
        $law = $facts->growths[0]->facts();
        self::assertTrue(
            [] === $law->targets
                || [] !==
                    array_intersect(
                        array_map(static fn (TargetKind $t): string => $t->value, $law->targets),
                        array_map(static fn (TargetKind $t): string => $t->value, $facts->targets),
                    ),
            'it can end as its usual law asks',
        );
        if ('none' !== $facts->flame->value) {
            self::assertTrue($facts->vessels[0]->standsOnFire(), 'a flame burns under a vessel that stands on it');
        }
        // What the desk begins with reads without a fault of its own law.
        $step = ProcessGuide::of($process)->step('x');
        self::assertSame($process->value, $step['process']);
        self::assertSame(ProcessGuide::of($process)->asks(Question::FryingFat), $process->friesInFat());
    }

    public function testALawSaysWhatItAsks(): void
    {
        self::assertTrue(Growth::Cooling->facts()->endsBy(TargetKind::Celsius));
        self::assertFalse(Growth::Cooling->facts()->endsBy(TargetKind::Cues));
        self::assertTrue(Growth::Fixed->facts()->endsBy(TargetKind::Cues));
        self::assertSame(
            [true, false, true],
            [Growth::BoilOff->facts()->flame, Growth::Cooling->facts()->flame, Growth::Cooling->facts()->vessel],
        );
        self::assertSame(
            [false, true, false],
            [Growth::Piece->facts()->minutes, Growth::Roast->facts()->minutes, Growth::WarmUp->facts()->minutes],
        );
    }

    private function insert(string $file, string $after, string $text): void
    {
        $changed = preg_replace($after, $text, (string) file_get_contents($file), 1, $count);
        self::assertSame(1, $count);
        file_put_contents($file, $changed);
    }

    private function ask(string $core): string
    {
        $script = <<<'PHP'
        spl_autoload_register(static function (string $class): void {
            require getenv('CORE').'/'.strtr(substr($class, 11), '\\', '/').'.php';
        });
        $data = getenv('DATA');
        $larder = (new FeastLadle\Larder\LarderReader())->read(file_get_contents($data.'/larder.json'));
        $step = ['id' => 'melt', 'process' => 'caramelise', 'title' => 'Melt', 'takes' => [['ingredient' => 'sugar', 'grams' => 500]],
            'vessel' => ['kind' => 'pan'], 'flame' => 'medium', 'time' => ['grows' => 'mass', 'minutes' => [4, 6, 9], 'power' => 0.6],
            'attention' => ['kind' => 'watch'], 'target' => ['kind' => 'cues'], 'cues' => [['kind' => 'done', 'sign' => 'Amber']]];
        $up = ['id' => 'up', 'process' => 'dish-up', 'title' => 'Up', 'takes' => [['from' => 'melt']],
            'time' => ['grows' => 'fixed', 'minutes' => [1, 2, 3]], 'attention' => ['kind' => 'constant']];
        $json = json_encode(['format' => 'feast-ladle/recipe', 'version' => 1, 'slug' => 'amber', 'name' => 'Amber',
            'serving' => ['way' => 'cold', 'keepMinutes' => 600], 'portion' => ['grams' => 20], 'steps' => [$step, $up], 'result' => 'up']);
        $recipe = (new FeastLadle\Recipe\RecipeReader($larder))->read($json);
        $flow = FeastLadle\Flow\Ledger::follow($recipe, $larder, 1.0, 1, FeastLadle\Heat\Climate::usual())->flow('melt');
        $kitchen = (new FeastLadle\Kitchen\KitchenReader())->read(file_get_contents($data.'/kitchens/kumbhar-lane.json'));
        $shelf = new class($recipe) implements FeastLadle\Recipe\RecipeShelf {
            public function __construct(private $recipe) {}
            public function find(string $slug, ?int $revision, ?FeastLadle\Schools\Choices $choices = null): ?FeastLadle\Recipe\Recipe
            {
                return $this->recipe;
            }
        };
        $feast = json_decode(file_get_contents($data.'/feasts/new-roof.json'), true);
        $feast['dishes'] = [['id' => 'sugar', 'recipe' => 'amber']];
        unset($feast['boxes'], $feast['pins']);
        $feast = (new FeastLadle\Feast\FeastReader($kitchen, $shelf))->read(json_encode($feast));
        $plan = (new FeastLadle\Planning\FeastPlanner($larder))->plan($feast, $kitchen);
        $findings = (new FeastLadle\Checking\RecipeChecker($larder))->check($recipe);
        $errors = array_values(array_filter($findings, static fn ($f) => 'error' === $f->severity->value));
        echo json_encode([
            'read' => $flow->step->process->value,
            'cautions' => array_map(static fn ($c) => $c->danger->value, (new FeastLadle\Safety\Cautions($larder))->of($flow)),
            'limit' => (new FeastLadle\Vessel\FillLimits())->share($flow->step->process->facts()->fill),
            'peak' => (int) $flow->peakCelsius,
            'leftAlone' => $errors[0]->reason->text(),
            'desk' => FeastLadle\Recipe\ProcessGuide::of($flow->step->process)->step('x')['title'],
            'planned' => array_map(static fn ($s) => $s->key->id(), $plan->steps),
        ]);
        PHP;
        $environment = ['CORE' => $core, 'DATA' => \dirname(__DIR__, 3).'/data'] + getenv();
        $process = proc_open([\PHP_BINARY, '-r', $script], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, null, $environment);
        self::assertIsResource($process);
        $answer = (string) stream_get_contents($pipes[1]);
        $faults = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $faults.$answer);

        return $answer;
    }
}
