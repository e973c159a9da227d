<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\OutputKind;
use FeastLadle\Telling\LineReader;

/**
 * Turns what was typed into the fields of a step into a step of a document: numbers become numbers, what was left empty is left
 * out, "2 cups" of a thing become its grams. What can't be understood stays as it was typed, for the reader to refuse in its place.
 */
final readonly class TypedStep
{
    private const NUMBERS = [
        'grams',
        'share',
        'drinks',
        'reserve',
        'exponent',
        'boilsOff',
        'fatDepthMm',
        'parts',
        'atMinute',
        'least',
        'most',
        'value',
        'waterShare',
        'fatUptake',
        'waste',
        'widthMm',
        'minute',
        'min',
        'max',
        'power',
        'secondsEach',
        'between',
        'holeMm',
        'fallMm',
        'tools',
        'gramsPerMl',
        'percent',
        'lookEvery',
        'people',
        'turns',
        'mostGrams',
        'keepMinutes',
        'ratio',
        'pricePerKg',
    ];

    /** In an object these are numbers; in a step "pieces" is an object and "minutes" a list. */
    private const NUMBERS_IN = ['load' => ['pieces'], 'keeping' => ['minutes'], 'portion' => ['pieces']];

    private const YES_OR_NO = ['tasting', 'once', 'may', 'thickens', 'straightOn', 'isWater'];

    /** Lists of the document. */
    private const LISTS = [
        'takes',
        'outputs',
        'marks',
        'cues',
        'ties',
        'variants',
        'enemies',
        'minutes',
        'schools',
        'options',
        'excludes',
        'dials',
        'moves',
        'label',
    ];

    private Larder $larder;

    public function __construct(private LineReader $lines)
    {
        $this->larder = $lines->larder;
    }

    /**
     * @param array<array-key, mixed> $typed
     *
     * @return array<string, mixed>
     */
    public function step(array $typed): array
    {
        /** @var array<string, mixed> $step */
        $step = self::worded($this->cleaned($typed, ''), ['id', 'process', 'title', 'say']);
        $step['takes'] = array_map(
            fn (array $take): array => isset($take['ingredient']) ? $this->bowl($take) : $take,
            Draft::rows($step, 'takes'),
        );
        if (isset($step['outputs'])) {
            $step['outputs'] = array_map(
                $this->output(...),
                Draft::rows($step, 'outputs'),
            );
        }

        return $step;
    }

    /**
     * What is told by what it is has no share, what is lifted out alone drinks, and what keeps no time of its own has no place for it.
     *
     * @param array<array-key, mixed> $output
     *
     * @return array<array-key, mixed>
     */
    private function output(array $output): array
    {
        if (\is_string($output['as'] ?? null)) {
            $output['as'] = $this->ingredient($output['as']);
        }
        $kind = \is_string($output['is'] ?? null) ? OutputKind::tryFrom($output['is']) : null;
        if (null !== $kind) {
            unset($output['share']);
        }
        if (true !== $kind?->isLifted()) {
            unset($output['drinks']);
        }
        if (!\is_array($output['keeping'] ?? null) || !isset($output['keeping']['minutes'])) {
            unset($output['keeping']);
        }

        return $output;
    }

    /**
     * @param array<array-key, mixed> $typed
     *
     * @return array<string, mixed>
     */
    public function head(array $typed): array
    {
        /** @var array<string, mixed> $head */
        $head = self::worded($this->cleaned($typed, ''), ['name', 'slug', 'summary', 'origin']);

        return $head;
    }

    /**
     * Without what should be words and is not: such a post was never typed.
     *
     * @param list<string> $fields
     *
     * @return array<array-key, mixed>
     */
    private static function worded(mixed $typed, array $fields): array
    {
        $typed = \is_array($typed) ? $typed : [];

        return array_filter(
            $typed,
            static fn (mixed $v, int|string $k): bool => \is_string($v) || !\in_array($k, $fields, true),
            \ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * A bowl said in one line: "2 cups jaggery, grated".
     *
     * @return array<string, mixed>|null null when no thing of the larder is named
     */
    public function line(string $line): ?array
    {
        $read = $this->lines->read($line);
        if (null === $read->ingredient) {
            return null;
        }
        $take = ['ingredient' => $read->ingredient->id, 'grams' => round($read->grams ?? 10.0, 2)];
        if ('' !== $read->note) {
            $take['how'] = $read->note;
        }

        return $take;
    }

    /**
     * @param array<array-key, mixed> $take
     *
     * @return array<array-key, mixed>
     */
    private function bowl(array $take): array
    {
        $take['ingredient'] = \is_string($take['ingredient']) ? $this->ingredient($take['ingredient']) : $take['ingredient'];
        foreach (['grams', 'reserve'] as $field) {
            $amount = $take[$field] ?? null;
            if (\is_string($amount) && \is_string($take['ingredient']) && $this->larder->knows($take['ingredient'])) {
                $grams = $this->lines->read($amount.' '.$this->larder->get($take['ingredient'])->name)
                    ->grams;
                $take[$field] = null === $grams ? $amount : round($grams, 2);
            }
        }

        return $take;
    }

    /** The id of a thing that was typed by one of its names. */
    private function ingredient(string $typed): string
    {
        if ($this->larder->knows($typed)) {
            return $typed;
        }
        $found = $this->larder->search($typed);

        return [] !== $found && mb_strtolower($found[0]->by) === mb_strtolower(trim($typed)) ? $found[0]->ingredient->id : $typed;
    }

    private function cleaned(mixed $value, string $key, string $in = ''): mixed
    {
        if (\is_array($value)) {
            $clean = [];
            foreach ($value as $name => $item) {
                $item = $this->cleaned($item, \is_int($name) ? $key : (string) $name, \is_int($name) ? $in : $key);
                if (null !== $item && [] !== $item) {
                    $clean[$name] = $item;
                }
            }

            return (\in_array($key, self::LISTS, true) && [] !== $clean && array_is_list($value)) || $this->isRows($clean, $key)
                ? array_values($clean)
                : $clean;
        }
        if (!\is_string($value)) {
            return $value;
        }
        $text = trim($value);
        if ('' === $text) {
            return null;
        }
        if ('when' === $key) {
            return self::condition($text);
        }
        if (\in_array($key, self::YES_OR_NO, true) || ('waste' === $key && 'outputs' === $in)) {
            return \in_array($text, ['1', 'on', 'true'], true);
        }
        $isNumber =
            \in_array($key, self::NUMBERS, true)
            || \in_array($key, self::NUMBERS_IN[$in] ?? [], true)
            || ('minutes' === $key && 'keeping' !== $in);

        return $isNumber ? self::number($text) : $text;
    }

    /**
     * "roast=dry&meet=sweet|water" as the form sends it.
     *
     * @return array<string, string|list<string>>
     */
    private static function condition(string $text): array
    {
        $when = [];
        foreach (explode('&', $text) as $part) {
            [$school, $options] = [...explode('=', $part, 2), ''];
            $when[$school] = str_contains($options, '|') ? explode('|', $options) : $options;
        }

        return $when;
    }

    /** @param array<array-key, mixed> $clean */
    private function isRows(array $clean, string $key): bool
    {
        return \in_array($key, self::LISTS, true) && [] === array_filter(array_keys($clean), \is_string(...));
    }

    /** A number as people type it; anything else stays as it is. */
    public static function number(string $text): int|float|string
    {
        return match (true) {
            1 === preg_match('/^[+-]?\d{1,15}$/', $text) => (int) $text,
            1 === preg_match('/^[+-]?\d{0,12}[.,]\d{1,6}$/', $text) => (float) str_replace(',', '.', $text),
            default => $text,
        };
    }
}
