<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Keeping\Thickening;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Tray\Ball;
use FeastLadle\Tray\Cut;
use FeastLadle\Words\CannotBe;

/** Cuts, balls, waiting, holding. */
final class TrayAndHoldingLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        return [
            new Law(
                'tray-cut',
                'Whole pieces out of a slab',
                'squares ⌊L/a⌋⌊W/a⌋; triangles ⌊W/b⌋(⌊L/a⌋ + ⌊L/a − ½⌋); crossed ⌊L/a⌋⌊W/b⌋ + ⌊L/a − ½⌋⌊W/b − ½⌋; slanted row by row',
                [
                    Input::word('cut', array_map(static fn (Cut $c): string => $c->value, Cut::cases())),
                    Input::number('lengthMm', 'mm', 10, 5000),
                    Input::number('widthMm', 'mm', 10, 5000),
                    Input::number('a', 'mm', 2, 2000),
                    Input::number('b', 'mm', 2, 2000, 35.0),
                    Input::number('degrees', '°', 15, 90, 60.0),
                ],
                static function (Values $v): array {
                    $cut = Cut::from($v->word('cut'));
                    $pieces = $cut->pieces(
                        $v->number('lengthMm'),
                        $v->number('widthMm'),
                        $v->number('a'),
                        $v->number('b'),
                        $v->number('degrees'),
                    );

                    return [
                        new Figure('pieces', $pieces),
                        new Figure(
                            'trimmings',
                            1 -
                                ($pieces * $cut->pieceMm2($v->number('a'), $v->number('b'), $v->number('degrees'))) /
                                    ($v->number('lengthMm') * $v->number('widthMm')),
                            'share of the slab',
                        ),
                    ];
                },
            ),
            new Law(
                'ball',
                'Balls from a mass, and their width',
                'm = ρπd³/6, n = ⌊mass/m⌋',
                [
                    Input::number('massGrams', 'g', 1, 1e8),
                    Input::number('eachGrams', 'g', 0.1, 5000),
                    Input::number('density', 'g/ml', 0.1, 3, 1.2),
                ],
                static fn (Values $v): array => [
                    new Figure('number', Ball::number($v->number('massGrams'), $v->number('eachGrams'))),
                    new Figure('diameter', Ball::diameterMm($v->number('eachGrams'), $v->number('density')), 'mm'),
                ],
            ),
            new Law(
                'thickening',
                'What starch drinks while it waits',
                'a × dry × (1 − e^(−t/τ))',
                [
                    Input::number('dryGrams', 'g', 0, 1e7),
                    Input::number('minutes', 'min', 0, 2880),
                    Input::number('share', 'g/g', 1, 1.8, 1.4),
                    Input::number('tau', 'min', 45, 90, 60.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'drunk',
                        Thickening::drunkGrams($v->number('dryGrams'), $v->number('minutes'), $v->number('share'), $v->number('tau')),
                        'g',
                    ),
                ],
            ),
            new Law(
                'two-clocks',
                'Minutes that food was neither hot nor cold',
                'minutes between 5 and 60 °C; 120 warns, 240 stops; a cooling 60 → 21 in 2 h and → 5 in 4 h more is free',
                [Input::rows('readings', [Input::number('minute', 'min', 0, 1e5), Input::number('celsius', '°C', -20, 200)])],
                static function (Values $v): array {
                    $readings = array_map(
                        static fn (Values $r): array => ['minute' => $r->number('minute'), 'celsius' => $r->number('celsius')],
                        $v->rows('readings'),
                    );
                    if ([] === $readings) {
                        throw new CannotBe('Without readings nothing can be said.');
                    }
                    usort($readings, static fn (array $a, array $b): int => $a['minute'] <=> $b['minute']);
                    $clocks = new TwoClocks();
                    $minutes = $clocks->countedMinutes($readings);

                    return [
                        new Figure('minutes', $minutes, 'min'),
                        new Figure(
                            'says',
                            match (true) {
                                $minutes >= $clocks->stopMinutes => 'stop: do not serve it',
                                $minutes >= $clocks->warnMinutes => 'serve it soon',
                                default => 'in time',
                            },
                        ),
                    ];
                },
            ),
        ];
    }
}
