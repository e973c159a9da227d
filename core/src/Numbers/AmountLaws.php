<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Batch\GrainWater;
use FeastLadle\Batch\Growing;
use FeastLadle\Heat\Expansion;
use FeastLadle\Measure\Rounding;
use FeastLadle\Measure\Unit;
use FeastLadle\Portion\Demand;
use FeastLadle\Portion\Group;
use FeastLadle\Portion\Spare;
use FeastLadle\Recipe\Portion;
use FeastLadle\Words\CannotBe;

/** Measures, demand, growing. */
final class AmountLaws
{
    /** @return list<Law> */
    public static function all(): array
    {
        $units = array_map(static fn (Unit $u): string => $u->value, Unit::cases());

        return [
            new Law(
                'measure',
                'Grams and millilitres of a measure',
                'grams = amount × ml of the unit × bulk density',
                [Input::number('amount', '', 0, 1e6), Input::word('unit', $units), Input::number('density', 'g/ml', 0.05, 3, 1.0)],
                static function (Values $v): array {
                    $grams = Unit::from($v->word('unit'))->gramsOf($v->number('amount'), $v->number('density'));

                    return [new Figure('grams', $grams, 'g'), new Figure('millilitres', $grams / $v->number('density'), 'ml')];
                },
            ),
            new Law(
                'pot-volume',
                'Volume of things once they are in the pot',
                'V = Σ m·v, hot ÷ (1 − 0.0005(T − 20))',
                [
                    Input::rows('parts', [Input::number('grams', 'g', 0, 1e8), Input::number('mlPerGram', 'ml/g', 0, 3)]),
                    Input::number('celsius', '°C', 0, 120, 20.0),
                ],
                static function (Values $v): array {
                    $ml = array_sum(
                        array_map(static fn (Values $p): float => $p->number('grams') * $p->number('mlPerGram'), $v->rows('parts')),
                    );

                    return [new Figure('cold', $ml, 'ml'), new Figure('hot', Expansion::volumeMl($ml, $v->number('celsius')), 'ml')];
                },
            ),
            new Law(
                'rounding',
                'An amount as this scale can weigh it',
                'the largest round step of at most 2 % of the amount',
                [Input::number('grams', 'g', 0.001, 1e8), Input::number('scaleStep', 'g', 0.01, 1000, 1.0)],
                static fn (Values $v): array => [
                    new Figure('grams', (new Rounding($v->number('scaleStep')))->grams($v->number('grams')), 'g'),
                    new Figure('weighable', (new Rounding($v->number('scaleStep')))->isWeighable($v->number('grams'))),
                ],
            ),
            new Law(
                'demand',
                'How much of one dish to make',
                'Σ guests × appetite × uptake × portion, + spare, + offering bowls',
                [
                    Input::rows('groups', [Input::number('guests', '', 1, 100000), Input::number('appetite', '', 0.1, 3, 1.0)]),
                    Input::number('portion', 'g or pieces', 0.1, 2000),
                    Input::word('counts', ['grams', 'pieces'], 'grams'),
                    Input::number('uptake', '', 0.05, 1, 1.0),
                    Input::number('bowls', '', 0, 1000, 0.0),
                ],
                static function (Values $v): array {
                    $groups = [];
                    foreach ($v->rows('groups') as $i => $row) {
                        $groups[] = new Group('g'.$i, 'group', (int) $row->number('guests'), $row->number('appetite'));
                    }
                    if ([] === $groups) {
                        throw new CannotBe('Without guests there is no demand.');
                    }
                    $portion =
                        'pieces' === $v->word('counts')
                            ? Portion::pieces($v->number('portion'), 'piece')
                            : Portion::grams($v->number('portion'));
                    $demand = Demand::of($portion, $groups, $v->number('uptake'), (int) $v->number('bowls'));

                    return [
                        new Figure('eaten', $demand->forGuests, $v->word('counts')),
                        new Figure('spareShare', $demand->spareShare),
                        new Figure('offering', $demand->forOffering, $v->word('counts')),
                        new Figure('need', $demand->total, $v->word('counts')),
                    ];
                },
            ),
            new Law(
                'spare',
                'What to make on top, so that it runs short in one feast of ten',
                '√(0.05² + 1.28²(1 − u)/(u·n))',
                [Input::number('uptake', '', 0.01, 1), Input::number('guests', '', 1, 100000)],
                static fn (Values $v): array => [new Figure('share', Spare::share($v->number('uptake'), (int) $v->number('guests')))],
            ),
            new Law(
                'growing',
                'A bowl of a grown recipe',
                'per batch base × (k/n)^e',
                [
                    Input::number('base', 'g', 0, 1e7),
                    Input::number('factor', '', 1e-4, 1e6),
                    Input::number('batches', '', 1, 10000, 1.0),
                    Input::number('exponent', '', 0.3, 1.2, 1.0),
                    Input::number('pack', 'g', 0.1, 1e6, 1000.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'perBatch',
                        $perBatch = Growing::perBatch(
                            $v->number('base'),
                            $v->number('factor'),
                            (int) $v->number('batches'),
                            $v->number('exponent'),
                        ),
                        'g',
                    ),
                    new Figure('total', $perBatch * (int) $v->number('batches'), 'g'),
                    new Figure(
                        'factorOfWholePacks',
                        $v->number('base') > 0
                            ? Growing::wholePackFactor($v->number('base'), $v->number('factor'), $v->number('pack'), $v->number('exponent'))
                            : null,
                    ),
                ],
            ),
            new Law(
                'grain-water',
                'Water for a grain or pulse',
                'dry × (in all − soaked) + boiled off + lost in the wait, ±20 %',
                [
                    Input::number('dryKg', 'kg', 0.001, 5000),
                    Input::number('takesInAll', 'g/g', 0, 6),
                    Input::number('soaked', 'g/g', 0, 3, 0.0),
                    Input::number('boilMinutes', 'min', 0, 600, 0.0),
                    Input::number('netKw', 'kW', 0, 100, 0.0),
                    Input::number('waitLossKg', 'kg', 0, 100, 0.0),
                ],
                static fn (Values $v): array => [
                    new Figure(
                        'water',
                        GrainWater::kg(
                            $v->number('dryKg'),
                            $v->number('takesInAll'),
                            $v->number('soaked'),
                            $v->number('boilMinutes'),
                            $v->number('netKw'),
                            $v->number('waitLossKg'),
                        ),
                        'kg',
                    ),
                    new Figure(
                        'plusMinus',
                        GrainWater::KNOWN_TO * $v->number('dryKg') * max(0.0, $v->number('takesInAll') - $v->number('soaked')),
                        'kg',
                    ),
                ],
            ),
        ];
    }
}
