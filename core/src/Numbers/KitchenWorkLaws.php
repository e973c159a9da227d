<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Batch\LayerLoad;
use FeastLadle\Heat\Skin;
use FeastLadle\Heat\WarmSoak;
use FeastLadle\Recipe\SharedWork;
use FeastLadle\Tray\Drops;

/** Soaking, skin, drops, layers, shared work. */
final class KitchenWorkLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        return [
            new Law(
                'soak',
                'How long something soaks or rises by the warmth around it',
                't₂₅ × 1.8^((25 − T)/10); from 0.7 t, up to 2 t, at most 12 h above 25 °C and 24 h below; scalded: a tenth, a quarter',
                [
                    Input::number('minutes', 'min', 1, 20160),
                    Input::number('celsius', '°C', WarmSoak::CELSIUS[0], WarmSoak::CELSIUS[1], 25.0),
                    Input::word('scalding', ['no', 'skins', 'grain'], 'no'),
                ],
                static function (Values $v): array {
                    $share = match ($v->word('scalding')) {
                        'skins' => WarmSoak::SKINS,
                        'grain' => WarmSoak::GRAIN,
                        default => 1.0,
                    };
                    $soak = WarmSoak::of($share * $v->number('minutes'), $v->number('celsius'));

                    return [
                        new Figure('earliest', $soak->earliest, 'min'),
                        new Figure('likely', $soak->likely, 'min'),
                        new Figure('latest', $soak->latest, 'min'),
                    ];
                },
            ),
            new Law(
                'skin',
                'Skin of milk that is pushed to the wall',
                '0.4 kg per m² and hour at the simmer, ± 50 %, 45 % of it water',
                [Input::number('surfaceM2', 'm²', 0.001, 20), Input::number('minutes', 'min', 0, 2880)],
                static function (Values $v): array {
                    $grams = Skin::grams($v->number('surfaceM2'), $v->number('minutes'));

                    return [
                        new Figure('skin', $grams, 'g'),
                        new Figure('water', Skin::WATER * $grams, 'g'),
                        new Figure('least', (1 - Skin::EITHER_WAY) * $grams, 'g'),
                        new Figure('most', (1 + Skin::EITHER_WAY) * $grams, 'g'),
                    ];
                },
            ),
            new Law(
                'drops',
                'Drops of batter through a holed tool',
                'd = 1.6 × hole, ρπd³/6; a layer 0.55 A d ρ; a round: frying + 0.5 min lifting + 1 min wiping, saved by a second, dry tool',
                [
                    Input::number('holeMm', 'mm', 1, 30),
                    Input::number('density', 'g/ml', 0.3, 2, 1.1),
                    Input::number('surfaceM2', 'm²', 0.001, 5),
                    Input::number('fryMinutes', 'min', 0.1, 60),
                    Input::number('tools', '', 1, 10, 1.0),
                ],
                static fn (Values $v): array => [
                    new Figure('width', Drops::widthMm($v->number('holeMm')), 'mm'),
                    new Figure('each', Drops::grams($v->number('holeMm'), $v->number('density')), 'g'),
                    new Figure('load', Drops::loadGrams($v->number('holeMm'), $v->number('density'), $v->number('surfaceM2')), 'g'),
                    new Figure('cycle', $v->number('fryMinutes') + Drops::betweenMinutes((int) $v->number('tools')), 'min'),
                ],
            ),
            new Law(
                'layer',
                'Pieces that lie side by side in a steamer, on a griddle or in little fat',
                'tiers × ⌊0.55 A/footprint⌋; ⌊0.6 A/footprint⌋',
                [
                    Input::word('what', ['steamer', 'griddle', 'shallow-fry']),
                    Input::number('diameterMm', 'mm', 50, 3000),
                    Input::number('widthMm', 'mm', 3, 1000),
                    Input::number('tiers', '', 1, 12, 1.0),
                ],
                static fn (Values $v): array => [
                    new Figure('pieces', LayerLoad::sideBySide(
                        'steamer' === $v->word('what'),
                        (\M_PI / 4) * ($v->number('diameterMm') / 1000) ** 2,
                        $v->number('widthMm'),
                        'steamer' === $v->word('what') ? (int) $v->number('tiers') : 1,
                    )),
                ],
            ),
            new Law(
                'hands',
                'Work by the piece or by mass that people share',
                'the minutes of one ÷ n^0.95',
                [Input::number('minutes', 'min', 0, 1e6), Input::number('people', '', 1, 1000)],
                static fn (Values $v): array => [
                    new Figure('minutes', $v->number('minutes') * SharedWork::share((int) $v->number('people')), 'min'),
                ],
            ),
        ];
    }
}
