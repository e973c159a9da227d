<?php

declare(strict_types=1);

namespace App\Import;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Telling\ToldRecipe;

/** Finds a schema.org Recipe in JSON-LD, bare or inside an HTML page. */
final class LinkedData
{
    public const LARGEST_PAGE = 2_000_000;
    private const MOST_SCRIPTS = 40;
    private const MOST_ROWS = 200;

    /** So many scripts are looked at in search of those, and so much of each tag. */
    private const MOST_TAGS = 2000;
    private const LONGEST_TAG = 1000;
    private const LONGEST_NAME = 90;

    /**
     * The JSON-LD parts of a page.
     *
     * @return list<string>
     *
     * @throws FaultyDocument when the page is too large
     */
    public function scripts(string $html): array
    {
        if (\strlen($html) > self::LARGEST_PAGE) {
            throw FaultyDocument::because('page', 'This page has {length} bytes; the most is {limit}.', [
                'length' => \strlen($html),
                'limit' => self::LARGEST_PAGE,
            ]);
        }
        // A page is walked once from script to script; no tree of all its tags is built, which a hostile page makes slow.
        $parts = [];
        $at = 0;
        for ($opened = 0; $opened < self::MOST_TAGS && \count($parts) < self::MOST_SCRIPTS; ++$opened) {
            $start = stripos($html, '<script', $at);
            $end = false === $start ? false : strpos($html, '>', $start);
            if (false === $start || false === $end) {
                break;
            }
            $close = stripos($html, '</script', $end);
            $tag = substr($html, $start, min(self::LONGEST_TAG, $end - $start));
            $close = false === $close ? \strlen($html) : $close;
            if (1 === preg_match('#^<script[\s/][^>]*\btype\s*=\s*["\']?[^"\'>]*ld\+json#i', $tag)) {
                $parts[] = substr($html, $end + 1, $close - $end - 1);
            }
            $at = $close;
        }

        return $parts;
    }

    /** Our own document, when the recipe was written by this program, or null. */
    public function ownDocument(string $json): ?string
    {
        $recipe = $this->recipe($this->decode($json));
        $own = $recipe['ladle:document'] ?? null;

        return \is_string($own) ? $own : null;
    }

    /**
     * @return ToldRecipe|null null when no recipe is described there
     *
     * @throws FaultyDocument when it is no JSON, too large or too deep
     */
    public function told(string $json): ?ToldRecipe
    {
        $recipe = $this->recipe($this->decode($json));
        if (null === $recipe) {
            return null;
        }
        $yield = $recipe['recipeYield'] ?? '';
        $steps = \array_slice($this->instructions($recipe['recipeInstructions'] ?? []), 0, self::MOST_ROWS);

        return new ToldRecipe(
            mb_substr($this->text($recipe['name'] ?? ''), 0, 100),
            mb_substr($this->text($recipe['description'] ?? ''), 0, 400),
            \array_slice($this->texts($recipe['recipeIngredient'] ?? ($recipe['ingredients'] ?? [])), 0, self::MOST_ROWS),
            array_column($steps, 0),
            mb_substr($this->text(\is_array($yield) ? $yield[0] ?? '' : $yield), 0, 40),
            array_filter(array_column($steps, 1), static fn (string $title): bool => '' !== $title),
        );
    }

    private function decode(string $json): mixed
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'recipe', $faults);

        return json_decode($root->json(), true, 64, \JSON_THROW_ON_ERROR);
    }

    /** @return array<array-key, mixed>|null the first thing that is a Recipe */
    private function recipe(mixed $data, int $depth = 0): ?array
    {
        if (!\is_array($data) || $depth > 8) {
            return null;
        }
        $type = $data['@type'] ?? null;
        if ('Recipe' === $type || (\is_array($type) && \in_array('Recipe', $type, true))) {
            return $data;
        }
        foreach ($data as $key => $value) {
            // Reviews and authors have recipes of their own; look only where a page puts its own.
            if (\is_int($key) || \in_array($key, ['@graph', 'mainEntity', 'mainEntityOfPage', 'hasPart'], true)) {
                $found = $this->recipe($value, $depth + 1);
                if (null !== $found) {
                    return $found;
                }
            }
        }

        return null;
    }

    /** @return list<array{string, string}> what is to be done, and the name of the step; empty where it has none of its own */
    private function instructions(mixed $value, int $depth = 0): array
    {
        if (\is_string($value)) {
            // One long text: a sentence a step.
            return array_map(
                static fn (string $s): array => [$s, ''],
                array_values(
                    array_filter(
                        array_map(
                            fn (string $s): string => $this->text($s),
                            preg_split('/\R+|(?<=[a-z)][.!?])\s+(?=[A-Z])/u', $this->text($value, true)) ?: [],
                        ),
                    ),
                ),
            );
        }
        if (!\is_array($value) || $depth > 4) {
            return [];
        }
        if (isset($value['itemListElement'])) {
            return $this->instructions($value['itemListElement'], $depth + 1);
        }
        if (isset($value['text']) || isset($value['name'])) {
            $text = $this->text($value['text'] ?? ($value['name'] ?? ''));
            $name = mb_substr($this->text($value['name'] ?? ''), 0, self::LONGEST_NAME);
            $steps = '' === $text ? [] : $this->instructions($text, $depth + 1);
            // A name that only begins the text again says nothing of its own.
            if ([] !== $steps && '' !== $name && !str_starts_with(mb_strtolower($text), mb_strtolower(rtrim($name, '.…')))) {
                $steps[0][1] = $name;
            }

            return $steps;
        }
        $steps = [];
        foreach ($value as $item) {
            array_push($steps, ...$this->instructions($item, $depth + 1));
        }

        return $steps;
    }

    /** @return list<string> */
    private function texts(mixed $value): array
    {
        return array_values(array_filter(array_map(fn (mixed $v): string => $this->text($v), \is_array($value) ? $value : [$value])));
    }

    /** Words only: tags and entities of a page are no part of a recipe. */
    private function text(mixed $value, bool $keepLines = false): string
    {
        if (!\is_string($value) && !\is_int($value) && !\is_float($value)) {
            return '';
        }
        $plain = html_entity_decode(
            strip_tags((string) preg_replace('#<(script|style)\b.*?</\1\s*>#is', ' ', (string) $value)),
            \ENT_QUOTES | \ENT_HTML5,
        );
        $plain = (string) preg_replace('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', '', $plain);

        return trim($keepLines ? $plain : (string) preg_replace('/\s+/u', ' ', $plain));
    }

    /** Whether a document is JSON-LD at all. */
    public function isLinkedData(string $json): bool
    {
        $data = json_decode($json, true, 64);

        return \is_array($data)
            && (isset($data['@context'])
                || isset($data['@type'])
                || isset($data['@graph'])
                || (\is_array($data[0] ?? null) && isset($data[0]['@type'])));
    }
}
