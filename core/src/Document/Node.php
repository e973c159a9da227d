<?php

declare(strict_types=1);

namespace FeastLadle\Document;

/**
 * A place in a decoded JSON document. Reads typed values and, where they are wrong, records a fault and goes on
 * with a harmless stand-in, so that one reading finds every fault.
 */
final readonly class Node
{
    private function __construct(
        private mixed $value,
        private bool $present,
        public string $pointer,
        private Faults $faults,
        private bool $silent = false,
        private ?self $over = null,
    ) {
    }

    public static function root(mixed $value, Faults $faults): self
    {
        return new self($value, true, '', $faults);
    }

    /** This place with another laid over it: what stands there hides what stands here. */
    public function over(self $other): self
    {
        return new self(
            $this->value,
            $this->present,
            $this->pointer,
            $this->faults,
            $this->silent,
            null === $this->over ? $other : $this->over->over($other),
        );
    }

    public function at(string|int $key): self
    {
        if (null !== $this->over && $this->over->at($key)->present) {
            return $this->over->at($key);
        }
        $pointer = $this->pointer.'/'.str_replace(['~', '/'], ['~0', '~1'], (string) $key);
        $present = \is_array($this->value) && \array_key_exists($key, $this->value) && null !== $this->value[$key];

        return new self(\is_array($this->value) ? $this->value[$key] ?? null : null, $present, $pointer, $this->faults, !$this->present);
    }

    public function exists(): bool
    {
        return $this->present;
    }

    public function has(string $key): bool
    {
        return $this->at($key)->present;
    }

    public function isObject(): bool
    {
        return \is_array($this->value) && ([] === $this->value || !array_is_list($this->value));
    }

    public function isList(): bool
    {
        return \is_array($this->value) && array_is_list($this->value);
    }

    /** The text that stands here, or nothing; never a fault. */
    public function text(): string
    {
        return \is_string($this->value) ? trim($this->value) : '';
    }

    /** What stands here, as JSON again. */
    public function json(): string
    {
        return json_encode($this->value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION | \JSON_UNESCAPED_UNICODE);
    }

    public function isNumber(): bool
    {
        return \is_int($this->value) || \is_float($this->value);
    }

    /** @param array<string, string|int|float> $values */
    public function fault(string $template, array $values = []): void
    {
        // What is missing inside something missing is no second fault.
        if (!$this->silent) {
            $this->faults->add(new Fault($this->pointer, $template, $values));
        }
    }

    /** Faults a document of another format, or of a version that is not read. */
    public function isOf(string $format, int $version): void
    {
        if ($format !== $this->at('format')->string()) {
            $this->at('format')->fault('Here must stand "{format}".', ['format' => $format]);
        }
        $this->at('version')->int($version, $version);
    }

    /**
     * Faults every key that is not in the list: a misspelt field must not be silently ignored.
     *
     * @param list<string> $known
     */
    public function onlyKeys(array $known): void
    {
        if (!\is_array($this->value)) {
            return;
        }
        foreach (array_keys($this->value) as $key) {
            if (!\in_array((string) $key, $known, true)) {
                $this->at($key)->fault('There is no field "{key}" here; known are: {known}.', [
                    'key' => Quoted::text((string) $key),
                    'known' => implode(', ', $known),
                ]);
            }
        }
    }

    /**
     * Faults the node unless it is an object with only these keys.
     *
     * @param list<string> $known
     */
    public function object(array $known): bool
    {
        if (!$this->present) {
            $this->fault('This field is missing.');

            return false;
        }
        if (!$this->isObject()) {
            $this->fault('Here must stand an object, not {given}.', ['given' => Quoted::value($this->value)]);

            return false;
        }
        $this->onlyKeys($known);

        return true;
    }

    public function string(?string $default = null, int $longest = 200): string
    {
        if (!$this->present) {
            if (null === $default) {
                $this->fault('This field is missing.');
            }

            return $default ?? '';
        }
        if (!\is_string($this->value)) {
            $this->fault('Here must stand text, not {given}.', ['given' => Quoted::value($this->value)]);

            return $default ?? '';
        }
        $text = trim($this->value);
        if (mb_strlen($text) > $longest) {
            $this->fault('This text has {length} characters; the most is {limit}.', ['length' => mb_strlen($text), 'limit' => $longest]);

            return mb_substr($text, 0, $longest);
        }
        if ('' === $text && null === $default) {
            $this->fault('This text is empty.');
        }
        if (1 === preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $text)) {
            $this->fault('This text holds control characters.');

            return '';
        }

        return $text;
    }

    /** A short name made of lower-case letters, digits and hyphens, as used for references. */
    public function id(): string
    {
        $id = $this->string(null, 80);
        if ('' !== $id && 1 !== preg_match('/^[a-z0-9][a-z0-9_.-]*$/', $id)) {
            $this->fault('"{given}" is not a usable id: lower-case letters, digits and hyphens only.', ['given' => Quoted::text($id)]);
        }

        return $id;
    }

    public function int(int $least, int $most, ?int $default = null): int
    {
        if (!$this->present) {
            if (null === $default) {
                $this->fault('This field is missing.');
            }

            return $default ?? $least;
        }
        $value = $this->value;
        if (\is_float($value) && floor($value) === $value && abs($value) < 9e15) {
            $value = (int) $value;
        }
        if (!\is_int($value) || $value < $least || $value > $most) {
            $this->fault('Here must stand a whole number from {least} to {most}, not {given}.', [
                'least' => $least,
                'most' => $most,
                'given' => Quoted::value($this->value),
            ]);

            return $default ?? $least;
        }

        return $value;
    }

    public function number(float $least, float $most, ?float $default = null): float
    {
        if (!$this->present) {
            if (null === $default) {
                $this->fault('This field is missing.');
            }

            return $default ?? $least;
        }
        if (
            (!\is_int($this->value) && !\is_float($this->value))
            || !is_finite((float) $this->value)
            || $this->value < $least
            || $this->value > $most
        ) {
            $this->fault('Here must stand a number from {least} to {most}, not {given}.', [
                'least' => $least,
                'most' => $most,
                'given' => Quoted::value($this->value),
            ]);

            return $default ?? $least;
        }

        return (float) $this->value;
    }

    public function bool(bool $default): bool
    {
        if (!$this->present) {
            return $default;
        }
        if (!\is_bool($this->value)) {
            $this->fault('Here must stand true or false, not {given}.', ['given' => Quoted::value($this->value)]);

            return $default;
        }

        return $this->value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $enum
     * @param T|null          $default null: the field must be there
     *
     * @return T
     */
    public function enum(string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        $cases = $enum::cases();
        if (!$this->present) {
            if (null === $default) {
                $this->fault('This field is missing.');
            }

            return $default ?? $cases[0];
        }
        foreach ($cases as $case) {
            if ($case->value === $this->value) {
                return $case;
            }
        }
        $this->fault('Here must stand one of {known}, not {given}.', [
            'known' => implode(', ', array_map(static fn (\BackedEnum $c): string => (string) $c->value, $cases)),
            'given' => Quoted::value($this->value),
        ]);

        return $default ?? $cases[0];
    }

    /** @return list<self> the items of a list; an absent list is empty */
    public function items(int $most = 500, int $least = 0): array
    {
        if (!$this->present) {
            if ($least > 0) {
                $this->fault('This field is missing.');
            }

            return [];
        }
        if (!\is_array($this->value) || !array_is_list($this->value)) {
            $this->fault('Here must stand a list, not {given}.', ['given' => Quoted::value($this->value)]);

            return [];
        }
        $count = \count($this->value);
        if ($count > $most) {
            $this->fault('This list has {count} items; the most is {limit}.', ['count' => $count, 'limit' => $most]);

            return [];
        }
        if ($count < $least) {
            $this->fault('This list needs at least {least} items.', ['least' => $least]);
        }

        return array_map(fn (int $i): self => $this->at($i), array_keys($this->value));
    }

    /** @return array<string, self> the fields of an object; an absent object is empty */
    public function fields(int $most = 500): array
    {
        if (!$this->present) {
            return [];
        }
        if (!\is_array($this->value) || !$this->isObject()) {
            $this->fault('Here must stand an object, not {given}.', ['given' => Quoted::value($this->value)]);

            return [];
        }
        if (\count($this->value) > $most) {
            $this->fault('This object has {count} fields; the most is {limit}.', ['count' => \count($this->value), 'limit' => $most]);

            return [];
        }
        $fields = [];
        foreach (array_keys($this->value) as $key) {
            $fields[(string) $key] = $this->at($key);
        }

        return $fields;
    }
}
