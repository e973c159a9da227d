<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Numbers;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Numbers\Figure;
use FeastLadle\Numbers\Law;
use FeastLadle\Numbers\LawBook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each law against figures worked out by hand or taken from handbooks. */
final class WorkedExamplesTest extends TestCase
{
    /**
     * @return iterable<string, array{string, array<string, mixed>, string, float|int|string|bool|null, float}> law, inputs,
     *     figure, value, how near
     */
    public static function examples(): iterable
    {
        $bowl = ['form' => 'bowl', 'rimMm' => 450, 'heightMm' => 140];
        $tapered = ['form' => 'tapered', 'rimMm' => 340, 'baseMm' => 240, 'heightMm' => 200];
        $groups = static fn (int $n): array => [['guests' => $n]];
        $sugar = ['grams' => 2000, 'waterGrams' => 1300];
        $jaggery = ['sweetener' => 'jaggery', 'grams' => 2000, 'waterGrams' => 1200];
        $slab = ['lengthMm' => 400, 'widthMm' => 300];
        yield 'a maund is 37.3 kg' => ['measure', ['amount' => 1, 'unit' => 'maund'], 'grams', 37324, 1];
        yield 'two 240 ml cups of semolina' => ['measure', ['amount' => 2, 'unit' => 'cup-240', 'density' => 0.7], 'grams', 336, 0.01];
        yield 'a spoon of twenty' => ['measure', ['amount' => 3, 'unit' => 'tbsp-20', 'density' => 1.42], 'grams', 85.2, 0.01];
        yield 'an ounce' => ['measure', ['amount' => 16, 'unit' => 'oz'], 'grams', 453.592, 0.001];
        yield 'a fluid ounce' => ['measure', ['amount' => 20, 'unit' => 'floz-28.4131'], 'millilitres', 568.262, 0.001];
        yield 'sugar and water in the pot' => [
            'pot-volume',
            ['parts' => [['grams' => 2000, 'mlPerGram' => 0.62], ['grams' => 1300, 'mlPerGram' => 1.002]]],
            'cold',
            2540,
            5,
        ];
        yield 'spare for 28' => ['spare', ['uptake' => 0.75, 'guests' => 28], 'share', 0.15, 0.005];
        yield 'spare for 240' => ['spare', ['uptake' => 0.75, 'guests' => 240], 'share', 0.07, 0.005];
        yield 'spare for 1800' => ['spare', ['uptake' => 0.75, 'guests' => 1800], 'share', 0.05, 0.005];
        yield 'pieces go up to whole in each group, and once on the sum' => [
            'demand',
            ['groups' => [['guests' => 7, 'appetite' => 0.6], ['guests' => 3]], 'portion' => 2, 'counts' => 'pieces', 'bowls' => 1],
            'need',
            18.0,
            0,
        ];
        yield 'a hundred thousand guests' => ['demand', ['groups' => $groups(100000), 'portion' => 100], 'need', 1.05e7, 1e4];
        yield 'spice grows slower' => ['growing', ['base' => 2, 'factor' => 60, 'exponent' => 0.85], 'perBatch', 64.9, 0.1];
        yield 'a whole tin' => ['growing', ['base' => 300, 'factor' => 5, 'pack' => 400], 'factorOfWholePacks', 4, 0.001];
        // drop 1.6 × 5 = 8 mm, 1.1 × π × 0.8³ / 6 = 0.2949 g; a layer 0.55 × 0.12 m² × 8 mm × 1.1 = 580.8 g
        $drops = ['holeMm' => 5, 'density' => 1.1, 'surfaceM2' => 0.12, 'fryMinutes' => 1.5];
        yield 'a drop through a hole of five' => ['drops', $drops, 'width', 8.0, 1e-9];
        yield 'what it weighs' => ['drops', $drops, 'each', 0.2949, 1e-4];
        yield 'a layer of them' => ['drops', $drops, 'load', 580.8, 0.01];
        yield 'a round of them with one ladle' => ['drops', $drops, 'cycle', 3.0, 1e-9];
        yield 'with a second, dry one' => ['drops', $drops + ['tools' => 2], 'cycle', 2.0, 1e-9];
        // 360 × 1.8^−1 = 200; 0.7 and 2 times that
        yield 'six hours of soaking, on a hot day' => ['soak', ['minutes' => 360, 'celsius' => 35], 'likely', 200.0, 0.01];
        yield 'soft at the earliest' => ['soak', ['minutes' => 360, 'celsius' => 35], 'earliest', 140.0, 0.01];
        yield 'soured at the latest' => ['soak', ['minutes' => 360, 'celsius' => 35], 'latest', 400.0, 0.01];
        yield 'six hours in the cold' => ['soak', ['minutes' => 360, 'celsius' => 5], 'likely', 1166.4, 0.01];
        yield 'a day there, and no longer' => ['soak', ['minutes' => 360, 'celsius' => 5], 'latest', 1440.0, 1e-9];
        // 720 × 1.8^−0.5 = 536.7; twice that would be over twelve hours
        yield 'twelve hours where it is warm' => ['soak', ['minutes' => 720, 'celsius' => 30], 'latest', 720.0, 1e-9];
        yield 'scalded for its skin' => ['soak', ['minutes' => 300, 'celsius' => 25, 'scalding' => 'skins'], 'likely', 30.0, 1e-9];
        yield 'scalded grain' => ['soak', ['minutes' => 300, 'celsius' => 25, 'scalding' => 'grain'], 'likely', 75.0, 1e-9];
        yield 'skin of half a square metre in an hour and a half' => ['skin', ['surfaceM2' => 0.5, 'minutes' => 90], 'skin', 300.0, 1e-6];
        yield 'and the water in it' => ['skin', ['surfaceM2' => 0.5, 'minutes' => 90], 'water', 135.0, 1e-6];
        // 120 / 4^0.95
        yield 'two hours of one, by four' => ['hands', ['minutes' => 120, 'people' => 4], 'minutes', 32.15, 0.01];
        yield 'by one' => ['hands', ['minutes' => 120, 'people' => 1], 'minutes', 120.0, 1e-9];
        // 0.55 × π × 0.15² over π × 0.03² is 13.75
        $steamer = ['what' => 'steamer', 'diameterMm' => 300, 'widthMm' => 60, 'tiers' => 3];
        yield 'three tiers of a steamer' => ['layer', $steamer, 'pieces', 39, 0];
        // 0.6 × π × 0.2² over π × 0.03² is 26.67
        yield 'a griddle' => ['layer', ['what' => 'griddle', 'diameterMm' => 400, 'widthMm' => 60], 'pieces', 26, 0];
        yield 'a kilo of rice' => [
            'grain-water',
            ['dryKg' => 1, 'takesInAll' => 2.2, 'boilMinutes' => 25, 'netKw' => 0.9],
            'water',
            2.8,
            0.005,
        ];
        yield 'ten kilos of rice are not ten times the water' => [
            'grain-water',
            ['dryKg' => 10, 'takesInAll' => 2.2, 'boilMinutes' => 25, 'netKw' => 0.9],
            'water',
            22.6,
            0.05,
        ];
        yield 'soaked pulse needs less' => ['grain-water', ['dryKg' => 1, 'takesInAll' => 2.2, 'soaked' => 0.95], 'water', 1.25, 0.001];
        yield 'a bowl of 45 cm' => ['vessel-volume', [...$bowl, 'depthMm' => 140], 'brimful', 12.57, 0.005];
        yield 'four litres in it' => ['vessel-depth', [...$bowl, 'litres' => 4], 'depth', 75.1, 0.05];
        yield 'its surface then' => ['vessel-depth', [...$bowl, 'litres' => 4], 'surface', 0.1006, 0.0001];
        yield 'its depth from rim and brim' => ['bowl-from-brimful', ['rimMm' => 450, 'litres' => 12.57], 'height', 140, 0.05];
        yield 'a tapered pot' => ['vessel-volume', [...$tapered, 'depthMm' => 100], 'brimful', 13.34, 0.005];
        yield 'half deep' => ['vessel-volume', [...$tapered, 'depthMm' => 100], 'litres', 5.53, 0.005];
        yield 'half of 118 mm cold' => [
            'vessel-depth',
            ['form' => 'straight', 'rimMm' => 360, 'heightMm' => 300, 'litres' => 0.59 * \M_PI * 3.24],
            'depth',
            59,
            0.01,
        ];
        yield 'and at the boil' => [
            'vessel-depth',
            ['form' => 'straight', 'rimMm' => 360, 'heightMm' => 300, 'litres' => 0.59 * \M_PI * 3.24, 'celsius' => 100],
            'depth',
            61,
            0.5,
        ];
        yield 'what is on the wall is not under the stick' => [
            'vessel-depth',
            ['form' => 'box', 'rimMm' => 200, 'lengthMm' => 200, 'heightMm' => 300, 'litres' => 4, 'skinLitres' => 0.4],
            'depth',
            90,
            0.01,
        ];
        yield 'milk at the boil' => ['fill-limit', ['what' => 'milk-or-starch-boil', 'brimfulLitres' => 10], 'litres', 6, 0.001];
        yield 'one lifts 20 kg' => ['lifting', ['potKg' => 3, 'contentsKg' => 17], 'who', 'one person lifts it', 0];
        yield 'two lift 26' => ['lifting', ['potKg' => 6, 'contentsKg' => 20], 'who', 'two lift it together', 0];
        yield 'boiling, 14 is too much for two' => [
            'lifting',
            ['potKg' => 4, 'contentsKg' => 10, 'boiling' => 'yes'],
            'who',
            'too heavy to lift: ladle it out',
            0,
        ];
        yield 'milk caps the flame' => [
            'net-power',
            ['kilowatts' => 3.5, 'fuel' => 'gas', 'food' => 'milk', 'baseM2' => \M_PI * 0.18 ** 2],
            'net',
            1.425,
            0.001,
        ];
        foreach ([60 => 1.9, 80 => 4.5, 90 => 6.7, 100 => 9.5] as $celsius => $loss) {
            yield "an open pot at $celsius" => ['open-pot', ['celsius' => $celsius], 'loss', $loss, 0.1];
        }
        yield 'a waiting pot of 36 cm' => ['evaporation', ['celsius' => 70, 'surfaceM2' => \M_PI * 0.18 ** 2], 'water', 0.4, 0.01];
        yield 'milk warmed without loss' => [
            'warm-up',
            ['capacity' => 43.05, 'from' => 8, 'to' => 100, 'netKw' => 1.425],
            'minutes',
            46,
            1,
        ];
        yield 'a pot that never boils' => [
            'warm-up',
            ['capacity' => 40, 'from' => 20, 'to' => 100, 'netKw' => 0.5, 'surfaceM2' => 0.1],
            'minutes',
            null,
            0,
        ];
        yield 'ten litres to a half, by the level' => ['boil-off', ['litresFallen' => 5, 'netKw' => 1.425], 'kg', 4.99, 0.001];
        yield 'and its minutes' => ['boil-off', ['litresFallen' => 5, 'netKw' => 1.425], 'minutes', 132, 0.5];
        yield 'the browning of half a kilo' => [
            'roast',
            $roast = [
                'dryKg' => 4,
                'moistureLost' => 0.1,
                'from' => 28,
                'netKw' => 1.8,
                'referenceKg' => 0.5,
                'referenceMinutes' => 16,
                'referenceKw' => 0.394,
            ],
            'browning',
            7.2,
            0.1,
        ];
        yield 'four kilos on a strong fire' => ['roast', $roast, 'minutes', 22.6, 0.2];
        yield 'on half of it' => ['roast', [...$roast, 'netKw' => 0.9], 'minutes', 38, 0.3];
        yield 'a slab of fudge on a rack' => [
            'cooling',
            [
                'density' => 1250,
                'specificHeat' => 2.5,
                'volumePerAreaM' => 0.011,
                'radiusM' => 0.011,
                'conductivity' => 0.35,
                'from' => 110,
                'to' => 40,
            ],
            'minutes',
            122,
            0.5,
        ];
        yield 'never below the room' => [
            'cooling',
            ['density' => 1250, 'specificHeat' => 2.5, 'volumePerAreaM' => 0.011, 'from' => 110, 'to' => 21],
            'minutes',
            null,
            0,
        ];
        yield 'already cool' => [
            'cooling',
            ['density' => 1250, 'specificHeat' => 2.5, 'volumePerAreaM' => 0.011, 'from' => 20, 'to' => 21],
            'minutes',
            0.0,
            0,
        ];
        $faces = \M_PI * 0.45 * 0.377 + \M_PI * 0.225 ** 2;
        yield 'sixty litres on the floor' => [
            'cooling',
            ['density' => 1030, 'specificHeat' => 3.9, 'volumePerAreaM' => 0.06 / $faces, 'from' => 95, 'to' => 60],
            'minutes',
            7.2 * 60,
            15,
        ];
        // An ice bath that is stirred stands a little above freezing.
        yield 'in ice water, stirred' => [
            'cooling',
            [
                'density' => 1030,
                'specificHeat' => 3.9,
                'volumePerAreaM' => 0.06 / $faces,
                'film' => 250,
                'from' => 60,
                'to' => 21,
                'roomCelsius' => 2,
            ],
            'minutes',
            27,
            2,
        ];
        yield 'ice for it' => ['ice', ['kg' => 61.8, 'from' => 60, 'to' => 21], 'ice', 22.3, 0.1];
        yield 'things meet' => [
            'mixing',
            ['parts' => [['kg' => 1, 'specificHeat' => 4, 'celsius' => 100], ['kg' => 1, 'specificHeat' => 2, 'celsius' => 40]]],
            'celsius',
            80,
            0.001,
        ];
        yield 'fritters a load' => [
            'frying',
            $fry = [
                'surfaceM2' => 0.1,
                'footprintM2' => 0.00125,
                'fatKg' => 6.2,
                'pieceKg' => 0.025,
                'pieceCelsius' => 28,
                'waterLost' => 0.12,
                'netKw' => 0.9,
                'seconds' => 480,
            ],
            'pieces',
            43,
            0,
        ];
        yield 'heat of a load' => ['frying', $fry, 'heat', 493, 1];
        yield 'recovery' => ['frying', $fry, 'recovery', 68, 1];
        yield 'grain at 1500 m' => ['thin-air', ['minutes' => 30, 'boilingCelsius' => 95], 'minutes', 42, 0.5];
        yield 'a bulk burner for an hour' => ['fuel', ['kilowatts' => 10, 'fuel' => 'gas', 'minutes' => 60], 'amount', 0.783, 0.001];
        foreach ([0 => 100.0, 500 => 98.3, 1500 => 95.0, 2400 => 92.0] as $metres => $boils) {
            yield "water at $metres m" => ['boiling-point', ['altitudeM' => $metres], 'celsius', $boils, 0.1];
        }
        yield 'one string at the sea' => ['stage', ['stage' => 'one-string'], 'aim', 105, 0.01];
        yield 'one string at 1500 m' => ['stage', ['stage' => 'one-string', 'altitudeM' => 1500], 'aim', 100, 0.2];
        yield 'one string is 66.9 %' => ['brew', [...$sugar, 'rise' => 5, 'netKw' => 0.45], 'percent', 66.9, 0.05];
        yield 'water that stays' => ['brew', [...$sugar, 'rise' => 5, 'netKw' => 0.45], 'waterLeft', 991, 1];
        yield 'water that boils off' => ['brew', [...$sugar, 'rise' => 5, 'netKw' => 0.45], 'waterOff', 309, 1];
        yield 'minutes from the boil' => ['brew', [...$sugar, 'rise' => 5, 'netKw' => 0.45], 'minutes', 26, 0.6];
        yield 'jaggery is 64.8 %' => ['brew', [...$jaggery, 'rise' => 5], 'percent', 64.8, 0.1];
        yield 'jaggery keeps' => ['brew', [...$jaggery, 'rise' => 5], 'waterLeft', 1017, 3];
        yield 'jaggery loses' => ['brew', [...$jaggery, 'rise' => 5], 'waterOff', 283, 3];
        yield 'past its stage before it is cooked' => [
            'brew',
            [...$sugar, 'waterGrams' => 500, 'rise' => 5, 'netKw' => 1],
            'waterBack',
            491,
            1,
        ];
        yield 'and no minutes' => ['brew', [...$sugar, 'waterGrams' => 500, 'rise' => 5, 'netKw' => 1], 'minutes', 0.0, 0];
        yield 'past its string' => ['overshot', [...$sugar, 'pastRise' => 9, 'wantedRise' => 5], 'water', 345, 1];
        yield 'browned, and no number' => ['overshot', [...$sugar, 'pastRise' => 60, 'wantedRise' => 5], 'water', null, 0];
        yield 'browned' => [
            'overshot',
            [...$sugar, 'pastRise' => 59, 'wantedRise' => 5],
            'caution',
            'browned: there is no way back',
            0,
        ];
        yield 'density at 20' => ['syrup-density', ['sugarPercent' => 66.9], 'density', 1.326, 0.001];
        yield 'density hot' => ['syrup-density', ['sugarPercent' => 66.9, 'celsius' => 105], 'density', 1.27, 0.001];
        yield 'a weighed ladle' => [
            'syrup-density',
            ['ladleGrams' => 127.0, 'ladleMl' => 100, 'celsius' => 105],
            'weighedPercent',
            66.9,
            0.2,
        ];
        yield 'solubility' => ['graining', ['sugarPercent' => 66.9], 'mostDissolved', 66.6, 0.05];
        yield 'it grains' => ['graining', ['sugarPercent' => 66.9], 'grains', true, 0];
        yield 'one string keeps' => ['water-activity', ['sugarPercent' => 66.9], 'activity', 0.85, 0.005];
        yield 'two strings' => ['water-activity', ['sugarPercent' => 74.0], 'activity', 0.78, 0.01];
        yield 'squares' => ['tray-cut', [...$slab, 'cut' => 'squares', 'a' => 35], 'pieces', 88, 0];
        yield 'halved' => ['tray-cut', [...$slab, 'cut' => 'halved-squares', 'a' => 35], 'pieces', 176, 0];
        yield 'triangles' => ['tray-cut', [...$slab, 'cut' => 'triangles', 'a' => 40, 'b' => 50], 'pieces', 114, 0];
        yield 'crossed' => ['tray-cut', [...$slab, 'cut' => 'crossed-diamonds', 'a' => 60, 'b' => 35], 'pieces', 96, 0];
        yield 'slanted' => ['tray-cut', [...$slab, 'cut' => 'slanted-diamonds', 'a' => 35, 'degrees' => 60], 'pieces', 68, 0];
        yield 'larger than the slab' => ['tray-cut', [...$slab, 'cut' => 'crossed-diamonds', 'a' => 500, 'b' => 35], 'pieces', 0, 0];
        yield 'a ball of 25 g' => ['ball', ['massGrams' => 1000, 'eachGrams' => 25], 'diameter', 34, 0.2];
        yield 'forty of them' => ['ball', ['massGrams' => 1000, 'eachGrams' => 25], 'number', 40, 0];
        yield 'semolina waits an hour' => ['thickening', ['dryGrams' => 1000, 'minutes' => 60], 'drunk', 885, 1];
        yield 'two hours at 40' => [
            'two-clocks',
            ['readings' => [['minute' => 0, 'celsius' => 60], ['minute' => 1, 'celsius' => 40], ['minute' => 121, 'celsius' => 40]]],
            'minutes',
            121,
            0.1,
        ];
        yield 'a quick cooling is free' => [
            'two-clocks',
            ['readings' => [['minute' => 0, 'celsius' => 95], ['minute' => 60, 'celsius' => 21], ['minute' => 200, 'celsius' => 4]]],
            'minutes',
            0.0,
            0.1,
        ];
        yield 'a slow one counts whole' => [
            'two-clocks',
            ['readings' => [['minute' => 0, 'celsius' => 60], ['minute' => 180, 'celsius' => 21], ['minute' => 300, 'celsius' => 5]]],
            'minutes',
            300,
            0.1,
        ];
        yield 'heated again, none is given back' => [
            'two-clocks',
            [
                'readings' => [
                    ['minute' => 0, 'celsius' => 60],
                    ['minute' => 60, 'celsius' => 40],
                    ['minute' => 120, 'celsius' => 60],
                    ['minute' => 180, 'celsius' => 75],
                    ['minute' => 200, 'celsius' => 60],
                    ['minute' => 260, 'celsius' => 50],
                ],
            ],
            'minutes',
            180,
            0.1,
        ];
        yield 'always hot' => [
            'two-clocks',
            ['readings' => [['minute' => 0, 'celsius' => 80], ['minute' => 600, 'celsius' => 62]]],
            'minutes',
            0.0,
            0,
        ];
        yield 'four hours stop' => [
            'two-clocks',
            ['readings' => [['minute' => 0, 'celsius' => 30], ['minute' => 240, 'celsius' => 30]]],
            'says',
            'stop: do not serve it',
            0,
        ];
    }

