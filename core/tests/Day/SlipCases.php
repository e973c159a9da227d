<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

/**
 * Things that go wrong, at 60 guests in the temple kitchen, and what a careful cook would answer; written before any of it was computed.
 *
 * Each: recipe, step, what is said, and what must hold of the answer: `first` is said before anything else; `nobody` whether nobody eats
 * it; `ways` kinds that must be among the ways on; `adds` grams of a thing as a share of what another bowl of the step holds, or of
 * the whole pot where it says so; `noWay` whether there is no way back to what was meant; `never` what no way may say.
 *
 * @phpstan-type Case array{string, string, array<string, mixed>, array{first?: string, nobody?: bool, ways?: list<string>,
 *     adds?: array<string, array{string, float, float}>, noWay?: bool, says?: string, never?: string}}
 */
final class SlipCases
{
    /** @return array<string, Case> */
    public static function all(): array
    {
        return [
            'spice forgotten in the fat, ten minutes ago' => ['pulse-coconut-pudding', 'bloom', ['slip' => 'forgotten', 'bowl' => 2], [
                'ways' => ['computed', 'leave'],
                'adds' => ['ghee' => ['cardamom', 2.0, 12.0], 'cardamom' => ['cardamom', 0.95, 1.05]],
                'never' => '/dry into|water/i',
            ]],
            'sugar forgotten, the pot is still there' => ['basundi', 'sweeten', ['slip' => 'forgotten', 'bowl' => 2], [
                'ways' => ['computed', 'leave'],
                'adds' => ['sugar' => ['sugar', 0.95, 1.05]],
            ]],
            'baking soda forgotten in the batter' => ['jalebi', 'batter', ['slip' => 'forgotten', 'bowl' => 6], [
                'ways' => ['computed', 'leave'],
                'adds' => ['baking-soda' => ['baking-soda', 0.9, 1.1]],
            ]],
            'milk went in before the water' => ['broken-wheat-pudding', 'soften', ['slip' => 'out-of-order', 'bowl' => 2, 'before' => 1], [
                'ways' => ['computed'],
                'says' => '/soft/i',
                'never' => '/sweeten now|add the jaggery/i',
            ]],
            'milk in place of the water' => ['broken-wheat-pudding', 'soften', ['slip' => 'swapped', 'bowl' => 2, 'with' => 'milk'], [
                'ways' => ['computed'],
                'adds' => ['water' => ['water', 0.2, 0.6]],
                'says' => '/soft|catch/i',
            ]],
            'sweetened before the grain was soft' => ['sago-milk', 'pearls', [
                'slip' => 'something-else',
                'ingredient' => 'sugar',
                'grams' => 900,
            ], [
                'ways' => ['computed'],
                'says' => '/soft/i',
                'adds' => ['water' => ['pot', 0.05, 0.5]],
            ]],
            'the pulse was not soaked' => ['filled-flatbread', 'soak', ['slip' => 'skipped'], [
                'ways' => ['computed'],
                'adds' => ['water' => ['split-chana', 0.3, 1.6]],
                'says' => '/longer|hot/i',
            ]],
            'the pearls were not soaked' => [
                'sago-milk',
                'soak',
                ['slip' => 'skipped'],
                ['ways' => ['computed', 'anew'], 'says' => '/soak|hot/i'],
            ],
            'syrup one stage past tacky' => ['milk-solids-balls', 'syrup', ['slip' => 'went-past', 'stage' => 'heavy'], [
                'ways' => ['recipe', 'computed'],
                'adds' => ['water' => ['sugar', 0.15, 0.36]],
                'first' => '/flame off/i',
            ]],
            'syrup two strings in place of one' => ['cashew-diamonds', 'syrup', ['slip' => 'went-past', 'stage' => 'two-strings'], [
                'ways' => ['computed'],
                'adds' => ['water' => ['sugar', 0.10, 0.24]],
                'first' => '/flame off/i',
            ]],
            'syrup browned' => ['cashew-diamonds', 'syrup', ['slip' => 'went-past', 'celsius' => 178], [
                'noWay' => true,
                'ways' => ['anew'],
                'first' => '/flame off/i',
                'never' => '/water/i',
            ]],
            'hard crack went to caramel' => ['peanut-brittle', 'crack', ['slip' => 'went-past', 'stage' => 'caramel'], [
                'noWay' => true, 'ways' => ['anew'], 'first' => '/flame off/i', 'never' => '/water/i',
            ]],
            'milk reduced too far' => ['reduced-milk', 'reduce', ['slip' => 'went-past', 'share' => 0.3], [
                'ways' => ['computed'],
                'adds' => ['milk|water' => ['pot', 0.08, 0.13]],
            ]],
            'all the water at once into the flour' => ['filled-flatbread', 'dough', ['slip' => 'too-much', 'bowl' => 2, 'grams' => 900], [
                'ways' => ['computed'],
                'adds' => ['wheat-flour' => ['wheat-flour', 0.2, 0.7]],
            ]],
            'the syrup was cold at the merge' => ['pineapple-kesari', 'merge', ['slip' => 'too-cold', 'celsius' => 30], [
                'ways' => ['computed'],
                'says' => '/lump/i',
            ]],
            'sugar into hot roasted flour' => ['roasted-gram-balls', 'sugar', ['slip' => 'too-hot', 'celsius' => 95], [
                'ways' => ['computed'],
                'says' => '/melt|cool/i',
                'never' => '/more heat|back on the flame/i',
            ]],
            'dark sugar split the boiling milk' => ['broken-wheat-pudding', 'sweeten', ['slip' => 'too-hot', 'celsius' => 100], [
                'noWay' => true, 'first' => '/flame off|off the flame/i', 'ways' => [
                    'recipe',
                    'leave',
                ], 'never' => '/boil it again|bring it to the boil/i',
            ]],
            'dough too wet' => ['milk-solids-balls', 'dough', ['slip' => 'too-wet'], [
                'ways' => ['computed'],
                'adds' => ['wheat-flour|semolina|milk-solids' => ['pot', 0.01, 0.08]],
            ]],
            'dough dried out' => ['milk-solids-balls', 'dough', ['slip' => 'too-dry'], [
                'ways' => ['recipe', 'computed'],
                'adds' => ['milk' => ['pot', 0.005, 0.06]],
            ]],
            'mass too dry, leaves the spoon in crumbs' => ['coconut-rose-barfi', 'cook', ['slip' => 'too-dry'], [
                'ways' => ['computed'],
                'adds' => ['milk|water|ghee' => ['pot', 0.01, 0.12]],
            ]],
            'seized when the hot fat went in' => ['gram-honeycomb', 'froth', ['slip' => 'too-dry'], [
                'ways' => ['recipe'],
                'first' => '/hot fat|spit/i',
                'never' => '/water into the (hot )?fat|cold water/i',
            ]],
            'sugar doubled' => ['basundi', 'sweeten', ['slip' => 'too-much', 'bowl' => 2, 'grams' => 1700], [
                'ways' => ['computed', 'smaller', 'leave'],
                'says' => '/sweet/i',
            ]],
            'salt doubled' => ['millet-cups', 'water', ['slip' => 'too-much', 'bowl' => 3, 'grams' => 14], [
                'ways' => ['computed'],
                'adds' => ['water' => ['water', 0.8, 1.2]],
            ]],
            'salt in place of sugar' => ['basundi', 'sweeten', ['slip' => 'swapped', 'bowl' => 2, 'with' => 'salt'], [
                'nobody' => true,
                'ways' => ['discard', 'anew'],
                'says' => '/jar/i',
                'never' => '/dilute|rinse/i',
            ]],
            'the first milk of the coconut boiled' => ['pulse-coconut-pudding', 'finish', ['slip' => 'too-hot', 'celsius' => 99], [
                'noWay' => true,
                'first' => '/flame off|off the flame/i',
                'ways' => ['recipe', 'leave'],
            ]],
            'boiled over by a tenth' => ['basundi', 'boil', ['slip' => 'spilt', 'share' => 0.1], [
                'first' => '/gas|flame/i',
                'ways' => ['computed', 'smaller'],
                'adds' => ['milk' => ['milk', 0.08, 0.12]],
            ]],
            'caught at the bottom' => ['reduced-milk', 'reduce', ['slip' => 'caught'], [
                'ways' => ['recipe', 'computed'],
                'says' => '/clean/i',
                'never' => '/stir the bottom|scrape it off|more cardamom|mask it with/i',
            ]],
            'fat too hot' => ['jalebi', 'fry', ['slip' => 'too-hot', 'celsius' => 215], [
                'first' => '/flame off.*(not move|where it stands)/is',
                'ways' => ['computed'],
                'never' => '/water into|move it off|carry/i',
            ]],
            'fat at its smoke' => ['milk-solids-balls', 'fry', ['slip' => 'too-hot', 'celsius' => 260], [
                'first' => '/stop|lid/i',
            ]],
            'fat too cold' => ['milk-solids-balls', 'fry', ['slip' => 'too-cold', 'celsius' => 110], [
                'ways' => ['computed'], 'says' => '/wait|hot/i',
            ]],
            'water fell into the hot fat' => ['jalebi', 'fry', ['slip' => 'something-else', 'ingredient' => 'water', 'grams' => 30], [
                'first' => '/step back|flame off/i',
                'never' => '/lid off|stir/i',
            ]],
            'nuts ground to butter' => [
                'cashew-diamonds',
                'grind',
                ['slip' => 'too-wet'],
                ['ways' => ['recipe', 'anew'], 'never' => '/grind on/i'],
            ],
            'the cutting window is lost' => ['gram-honeycomb', 'cut', ['slip' => 'too-cold', 'celsius' => 28], [
                'ways' => ['recipe', 'computed'], 'says' => '/warm/i',
            ]],
            'balls that crumble' => ['roasted-gram-balls', 'roll', ['slip' => 'too-dry'], [
                'ways' => ['recipe', 'computed'],
                'adds' => ['ghee' => ['pot', 0.005, 0.06]],
            ]],
            'half of it dropped' => ['coconut-rose-barfi', 'dish-up', ['slip' => 'dropped', 'share' => 0.5], [
                'ways' => ['smaller', 'anew'],
                'first' => '/floor|splinter/i',
                'never' => '/rinse|pick it up/i',
            ]],
            'a glass broke beside open pots' => ['basundi', 'sweeten', ['slip' => 'foreign', 'what' => 'glass', 'near' => ['syrup-pot']], [
                'nobody' => true, 'first' => '/glass/i', 'ways' => [
                    'discard',
                    'anew',
                ], 'never' => '/strain|sieve|pick/i', 'says' => '/Syrup pot/',
            ]],
            'nobody knows what fell in' => ['basundi', 'sweeten', ['slip' => 'foreign', 'what' => 'something small'], [
                'nobody' => true, 'ways' => ['discard', 'anew'],
            ]],
            'a hair fell in' => ['basundi', 'sweeten', ['slip' => 'foreign', 'what' => 'a hair'], ['ways' => ['leave'], 'nobody' => false]],
            'the wrong flour' => ['jalebi', 'batter', ['slip' => 'swapped', 'bowl' => 1, 'with' => 'rice-flour'], [
                'ways' => ['leave', 'anew'],
            ]],
            'wheat where there was none' => ['millet-cups', 'scald', ['slip' => 'swapped', 'bowl' => 2, 'with' => 'wheat-flour'], [
                'first' => '/wheat/i', 'ways' => ['anew'],
            ]],
            'nuts in the batch that was to be without' => ['sago-milk', 'sweeten', [
                'slip' => 'something-else',
                'ingredient' => 'cashews',
                'grams' => 200,
            ], [
                'first' => '/cashew/i',
                'never' => '/pick|fish (it|them) out|lift (it|them) out/i',
                'says' => '/nobody who avoids|only to/i',
            ]],
            'left out overnight' => ['basundi', 'chill', ['slip' => 'skipped', 'hours' => 9], [
                'nobody' => true, 'ways' => ['discard', 'anew'], 'never' => '/boil/i',
            ]],
            'tasted before the offering' => ['sago-milk', 'dish-up', ['slip' => 'touched'], [
                'ways' => ['computed'], 'says' => '/offer/i',
            ]],
            'too little sugar' => ['sago-milk', 'sweeten', ['slip' => 'too-little', 'bowl' => 2, 'grams' => 400], [
                'ways' => ['computed'],
            ]],
            'too much cardamom' => [
                'basundi',
                'sweeten',
                ['slip' => 'too-much', 'bowl' => 6, 'grams' => 21],
                ['ways' => ['computed', 'leave']],
            ],
        ];
    }
}
