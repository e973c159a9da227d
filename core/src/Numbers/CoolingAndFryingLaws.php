<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Heat\Mixing;
use FeastLadle\Heat\Steeping;
use FeastLadle\Heat\ThinAir;

/** Cooling, steeping, mixing, frying, thin air, fuel. */
final class CoolingAndFryingLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        $room = Input::number('roomCelsius', '°C', -5, 50, 28.0);
        $minutes = static fn (?float $m): Figure => new Figure('minutes', $m, 'min');

        return [
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
                            self::air($v),
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

    /** Air of usual dampness; a law that asks for the room only is known to 30 % anyway. */
    private static function air(Values $v): Climate
    {
        return new Climate($v->number('roomCelsius'), Climate::USUAL_HUMIDITY, 0.0);
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