    /** @param array<string, mixed> $inputs */
    #[DataProvider('examples')]
    public function testALawGivesWhatWasWorkedOut(
        string $law,
        array $inputs,
        string $figure,
        float|int|string|bool|null $value,
        float $near,
    ): void {
        $figures = self::law($law)->of(json_encode($inputs, \JSON_THROW_ON_ERROR));
        $given = array_column($figures, 'value', 'name')[$figure];
        if (\is_float($value) || (\is_int($value) && $near > 0)) {
            self::assertIsNumeric($given);
            self::assertEqualsWithDelta($value, (float) $given, $near);
        } else {
            self::assertSame($value, $given);
        }
    }

    public function testTheClimbMattersMoreTheHotterItEnds(): void
    {
        $minutes = static fn (float $rise): float => (float) array_column(
            self::law('brew')->of(
                json_encode(['grams' => 2000, 'waterGrams' => 1300, 'rise' => $rise, 'netKw' => 0.45], \JSON_THROW_ON_ERROR),
            ),
            'value',
            'name',
        )['minutes'];
        $boil = static fn (float $rise): float => (((float) array_column(
            self::law('brew')->of(
                json_encode(['grams' => 2000, 'waterGrams' => 1300, 'rise' => $rise, 'netKw' => 0.45], \JSON_THROW_ON_ERROR),
            ),
            'value',
            'name',
        )['waterOff'] /
            1000) *
            2257) /
            0.45 /
            60;
        self::assertEqualsWithDelta(1.02, $minutes(5.0) / $boil(5.0), 0.006);
        self::assertEqualsWithDelta(1.12, $minutes(51.5) / $boil(51.5), 0.02);
    }

