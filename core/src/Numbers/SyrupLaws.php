<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Heat\BoilingPoint;
use FeastLadle\Syrup\Brew;
use FeastLadle\Syrup\Density;
use FeastLadle\Syrup\Graining;
use FeastLadle\Syrup\Stage;
use FeastLadle\Syrup\SugarRise;
use FeastLadle\Syrup\Sweetener;
use FeastLadle\Syrup\WaterActivity;

/** Boiling points, stages, strengths. */
final class SyrupLaws
{
    /** Sugar browns from 160 °C; a degree of doubt is left. There is no way back. */
    private const BROWNED_RISE = 59.0;

    /** @return list<Law> */
    public static function all(): array
    {
        $altitude = Input::number('altitudeM', 'm', BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M, 0.0);
        $brew = [
            Input::word('sweetener', ['sugar', 'jaggery'], 'sugar'),
            Input::number('grams', 'g', 1, 1e7),
            Input::number('waterGrams', 'g', 0, 1e7),
        ];
        $make = static fn (Values $v): Brew => new Brew(
            Sweetener::from($v->word('sweetener')),
            $v->number('grams'),
            $v->number('waterGrams'),
        );
        $stages = array_map(static fn (Stage $s): string => $s->value, Stage::cases());

        return [
            new Law(
                'boiling-point',
                'Where water boils at an altitude',
                'standard atmosphere, then Antoine',
                [$altitude],
                static fn (Values $v): array => [new Figure('celsius', BoilingPoint::ofWaterCelsius($v->number('altitudeM')), '°C')],
            ),
            new Law(
                'sugar-rise',
                'How far a strength boils above water',
                'a composite table, linear between its points; ±2 K to 80 %, 4 to 9 above',
                [Input::number('sugarPercent', '%', 0, 100), $altitude],
                static fn (Values $v): array => [
                    new Figure(
                        'rise',
                        $rise = SugarRise::atBoilingPoint(
                            SugarRise::kelvin($v->number('sugarPercent')),
                            BoilingPoint::ofWaterCelsius($v->number('altitudeM')),
                        ),
                        'K',
                    ),
                    new Figure('celsius', BoilingPoint::ofWaterCelsius($v->number('altitudeM')) + $rise, '°C'),
                ],
            ),
            new Law(
                'stage',
                'Where a stage stands on the thermometer here',
                'water\'s boil + the rise × ((T_b + 273.15)/373.15)²',
                [Input::word('stage', $stages), $altitude],
                static function (Values $v): array {
                    $stage = Stage::from($v->word('stage'));
                    $boiling = BoilingPoint::ofWaterCelsius($v->number('altitudeM'));
                    [$low, $high] = $stage->band();

                    return [
                        new Figure('from', Brew::celsius($low, $boiling), '°C'),
                        new Figure('aim', Brew::celsius($stage->aimRise(), $boiling), '°C'),
                        new Figure('to', Brew::celsius($high, $boiling), '°C'),
                        new Figure('sugarPercent', SugarRise::sugarPercent($stage->aimRise()), '%'),
                    ];
                },
            ),
            new Law(
                'brew',
                'Water to boil off to a stage, and how long from the boil',
                'water left S(100 − B)/B; kg × 2257/net, and the climb',
                [...$brew, Input::number('rise', 'K at the sea', 0.1, 60), Input::number('netKw', 'kW', 0.01, 100, 1.0), $altitude],
                static function (Values $v) use ($make): array {
                    $syrup = $make($v);
                    $off = $syrup->waterOffGrams($v->number('rise'));

                    return [
                        new Figure('percent', $syrup->percentAt($v->number('rise')), '%'),
                        new Figure('waterLeft', $syrup->waterLeftGrams($v->number('rise')), 'g'),
                        new Figure('waterOff', max(0.0, $off), 'g'),
                        // Past its stage before it is cooked: the water that brings it there.
                        new Figure('waterBack', max(0.0, -$off), 'g'),
                        new Figure(
                            'minutes',
                            $syrup->minutes($v->number('rise'), $v->number('netKw'), BoilingPoint::ofWaterCelsius($v->number('altitudeM'))),
                            'min',
                        ),
                    ];
                },
            ),
            new Law(
                'overshot',
                'Water that brings a syrup back',
                'water left at the wanted rise less what is left now; off the flame, in two pours',
                [...$brew, Input::number('pastRise', 'K', 0.1, 100), Input::number('wantedRise', 'K', 0.1, 59)],
                static fn (Values $v): array => [
                    new Figure(
                        'water',
                        $v->number('pastRise') >= self::BROWNED_RISE
                            ? null
                            : $make($v)->waterBackGrams($v->number('pastRise'), $v->number('wantedRise')),
                        'g',
                    ),
                    new Figure(
                        'caution',
                        match (true) {
                            $v->number('pastRise') >= self::BROWNED_RISE => 'browned: there is no way back',
                            $v->number('pastRise') > 20 => 'water flashes to steam: by the spoon, long sleeve, nobody above',
                            default => 'off the flame, in two pours',
                        },
                    ),
                ],
            ),
            new Law(
                'syrup-density',
                'Density of a syrup, and strength from a weighed ladle',
                '1/ρ = (1 − b)/0.9982 + b(0.613 + 0.027 b), −0.05 %/K',
                [
                    Input::number('sugarPercent', '%', 0, 100, 0.0),
                    Input::number('celsius', '°C', 0, 180, 20.0),
                    Input::number('ladleGrams', 'g', 0, 10000, 0.0),
                    Input::number('ladleMl', 'ml', 1, 10000, 100.0),
                ],
                static fn (Values $v): array => [
                    new Figure('density', Density::gramsPerMl($v->number('sugarPercent'), $v->number('celsius')), 'g/ml'),
                    new Figure(
                        'weighedPercent',
                        $v->number('ladleGrams') > 0
                            ? Density::sugarPercent($v->number('ladleGrams') / $v->number('ladleMl'), $v->number('celsius'))
                            : null,
                        '%',
                    ),
                ],
            ),
            new Law(
                'graining',
                'Whether a syrup grains as it cools',
                '64.397 + 0.07251T + 0.0020569T² − 9.035e-6T³',
                [Input::number('sugarPercent', '%', 0, 100), Input::number('celsius', '°C', 0, 110, 20.0)],
                static fn (Values $v): array => [
                    new Figure('mostDissolved', Graining::mostPercent($v->number('celsius')), '%'),
                    new Figure('grains', Graining::grains($v->number('sugarPercent'), $v->number('celsius'))),
                ],
            ),
            new Law(
                'water-activity',
                'How free the water is (a hint)',
                '(1 − x)e^(−6.47x²)',
                [Input::number('sugarPercent', '%', 0, 100)],
                static fn (Values $v): array => [
                    new Figure('activity', $activity = WaterActivity::of($v->number('sugarPercent'))),
                    new Figure('dryEnough', $activity <= WaterActivity::DRY_ENOUGH),
                ],
            ),
        ];
    }
}
