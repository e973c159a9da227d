<?php

declare(strict_types=1);

namespace App\Tests\Format;

use FeastLadle\Words\Refusal;

/** Goes through the fields of a schema and changes each where a document uses it. */
trait WalksFields
{
    /**
     * @param array<mixed>                                                                  $spec
     * @param array<string, array<mixed>>                                                   $documents
     * @param \Closure(array<mixed>, string): array{\Closure(): string, \Closure(): string} $effects
     *
     * @return string|null what is wrong, or null
     */
    private function deadness(string $field, array $spec, array $documents, \Closure $effects): ?string
    {
        $found = [];
        foreach ($documents as $slug => $document) {
            foreach (self::instances($document, explode('/', substr($field, 1)), []) as $path) {
                $found[] = [$slug, $path];
            }
        }
        if ([] === $found) {
            return "$field: no document has it";
        }
        $taken = $refused = 0;
        // The first of them, and some far away.
        $step = max(1, min(4, intdiv(\count($found), 6)));
        for ($i = 0; $i < min(40, \count($found)); $i += $step) {
            [$slug, $path] = $found[$i];
            foreach (self::instead(self::at($documents[$slug], $path), $spec) as $value) {
                $changed = self::with($documents[$slug], $path, $value);
                try {
                    $before = $effects($documents[$slug], $slug);
                    foreach ($effects($changed, $slug) as $k => $after) {
                        if ($before[$k]() !== $after()) {
                            return null;
                        }
                    }
                    ++$taken;
                } catch (Refusal) {
                    ++$refused;
                }
            }
        }

        // What may only be as it is (format, ids that others name) is read, or nobody could refuse it.
        return 0 === $taken && $refused > 0 ? null : "$field: $taken changes made no difference";
    }

    /** @return list<array{string, array<mixed>}> what a variant of a step may say, as pointers from the recipe */
    private static function fieldsOfVariants(): array
    {
        $schema = self::schema('recipe');
        $variant = $schema;
        foreach (['definitions', 'step', 'properties', 'variants', 'items'] as $key) {
            $variant = self::map($variant[$key] ?? null);
        }
        $fields = [];
        self::collect($schema, $variant, '/steps[]/variants[]', $fields);

        return $fields;
    }

    /** @return list<array{string, array<mixed>}> pointer with "[]" for each of a list, and what the schema says of it */
    private static function fields(string $kind): array
    {
        $fields = [];
        self::collect(self::schema($kind), self::schema($kind), '', $fields);

        return $fields;
    }

    /** @return array<mixed> */
    private static function schema(string $kind): array
    {
        $schema = json_decode(
            (string) file_get_contents(__DIR__.'/../../docs/formats/'.$kind.'.schema.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        \assert(\is_array($schema));

        return $schema;
    }

    /**
     * @param array<mixed>                      $root
     * @param array<mixed>                      $schema
     * @param list<array{string, array<mixed>}> $fields
     */
    private static function collect(array $root, array $schema, string $at, array &$fields): void
    {
        if (\is_string($schema['$ref'] ?? null)) {
            $schema = self::map(self::map($root['definitions'] ?? null)[basename($schema['$ref'])] ?? null);
        }
        // A variant says the same again under a condition, and is walked by itself.
        if (str_ends_with($at, '/variants')) {
            return;
        }
        foreach (self::map($schema['properties'] ?? null) as $key => $sub) {
            $fields[] = [$at.'/'.$key, self::map($sub)];
            self::collect($root, self::map($sub), $at.'/'.$key, $fields);
        }
        if (isset($schema['items'])) {
            self::collect($root, self::map($schema['items']), $at.'[]', $fields);
        }
    }

    /** @return array<array-key, mixed> */
    private static function map(mixed $value): array
    {
        return \is_array($value) ? $value : [];
    }

    /**
     * @param array<mixed>     $document
     * @param list<string>     $keys
     * @param list<int|string> $path
     *
     * @return iterable<list<int|string>>
     */
    private static function instances(array $document, array $keys, array $path): iterable
    {
        $key = (string) array_shift($keys);
        $isList = str_ends_with($key, '[]');
        $key = $isList ? substr($key, 0, -2) : $key;
        if (!\array_key_exists($key, $document)) {
            return;
        }
        if (!$isList) {
            if ([] === $keys) {
                yield [...$path, $key];
            } elseif (\is_array($document[$key])) {
                yield from self::instances($document[$key], $keys, [...$path, $key]);
            }

            return;
        }
        foreach (\is_array($document[$key]) ? $document[$key] : [] as $i => $each) {
            if (\is_array($each)) {
                yield from self::instances($each, $keys, [...$path, $key, $i]);
            }
        }
    }

    /**
     * @param array<mixed>     $document
     * @param list<int|string> $path
     */
    private static function at(array $document, array $path): mixed
    {
        $value = $document;
        foreach ($path as $key) {
            \assert(\is_array($value));
            $value = $value[$key];
        }

        return $value;
    }

    /**
     * @param array<mixed>     $document
     * @param list<int|string> $path
     *
     * @return array<mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $key = array_shift($path);
        if ([] === $path && null === $value) {
            unset($document[$key]);

            return $document;
        }
        $inner = $document[$key] ?? [];
        $document[$key] = [] === $path ? $value : self::with(\is_array($inner) ? $inner : [], $path, $value);

        return $document;
    }

    /**
     * @param array<mixed> $spec
     *
     * @return iterable<mixed> other values; null takes it away
     */
    private static function instead(mixed $value, array $spec): iterable
    {
        if (\is_array($spec['enum'] ?? null)) {
            yield from array_filter($spec['enum'], static fn (mixed $e): bool => $e !== $value);
        } elseif (\is_bool($value)) {
            yield !$value;
        } elseif (\is_int($value)) {
            yield from [$value + max(1, intdiv($value, 2)), intdiv($value, 2), 2 * $value + 10];
        } elseif (\is_float($value)) {
            yield from [1.3 * $value, 0.6 * $value, 2 * $value];
        } elseif (\is_string($value)) {
            yield 'Zebra '.$value;
        } elseif (\is_array($value) && 3 === \count($value) && array_is_list($value) && is_numeric($value[0])) {
            yield array_map(static fn (mixed $v): float => 1.7 * (is_numeric($v) ? (float) $v : 0.0) + 1, $value);
        } else {
            yield null;
            if (\is_array($value) && array_is_list($value) && \count($value) > 1) {
                yield \array_slice($value, 1);
            }
        }
    }
}
