<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\CarryOver;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\Mixing;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Heat\Steeping;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Heat\WarmUp;

/** Fires, warming, boiling off, roasting, cooling, frying. */
final class HeatLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        $room = Input::number('roomCelsius', '°C', -5, 50, 28.0);
        $minutes = static fn (?float $m): Figure => new Figure('minutes', $m, 'min');

        return [
            new Law(
                'net-power',
                'Power that reaches the pot',
                'kW × efficiency × flame, capped by what the food stands at the base; ±20 %',
                [
                    Input::number('kilowatts', 'kW', 0.1, 100),
                    Input::word('fuel', self::words(Fuel::cases())),
                    Input::word('flame', self::words(Flame::cases()), 'high'),
                    Input::word('food', self::words(HeatCap::cases()), 'water'),
                    Input::number('baseM2', 'm²', 0.001, 10, 1.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'net',
                        HeatCap::from($v->word('food'))->limit(
                            (new Burner('b', 'b', Fuel::from($v->word('fuel')), $v->number('kilowatts'), 90))->netKw(
                                Flame::from($v->word('flame')),
                            ),
                            $v->number('baseM2'),
                        ),
                        'kW',
                    ),
                ],
            ),
            new Law(
                'specific-heat',
                'Specific heat of syrup and of fat',
                'syrup 4.187 − B(0.0251 − 7.5e-5·T); fat 1.93 + 0.003·T',
                [Input::number('sugarPercent', '%', 0, 100, 0.0), Input::number('celsius', '°C', -10, 220)],
                static fn (Values $v): array => [
                    new Figure('syrup', SpecificHeat::syrup($v->number('sugarPercent'), $v->number('celsius')), 'kJ/kg·K'),
                    new Figure('fat', SpecificHeat::fat($v->number('celsius')), 'kJ/kg·K'),
                ],
            ),
            new Law(
                'open-pot',
                'What an open pot loses',
                'q = e·0.089(p(T) − p_room) + 0.010(T − T_room) kW/m²',
                [
                    Input::number('celsius', '°C', 0, 110),
                    $room,
                    Input::number('openness', '', 0.05, 1, 1.0),
                    Input::number('surfaceM2', 'm²', 0.001, 20, 1.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'loss',
                        $v->number('surfaceM2') *
                            (new OpenPot($v->number('roomCelsius')))->lossKwPerM2($v->number('celsius'), $v->number('openness')),
                        'kW',
                    ),
                ],
            ),
            new Law(
                'evaporation',
                'What a waiting pot loses',
                '0.089 e Δp/(2501 − 2.4T) kg/s·m²',
                [
                    Input::number('celsius', '°C', 0, 100),
                    Input::number('surfaceM2', 'm²', 0.001, 20),
                    $room,
                    Input::number('openness', '', 0.05, 1, 1.0),
                    Input::number('minutes', 'min', 0, 2880, 60.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'water',
                        (Evaporation::kgPerHour(
                            $v->number('celsius'),
                            $v->number('surfaceM2'),
                            $v->number('openness'),
                            $v->number('roomCelsius'),
                        ) *
                            $v->number('minutes')) /
                            60,
                        'kg',
                    ),
                ],
            ),
            new Law(
                'warm-up',
                'Minutes to bring a pot to a temperature',
                '∫ C dT/(net − q·A)',
                [
                    Input::number('capacity', 'kJ/K', 0.01, 1e5),
                    Input::number('from', '°C', -10, 120),
                    Input::number('to', '°C', -10, 220),
                    Input::number('netKw', 'kW', 0, 100),
                    Input::number('surfaceM2', 'm²', 0, 20, 0.0),
                    $room,
                    Input::number('openness', '', 0.0, 1, 1.0),
                ],
                static fn (Values $v): array => [
                    $minutes(
                        WarmUp::minutes(
                            $v->number('capacity'),
                            $v->number('from'),
                            $v->number('to'),
                            $v->number('netKw'),
                            $v->number('surfaceM2'),
                            0.0 === $v->number('surfaceM2') ? null : new OpenPot($v->number('roomCelsius')),
                            $v->number('openness'),
                        ),
                    ),
                ],
            ),
            new Law(
                'carry-over',
                'How long a hot vessel goes on cooking off the fire',
                '(m·c) of the vessel × (T of the vessel − T of the food) / net',
                [
                    Input::number('emptyKg', 'kg', 0.05, 200),
                    Input::number('specificHeat', 'kJ/kg·K', 0.1, 2, 0.5),
                    Input::number('excess', 'K', 0, 200),
                    Input::number('netKw', 'kW', 0.01, 100),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'seconds',
                        CarryOver::seconds($v->number('emptyKg'), $v->number('specificHeat'), $v->number('excess'), $v->number('netKw')),
                        's',
                    ),
                ],
            ),
            new Law(
                'boil-off',
                'Minutes to boil water away',
                'kg × 2257 / net; a litre the level falls is 0.998 kg',
                [
                    Input::number('kg', 'kg', 0, 5000, 0.0),
                    Input::number('litresFallen', 'l', 0, 5000, 0.0),
                    Input::number('netKw', 'kW', 0, 100),
                ],
                static fn (Values $v): array => [
                    new Figure('kg', $kg = $v->number('kg') + BoilOff::KG_PER_LITRE_FALLEN * $v->number('litresFallen'), 'kg'),
                    $minutes(BoilOff::minutes($kg, $v->number('netKw'))),
                ],
            ),
            new Law(
                'roast',
                'Minutes to roast, from the recipe\'s own pan',
                't_brown + E/net, E = m(1.7ΔT + w·2257) + 2.1 m_fat ΔT',
                [
                    Input::number('dryKg', 'kg', 0.001, 1000),
                    Input::number('fatKg', 'kg', 0, 1000, 0.0),
                    Input::number('moistureLost', '', 0, 0.8, 0.1),
                    Input::number('from', '°C', 0, 60, 28.0),
                    Input::number('netKw', 'kW', 0.01, 100),
                    Input::number('referenceKg', 'kg', 0.001, 1000),
                    Input::number('referenceFatKg', 'kg', 0, 1000, 0.0),
                    Input::number('referenceMinutes', 'min', 0.1, 600),
                    Input::number('referenceKw', 'kW', 0.01, 100),
                ],
                static function (Values $v) use ($minutes): array {
                    $brown = Roast::browningMinutes(
                        $v->number('referenceMinutes'),
                        Roast::energyKj(
                            $v->number('referenceKg'),
                            $v->number('referenceFatKg'),
                            $v->number('moistureLost'),
                            $v->number('from'),
                        ),
                        $v->number('referenceKw'),
                    );
                    $energy = Roast::energyKj($v->number('dryKg'), $v->number('fatKg'), $v->number('moistureLost'), $v->number('from'));

                    return [
                        new Figure('browning', $brown, 'min'),
                        new Figure('heat', $energy, 'kJ'),
                        $minutes($brown + $energy / $v->number('netKw') / 60),
                    ];
                },
            ),
            new Law(
                'cooling',
                'Minutes to cool',
                't = τ ln((T₀ − T_room)/(T₁ − T_room)), τ = ρc(V/A)(1/h + r/(m·k))',
                [
                    Input::number('density', 'kg/m³', 100, 2000),
                    Input::number('specificHeat', 'kJ/kg·K', 0.5, 5),
                    Input::number('volumePerAreaM', 'm', 0.0005, 1),
                    Input::number('film', 'W/m²K', 1, 1000, Cooling::STILL_AIR),
                    Input::number('radiusM', 'm', 0, 1, 0.0),
                    Input::number('shapeNumber', '3 slab, 4 pot, 5 ball', 3, 5, 3.0),
                    Input::number('conductivity', 'W/mK, 0 for thin liquid', 0, 5, 0.0),
                    Input::number('from', '°C', -10, 220),
                    Input::number('to', '°C', -10, 220),
                    $room,
                ],
                static function (Values $v) use ($minutes): array {
                    $tau = Cooling::tauMinutes(
                        $v->number('density'),
                        $v->number('specificHeat'),
                        $v->number('volumePerAreaM'),
                        $v->number('film'),
                        $v->number('radiusM'),
                        $v->number('shapeNumber'),
                        $v->number('conductivity') > 0 ? $v->number('conductivity') : null,
                    );

                    return [
                        new Figure('tau', $tau, 'min'),
                        $minutes(Cooling::minutes($tau, $v->number('from'), $v->number('to'), $v->number('roomCelsius'))),
                    ];
                },
            ),
            new Law(
                'ice',
                'Ice that cools a pot',
                'm·c·ΔT/(334 + 4.18 T₁)',
                [
                    Input::number('kg', 'kg', 0.01, 5000),
                    Input::number('specificHeat', 'kJ/kg·K', 0.5, 5, 3.9),
                    Input::number('from', '°C', 0, 120),
                    Input::number('to', '°C', 0, 60),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'ice',
                        Cooling::iceKg($v->number('kg'), $v->number('specificHeat'), $v->number('from'), $v->number('to')),
                        'kg',
                    ),
                ],
            ),
            new Law(
                'steeping',
                'How hot a covered pot stays off the flame',
                'the law of the open pot under a lid (e 0.1), and the wall at 10 W/m²K',
                [
                    Input::number('minutes', 'min', 0, 2880),
                    Input::number('capacity', 'kJ/K', 0.01, 1e5),
                    Input::number('from', '°C', 0, 120, 100.0),
                    Input::number('surfaceM2', 'm²', 0.001, 20),
                    Input::number('wallM2', 'm²', 0.001, 50),
                    $room,
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'celsius',
                        Steeping::celsiusAfter(
                            $v->number('minutes'),
                            $v->number('capacity'),
                            $v->number('from'),
                            $v->number('surfaceM2'),
                            $v->number('wallM2'),
                            $v->number('roomCelsius'),
                        ),
                        '°C',
                    ),
                ],
            ),
            new Law(
                'mixing',
                'The temperature at which things meet',
                'T = Σ mcT/Σ mc',
                [
                    Input::rows('parts', [
                        Input::number('kg', 'kg', 0.0001, 1e5),
                        Input::number('specificHeat', 'kJ/kg·K', 0.1, 5),
                        Input::number('celsius', '°C', -20, 300),
                    ]),
                ],
                static function (Values $v): array {
                    $parts = array_map(
                        static fn (Values $p): array => [
                            'kj' => $p->number('kg') * $p->number('specificHeat'),
                            'celsius' => $p->number('celsius'),
                        ],
                        $v->rows('parts'),
                    );

                    return [new Figure('celsius', [] === $parts ? null : Mixing::celsius($parts), '°C')];
                },
            ),
            new Law(
                'frying',
                'Pieces a load and how long the fat recovers',
                'n = min(⌊0.55 A/footprint⌋, ⌊0.175 m_fat/m_piece⌋); Q = n m(2.8(95 − T₀) + w·2257)',
                [
                    Input::number('surfaceM2', 'm²', 0.001, 10),
                    Input::number('footprintM2', 'm²', 0.00001, 1),
                    Input::number('fatKg', 'kg', 0.01, 500),
                    Input::number('pieceKg', 'kg', 0.0001, 5),
                    Input::number('pieceCelsius', '°C', -10, 90, 28.0),
                    Input::number('waterLost', '', 0, 0.8, 0.12),
                    Input::number('netKw', 'kW', 0.01, 100),
                    Input::number('seconds', 's', 1, 7200),
                ],
                static function (Values $v): array {
                    $pieces = Frying::piecesPerLoad(
                        $v->number('surfaceM2'),
                        $v->number('footprintM2'),
                        $v->number('fatKg'),
                        $v->number('pieceKg'),
                    );
                    $heat = Frying::heatKj($pieces, $v->number('pieceKg'), $v->number('pieceCelsius'), $v->number('waterLost'));

                    return [
                        new Figure('pieces', $pieces),
                        new Figure('heat', $heat, 'kJ'),
                        new Figure('recovery', 60 * Frying::recoveryMinutes($heat, $v->number('netKw'), $v->number('seconds') / 60), 's'),
                    ];
                },
            ),
            new Law(
                'thin-air',
                'Grain at the open boil where water boils cooler',
                't × 2^((100 − T_b)/10)',
                [Input::number('minutes', 'min', 0, 2880), Input::number('boilingCelsius', '°C', 75, 102)],
                static fn (Values $v): array => [$minutes($v->number('minutes') * ThinAir::factor($v->number('boilingCelsius')))],
            ),
            new Law(
                'fuel',
                'What a fire burns',
                'kW × flame × time / heating value',
                [
                    Input::number('kilowatts', 'kW', 0.1, 100),
                    Input::word('fuel', self::words(Fuel::cases())),
                    Input::word('flame', self::words(Flame::cases()), 'high'),
                    Input::number('minutes', 'min', 0, 10000),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'amount',
                        FuelUse::amount(
                            Fuel::from($v->word('fuel')),
                            $v->number('kilowatts'),
                            Flame::from($v->word('flame'))->share(),
                            $v->number('minutes'),
                        ),
                        FuelUse::unit(Fuel::from($v->word('fuel'))),
                    ),
                ],
            ),
        ];
    }

    /**
     * @param list<\BackedEnum> $cases
     *
     * @return list<string>
     */
    private static function words(array $cases): array
    {
        return array_map(static fn (\BackedEnum $c): string => (string) $c->value, $cases);
    }
}
