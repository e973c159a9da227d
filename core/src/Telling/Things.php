<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Danger;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;

/**
 * Finds the things of the larder in a text: whole words and their usual endings, the longest name first; a word that means something
 * else as often names nothing by itself.
 */
final class Things
{
    private const LONGEST_NAME = 5;

    /** Behind the name of a thing these make another thing of it: jaggery syrup, saffron water. */
    private const MADE_OF = [
        'syrup', 'essence', 'sauce', 'jam', 'water', 'juice', 'paste', 'extract', 'flower', 'flowers', 'liqueur', 'stem', 'skin', 'peel',
        'husk', 'shell', 'pudding', 'halwa', 'fudge', 'cake', 'cakes', 'dumpling', 'dumplings', 'fritters', 'jelly', 'slab', 'payasam',
        'sherbet', 'brittle', 'barfi',
    ];

    /** @var array<string, string>|null ingredient ids by name, each word in its plain form */
    private ?array $names = null;

    /** @var array<string, string> plain forms by word */
    private array $plain = [];

    public function __construct(private readonly Larder $larder, private readonly Lexicon $lexicon)
    {
    }

    /** @return array{Ingredient, int}|null the thing that is named here, and the token behind its name */
    public function at(Text $text, int $i, bool $evenStopped = false): ?array
    {
        $this->names ??= $this->named();
        if ($this->lexicon->saysNothing($text, $i) || $this->lexicon->isOwnWork($text, $i)) {
            return null;
        }
        for ($length = self::LONGEST_NAME; $length > 0; --$length) {
            $words = [];
            for ($k = 0; $k < $length; ++$k) {
                $token = $text->at($i + $k);
                if (null === $token || !$token->isWord()) {
                    continue 2;
                }
                $words[] = $this->plainWord($token->word);
            }
            if (1 === $length && !$evenStopped && $this->lexicon->isStopped($text->at($i)->word ?? '')) {
                return null;
            }
            $id = $this->names[implode(' ', $words)] ?? null;
            if (null !== $id) {
                if ($text->is($i + $length, ...self::MADE_OF) && 'lemon' !== $id) {
                    return null;
                }

                return [$this->larder->get($id), $i + $length];
            }
        }

        return null;
    }

    /** @return array<string, string> */
    private function named(): array
    {
        $names = [];
        foreach ($this->lexicon->own as $word => $id) {
            if ($this->larder->knows($id)) {
                $names[$this->plainName($word)] = $id;
            }
        }
        $loose = [];
        foreach ($this->larder->all() as $ingredient) {
            // What is only a name stays a question wherever it is told.
            if (\in_array(Danger::Unknown, $ingredient->caveats->hazards, true)) {
                continue;
            }
            foreach ([$ingredient->name, str_replace('-', ' ', $ingredient->id), ...$ingredient->names] as $name) {
                $name = (string) preg_replace('/\([^)]*\)/', '', $name);
                $parts = array_map(trim(...), explode(',', $name));
                $names[$this->plainName(implode(' ', $parts))] ??= $ingredient->id;
                if (\count($parts) > 1) {
                    // "Semolina, fine" is fine semolina, and semolina where no other is meant.
                    $names[$this->plainName(implode(' ', array_reverse($parts)))] ??= $ingredient->id;
                    foreach (\array_slice($parts, 1) as $sort) {
                        $names[$this->plainName($sort.' '.$parts[0])] ??= $ingredient->id;
                    }
                    $loose[$this->plainName($parts[0])] ??= $ingredient->id;
                }
            }
        }
        unset($names['']);

        return $names + $loose;
    }

    private function plainName(string $name): string
    {
        return implode(
            ' ',
            array_map($this->plainWord(...), preg_split('/[^\p{L}\p{M}\']+/u', mb_strtolower($name), -1, \PREG_SPLIT_NO_EMPTY) ?: []),
        );
    }

    /** Singular, in the spelling in which "sooji" and "suji" are one. */
    public function plainWord(string $word): string
    {
        return $this->plain[$word] ??= self::bare($word);
    }

    private static function bare(string $word): string
    {
        $one = match (true) {
            \strlen($word) < 4 => $word,
            str_ends_with($word, 'leaves') => substr($word, 0, -3).'f',
            str_ends_with($word, 'ies') => substr($word, 0, -3).'y',
            str_ends_with($word, 'oes') => substr($word, 0, -2),
            1 === preg_match('/(?:sh|ch|x|ss)es$/', $word) => substr($word, 0, -2),
            str_ends_with($word, 's') && !str_ends_with(
                $word,
                'ss',
            ) && !str_ends_with($word, 'us') && !str_ends_with($word, 'is') => substr(
                $word,
                0,
                -1,
            ),
            default => $word,
        };
        $one = strtr($one, ['oo' => 'u', 'ee' => 'i', 'aa' => 'a', 'w' => 'v']);

        return (string) preg_replace('/([a-gi-z])\1+/', '$1', $one);
    }
}
