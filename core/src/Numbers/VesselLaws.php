<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\Dipstick;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use FeastLadle\Words\CannotBe;

/** Pots: shapes, dipsticks, limits, lifting. */
final class VesselLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        $shape = [
            Input::word('form', ['straight', 'tapered', 'bowl', 'box']),
            Input::number('rimMm', 'mm', 10, 5000),
            Input::number('heightMm', 'mm', 5, 3000),
            Input::number('baseMm', 'mm', 10, 5000, 200.0),
            Input::number('lengthMm', 'mm', 10, 5000, 200.0),
        ];

        return [
            new Law(
                'vessel-volume',
                'What stands in a vessel to a depth',
                'straight πr²h; tapered πx(r_b² + r_b r + r²)/3; bowl πx²(3R − x)/3',
                [...$shape, Input::number('depthMm', 'mm', 0, 3000)],
                static function (Values $v): array {
                    $shape = self::shape($v);
                    if ($v->number('depthMm') > $shape->heightMm() + 1e-9) {
                        throw new CannotBe(
                            \sprintf('%g mm is above the brim: it is %g mm high.', $v->number('depthMm'), $shape->heightMm()),
                        );
                    }

                    return [
                        new Figure('litres', $shape->volumeMl($v->number('depthMm')) / 1000, 'l'),
                        new Figure('brimful', $shape->brimfulMl() / 1000, 'l'),
                        new Figure('surface', $shape->surfaceM2($v->number('depthMm')), 'm²'),
                    ];
                },
            ),
            new Law(
                'vessel-depth',
                'How deep an amount stands, as marked on a dipstick',
                'the inverse, by bisection; hot it stands higher by 0.05 % a kelvin',
                [
                    ...$shape,
                    Input::number('litres', 'l', 0, 10000),
                    Input::number('celsius', '°C', 0, 120, 20.0),
                    Input::number('skinLitres', 'l', 0, 100, 0.0),
                ],
                static function (Values $v): array {
                    $shape = self::shape($v);
                    $depth = Dipstick::depthMm($shape, 1000 * $v->number('litres'), $v->number('celsius'), 1000 * $v->number('skinLitres'));

                    return [new Figure('depth', $depth, 'mm'), new Figure('surface', $shape->surfaceM2($depth), 'm²')];
                },
            ),
            new Law(
                'bowl-from-brimful',
                'The depth of a round-bottomed pan from its rim and what it holds',
                'h = 2a·sinh(⅓ asinh(3V/πa³))',
                [Input::number('rimMm', 'mm', 10, 5000), Input::number('litres', 'l', 0.01, 5000)],
                static fn (Values $v): array => [
                    new Figure('height', BowlShape::fromBrimful($v->number('rimMm') / 2, 1000 * $v->number('litres'))->heightMm(), 'mm'),
                ],
            ),
            new Law(
                'fill-limit',
                'How full a vessel may be',
                'share of brimful, hot, foam included',
                [
                    Input::word('what', array_map(static fn (FillLimit $l): string => $l->value, FillLimit::cases())),
                    Input::number('brimfulLitres', 'l', 0.01, 10000),
                ],
                static fn (Values $v): array => [
                    new Figure('share', FillLimit::from($v->word('what'))->share()),
                    new Figure('litres', FillLimit::from($v->word('what'))->share() * $v->number('brimfulLitres'), 'l'),
                ],
            ),
            new Law(
                'lifting',
                'Who lifts a pot',
                'one to the limit; two manage ⅔ of the sum of theirs, half of it when boiling',
                [
                    Input::number('potKg', 'kg', 0, 500),
                    Input::number('contentsKg', 'kg', 0, 5000),
                    Input::number('limitKg', 'kg', 1, 60, Lifting::DEFAULT_LIMIT_KG),
                    Input::word('boiling', ['yes', 'no'], 'no'),
                ],
                static fn (Values $v): array => [
                    new Figure('kg', $v->number('potKg') + $v->number('contentsKg'), 'kg'),
                    new Figure(
                        'who',
                        Lifting::of(
                            $v->number('potKg') + $v->number('contentsKg'),
                            $v->number('limitKg'),
                            'yes' === $v->word('boiling'),
                        )->value,
                    ),
                ],
            ),
        ];
    }

    private static function shape(Values $v): Shape
    {
        return match ($v->word('form')) {
            'tapered' => new TaperedShape($v->number('baseMm') / 2, $v->number('rimMm') / 2, $v->number('heightMm')),
            'bowl' => new BowlShape($v->number('rimMm') / 2, $v->number('heightMm')),
            'box' => StraightShape::rectangular($v->number('lengthMm'), $v->number('rimMm'), $v->number('heightMm')),
            default => StraightShape::round($v->number('rimMm'), $v->number('heightMm')),
        };
    }
}
