<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\CarryOver;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Fuel;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Heat\WarmUp;

/** Fires, warming, boiling off, roasting. */
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
                            self::air($v)->openPot()->lossKwPerM2($v->number('celsius'), $v->number('openness')),
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
                            self::air($v),
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
                            0.0 === $v->number('surfaceM2') ? null : self::air($v)->openPot(),
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
