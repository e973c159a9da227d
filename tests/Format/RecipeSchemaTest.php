<?php

declare(strict_types=1);

namespace App\Tests\Format;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\CoolingMedium;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\KeepingEnemy;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Recipe\Skill;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Schools\DialKind;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;
use JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The published schema says what the reader takes. */
final class RecipeSchemaTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{string}> */
    public static function shipped(): iterable
    {
        foreach (glob(self::ROOT.'/data/recipes/*.json') ?: [] as $file) {
            yield basename($file) => [$file];
        }
    }

    #[DataProvider('shipped')]
    public function testEveryShippedRecipeIsValid(string $file): void
    {
        self::assertSame([], $this->errors((string) file_get_contents($file)));
    }

    public function testWhatTheReaderRefusesTheSchemaRefusesToo(): void
    {
        $basundi = (string) file_get_contents(self::ROOT.'/data/recipes/basundi.json');
        foreach (
            [
                '"process": "boil"' => '"process": "microwave"',
                '"flame": "high"' => '"flame": "inferno"',
                '"grams": 3000' => '"grams": -1',
                '"takes"' => '"tikes"',
                '"version": 1' => '"version": 2',
                '"slug": "basundi"' => '"slug": "Not A Slug"',
            ] as $good => $bad
        ) {
            self::assertNotSame([], $this->errors(str_replace($good, $bad, $basundi)), $bad);
        }
    }

    public function testListsOfWordsAreThoseOfTheCore(): void
    {
        $schema = json_decode((string) file_get_contents(self::ROOT.'/docs/formats/recipe.schema.json'), true, 64, \JSON_THROW_ON_ERROR);
        $step = $this->at($schema, 'definitions/step/properties');
        foreach (
            [
                'process' => Process::class,
                'flame' => Flame::class,
                'vessel/properties/kind' => VesselKind::class,
                'time/properties/grows' => Growth::class,
                'time/properties/medium' => CoolingMedium::class,
                'attention/properties/kind' => AttentionKind::class,
                'target/properties/kind' => TargetKind::class,
                'target/properties/stage' => Stage::class,
                'cues/items/properties/kind' => CueKind::class,
                'keeping/properties/place' => KeepingPlace::class,
                'keeping/properties/enemies/items' => KeepingEnemy::class,
                'attention/properties/skill' => Skill::class,
            ] as $path => $enum
        ) {
            self::assertSame(array_column($enum::cases(), 'value'), $this->at($step, $path.'/enum'), $path);
        }
        self::assertSame(array_column(DialKind::cases(), 'value'), $this->at($schema, 'properties/dials/items/properties/dial/enum'));
        self::assertSame(array_column(ServingWay::cases(), 'value'), $this->at($schema, 'properties/serving/properties/way/enum'));
    }

    /** @return list<mixed> */
    private function errors(string $json): array
    {
        $document = json_decode($json, false, 64, \JSON_THROW_ON_ERROR);
        $validator = new Validator();
        $validator->validate(
            $document,
            json_decode((string) file_get_contents(self::ROOT.'/docs/formats/recipe.schema.json'), false, 64, \JSON_THROW_ON_ERROR),
        );

        return array_values($validator->getErrors());
    }

    private function at(mixed $value, string $path): mixed
    {
        foreach (explode('/', $path) as $key) {
            self::assertIsArray($value);
            $value = $value[$key];
        }

        return $value;
    }
}
