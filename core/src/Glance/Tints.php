<?php

declare(strict_types=1);

namespace FeastLadle\Glance;

/**
 * Which colour things give, and how strongly a gram of each does against a gram of flour; by eye, in our own kitchen. What is not named
 * counts as pale.
 */
final class Tints
{
    public const PALE = 'f1e4c6';

    /** What heat makes of grain, milk and sugar. */
    public const BROWNED = 'a5672e';

    private const OF = [
        'ffffff' => [0.0, ['water', 'sugar', 'powdered-sugar', 'rock-sugar', 'salt', 'agar', 'citric-acid', 'baking-soda',
            'alum', 'gelatine']],
        'fdf8ea' => [0.6, ['milk', 'buffalo-milk', 'skimmed-milk', 'cream', 'yoghurt', 'strained-yoghurt', 'fresh-cheese', 'coconut-milk',
            'coconut-milk-first', 'coconut-milk-thin', 'coconut', 'coconut-dry', 'coconut-frozen', 'rice-flour', 'sago',
            'fox-nuts', 'goat-milk']],
        'f6ead0' => [1.0, ['milk-solids', 'milk-solids-dry', 'milk-powder', 'cashews', 'cashew-pieces', 'almonds', 'almond-meal',
            'condensed-milk', 'rice', 'basmati', 'rice-fragrant', 'semolina', 'semolina-coarse', 'vermicelli', 'flattened-rice']],
        'e3bf62' => [1.0, ['gram-flour', 'split-moong', 'split-chana', 'roasted-gram', 'moong-flour', 'sattu',
            'custard-powder', 'maize-flour']],
        'f3cf6b' => [0.4, ['ghee', 'butter']],
        'b98a55' => [1.0, ['broken-wheat', 'wholemeal-flour', 'whole-wheat', 'walnuts', 'peanuts', 'toast-bread',
            'barley-flour', 'pecans']],
        '8a4a1c' => [2.4, ['jaggery', 'brown-sugar', 'coconut-sugar', 'honey', 'maple-syrup']],
        '4a260f' => [2.8, ['palm-jaggery', 'date-jaggery', 'molasses', 'date-syrup', 'dates', 'dates-dried', 'figs', 'prunes']],
        '5b3a26' => [2.0, ['millet-finger-flour', 'rice-red', 'horse-gram', 'raisins', 'currants', 'tamarind']],
        '2d2320' => [6.0, ['cocoa', 'chocolate', 'rice-black', 'sesame-black', 'coffee', 'nigella', 'basil-seeds']],
        'f2c230' => [1.6, ['mango-pulp', 'mango', 'pineapple', 'pineapple-tinned', 'jackfruit', 'jackfruit-tinned', 'orange', 'apricots',
            'peach-tinned']],
        'f0a81c' => [900.0, ['saffron']],
        'efb11e' => [120.0, ['turmeric', 'food-colour']],
        'd9651c' => [1.8, ['carrot', 'pumpkin', 'papaya', 'orange-peel']],
        'a3163e' => [5.0, ['beetroot', 'hibiscus', 'pomegranate', 'cherries', 'kokum']],
        'e07a90' => [6.0, ['rose-syrup', 'rose-petals', 'rose-jam', 'guava']],
        '7f9a3a' => [2.0, ['pistachios', 'green-peas', 'moong-whole', 'pumpkin-seeds', 'mint', 'betel-leaf', 'tulsi',
            'melon-seed', 'lime']],
        'e9e3cf' => [1.0, ['ash-gourd', 'bottle-gourd', 'banana', 'apple', 'yam', 'taro', 'cassava', 'potato',
            'sesame-white', 'poppy-seed']],
        'c98d4a' => [1.0, ['sweet-potato', 'palmyra', 'ripe-plantain', 'sapota']],
    ];

    /** @return array{Tint, float} its colour, and how strongly a gram of it colours */
    public static function of(string $ingredient): array
    {
        /** @var array<string, array{Tint, float}>|null $known */
        static $known = null;
        if (null === $known) {
            $known = [];
            foreach (self::OF as $hex => [$strength, $ids]) {
                foreach ($ids as $id) {
                    $known[$id] = [Tint::hex((string) $hex), $strength];
                }
            }
        }

        return $known[$ingredient] ?? [Tint::hex(self::PALE), 0.5];
    }
}