    public function testALargePotStaysHotterUnderItsLid(): void
    {
        $after = static fn (float $capacity, float $surface, float $wall): float => (float) array_column(
            self::law('steeping')->of(
                json_encode(
                    ['minutes' => 60, 'capacity' => $capacity, 'surfaceM2' => $surface, 'wallM2' => $wall],
                    \JSON_THROW_ON_ERROR,
                ),
            ),
            'value',
            'name',
        )['celsius'];
        self::assertGreaterThan($after(8, 0.03, 0.07) + 10, $after(240, 0.16, 0.55));
    }

    public function testEveryLawIsListedOnceAndSaysWhatItNeeds(): void
    {
        $tested = array_unique(array_map(static fn (array $e): string => $e[0], array_values(iterator_to_array(self::examples()))));
        foreach (LawBook::all() as $name => $law) {
            self::assertNotSame([], $law->inputs, $name);
            foreach ($law->inputs as $input) {
                self::assertStringContainsString($input->name, $input->told());
            }
        }
        self::assertSame([], array_values(array_diff($tested, array_keys(LawBook::all()))));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function faulty(): iterable
    {
        yield 'no JSON' => ['spare', '{', ''];
        yield 'missing' => ['spare', '{"guests": 10}', '/uptake'];
        yield 'too many' => ['spare', '{"uptake": 0.5, "guests": 100001}', '/guests'];
        yield 'above the brim' => ['vessel-volume', '{"form": "straight", "rimMm": 200, "heightMm": 100, "depthMm": 101}', ''];
        yield 'a negative height' => ['vessel-volume', '{"form": "straight", "rimMm": 200, "heightMm": -3, "depthMm": 1}', '/heightMm'];
        yield 'an unknown word' => ['stage', '{"stage": "thick"}', '/stage'];
        yield 'a misspelt field' => ['spare', '{"uptake": 0.5, "guests": 10, "uptakes": 1}', '/uptakes'];
        yield 'in a row' => ['mixing', '{"parts": [{"kg": 1, "specificHeat": 4, "celsius": 900}]}', '/parts/0/celsius'];
        yield 'no piece fits' => [
            'frying',
            '{"surfaceM2": 0.001, "footprintM2": 0.01, "fatKg": 1, "pieceKg": 0.1, "netKw": 1, "seconds": 60}',
            '',
        ];
    }

    #[DataProvider('faulty')]
    public function testWhatCanNotBeComputedIsRefusedAtItsPlace(string $law, string $json, string $pointer): void
    {
        try {
            self::law($law)->of($json);
            self::fail('It was computed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame($pointer, $faulty->faults[0]->pointer);
        }
    }

    private static function law(string $name): Law
    {
        return LawBook::all()[$name];
    }
}
