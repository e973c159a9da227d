<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Document\JsonWriter;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\RecipeReader;

/**
 * A recipe document while it is written: it may still be full of faults, and every change gives a new one. What it says is
 * only judged by the reader.
 *
 * @phpstan-type Document array<string, mixed>
 * @phpstan-type StepDocument array<array-key, mixed>
 */
final readonly class Draft
{
    /** @param Document $document */
    private function __construct(private array $document)
    {
    }

    public static function blank(string $slug, string $name): self
    {
        return new self([
            'format' => RecipeReader::FORMAT,
            'version' => RecipeReader::VERSION,
            'slug' => $slug,
            'name' => $name,
            'summary' => '',
            'serving' => ['way' => 'warm', 'keepMinutes' => 120],
            'portion' => ['grams' => 100],
            'steps' => [],
            'result' => '',
        ]);
    }

    /** @param Document $document */
    public static function of(array $document): self
    {
        return new self($document);
    }

    /** A stored document, which is JSON for certain. */
    public static function read(string $json): self
    {
        /** @var Document $document */
        $document = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);

        return new self($document);
    }

    /** @return Document */
    public function document(): array
    {
        return $this->document;
    }

    public function json(): string
    {
        return JsonWriter::lines($this->document);
    }

    /** @return list<StepDocument> */
    public function steps(): array
    {
        $steps = $this->document['steps'] ?? [];

        return \is_array($steps) ? array_values(array_filter($steps, \is_array(...))) : [];
    }

    /** @return StepDocument|null */
    public function step(int $index): ?array
    {
        return $this->steps()[$index] ?? null;
    }

    /**
     * The rows of a list in a step: bowls, ties, outputs. What is no row is left out.
     *
     * @param StepDocument $step
     *
     * @return list<array<array-key, mixed>>
     */
    public static function rows(array $step, string $list): array
    {
        $rows = $step[$list] ?? [];

        return \is_array($rows) ? array_values(array_filter($rows, \is_array(...))) : [];
    }

    /** The place of the first step with an id. */
    public function indexOf(string $id): ?int
    {
        foreach ($this->steps() as $index => $step) {
            if (($step['id'] ?? null) === $id) {
                return $index;
            }
        }

        return null;
    }

    /** A new step of a process after all others, pouring nothing yet. */
    public function withStep(Process $process): self
    {
        $base = $process->value;
        for ($n = 1, $id = $base; null !== $this->indexOf($id); $id = $base.'-'.$n) {
            ++$n;
        }

        return $this->withSteps([...$this->steps(), ProcessGuide::of($process)->step($id)]);
    }

    /** @param StepDocument $step */
    public function withStepAt(int $index, array $step): self
    {
        $steps = $this->steps();
        if (!isset($steps[$index])) {
            return $this;
        }
        $old = $steps[$index]['id'] ?? null;
        $steps[$index] = $step;
        $new = $step['id'] ?? null;
        $changed = $this->withSteps($steps);

        return \is_string($old) && \is_string($new) && $old !== $new ? $changed->renamed($old, $new) : $changed;
    }

    /** Without a step, and without what other steps took from it or tied to it. */
    public function withoutStep(int $index): self
    {
        $steps = $this->steps();
        $id = $steps[$index]['id'] ?? null;
        array_splice($steps, $index, 1);
        foreach ($steps as &$step) {
            $step['takes'] = self::without($step['takes'] ?? [], static fn (array $t): bool => ($t['from'] ?? null) === $id);
            if (isset($step['ties'])) {
                $step['ties'] = self::without($step['ties'], static fn (array $t): bool => ($t['after'] ?? null) === $id);
            }
            if (\is_array($step['vessel'] ?? null) && ($step['vessel']['continues'] ?? null) === $id) {
                unset($step['vessel']['continues']);
            }
        }
        unset($step);

        return $this->withSteps($steps);
    }

    public function withStepMoved(int $index, int $by): self
    {
        $steps = $this->steps();
        $to = $index + $by;
        if (!isset($steps[$index], $steps[$to])) {
            return $this;
        }
        [$steps[$index], $steps[$to]] = [$steps[$to], $steps[$index]];

        return $this->withSteps($steps);
    }

    /**
     * One step pours into another: all of it, or what is left of it, or the first of its outputs that nobody has taken.
     * The same vessel goes on when it can.
     */
    public function connected(string $from, string $to): self
    {
        $source = $this->indexOf($from);
        $target = $this->indexOf($to);
        if (null === $source || null === $target || $source === $target || $this->reaches($to, $from)) {
            return $this;
        }
        $steps = $this->steps();
        $take = ['from' => $from];
        $output = $this->freeOutput($steps[$source]);
        if (null !== $output) {
            $take['output'] = $output;
        }
        $left = 1.0 - $this->taken($from, $output);
        if ($left <= 0.001) {
            return $this;
        }
        if ($left < 0.999) {
            $take['share'] = round($left, 3);
        }
        $takes = \is_array($steps[$target]['takes'] ?? null) ? $steps[$target]['takes'] : [];
        $isFirst = [] === array_filter($takes, static fn (mixed $t): bool => \is_array($t) && isset($t['from']));
        // What is poured from another step comes before what is measured out, the first time.
        $steps[$target]['takes'] = $isFirst ? [$take, ...array_values($takes)] : [...array_values($takes), $take];
        $kind = static fn (array $step): mixed => \is_array($step['vessel'] ?? null) ? $step['vessel']['kind'] ?? null : null;
        $goesOn = array_filter(
            $steps,
            static fn (array $s): bool => \is_array($s['vessel'] ?? null) && ($s['vessel']['continues'] ?? null) === $from,
        );
        if (
            $isFirst
            && null === $output
            && [] === $goesOn
            && null !== $kind($steps[$source])
            && $kind($steps[$source]) === $kind($steps[$target])
            && \is_array($steps[$target]['vessel'] ?? null)
        ) {
            $steps[$target]['vessel']['continues'] = $from;
        }
        if ($target < $source) {
            // A step stands after what it takes from.
            $moved = $steps[$target];
            array_splice($steps, $target, 1);
            array_splice($steps, $source, 0, [$moved]);
        }

        return $this->withSteps($steps);
    }

    /** @param array<string, mixed> $fields name, summary, serving and so on; steps stay as they are */
    public function withHead(array $fields): self
    {
        unset($fields['steps'], $fields['format'], $fields['version']);

        return new self([...$this->document, ...$fields]);
    }

    /** The step nobody takes from gives the dish, when there is just one. */
    public function withResultFound(): self
    {
        $free = [];
        foreach ($this->steps() as $step) {
            $id = \is_string($step['id'] ?? null) ? $step['id'] : '';
            if (0.0 === $this->taken($id, null, true)) {
                $free[] = $id;
            }
        }
        $free = array_values(array_unique($free));
        $result = $this->document['result'] ?? '';
        if (\in_array($result, $free, true)) {
            return $this;
        }

        return new self([...$this->document, 'result' => [] === $free ? '' : $free[\count($free) - 1]]);
    }

    /** The share of what a step gives, or of one output, that later steps take. */
    public function taken(string $from, ?string $output, bool $any = false): float
    {
        $taken = 0.0;
        foreach ($this->steps() as $step) {
            foreach (self::rows($step, 'takes') as $take) {
                if (($take['from'] ?? null) === $from && ($any || ($take['output'] ?? null) === $output)) {
                    $share = $take['share'] ?? 1.0;
                    $taken += is_numeric($share) ? (float) $share : 1.0;
                }
            }
        }

        return $taken;
    }

    /** @param StepDocument $step */
    private function freeOutput(array $step): ?string
    {
        $first = null;
        foreach (self::rows($step, 'outputs') as $output) {
            if (true === ($output['waste'] ?? false) || !\is_string($output['id'] ?? null)) {
                continue;
            }
            $first ??= $output['id'];
            if ($this->taken(\is_string($step['id'] ?? null) ? $step['id'] : '', $output['id']) < 0.999) {
                return $output['id'];
            }
        }

        return $first;
    }

    /** Whether one step takes, by others, from another: pouring back would make a circle. */
    private function reaches(string $from, string $to): bool
    {
        $open = [$from];
        $seen = [];
        while ([] !== $open) {
            $id = array_pop($open);
            if ($id === $to) {
                return true;
            }
            if (isset($seen[$id])) {
                continue;
            }
            $seen[$id] = true;
            foreach ($this->steps() as $step) {
                foreach (self::rows($step, 'takes') as $take) {
                    if (($take['from'] ?? null) === $id && \is_string($step['id'] ?? null)) {
                        $open[] = $step['id'];
                    }
                }
            }
        }

        return false;
    }

    private function renamed(string $old, string $new): self
    {
        $steps = $this->steps();
        foreach ($steps as &$step) {
            foreach (['takes' => 'from', 'ties' => 'after'] as $list => $key) {
                foreach (\is_array($step[$list] ?? null) ? $step[$list] : [] as $i => $item) {
                    if (\is_array($item) && ($item[$key] ?? null) === $old) {
                        $item[$key] = $new;
                        $step[$list] = array_replace(\is_array($step[$list] ?? null) ? $step[$list] : [], [$i => $item]);
                    }
                }
            }
            if (\is_array($step['vessel'] ?? null) && ($step['vessel']['continues'] ?? null) === $old) {
                $step['vessel']['continues'] = $new;
            }
        }
        unset($step);
        $draft = $this->withSteps($steps);

        return ($this->document['result'] ?? null) === $old ? new self([...$draft->document, 'result' => $new]) : $draft;
    }

    /** @param list<StepDocument> $steps */
    private function withSteps(array $steps): self
    {
        return new self([...$this->document, 'steps' => $steps]);
    }

    /**
     * @param \Closure(array<array-key, mixed>): bool $goes
     *
     * @return list<mixed>
     */
    private static function without(mixed $list, \Closure $goes): array
    {
        return \is_array($list)
            ? array_values(array_filter($list, static fn (mixed $item): bool => !\is_array($item) || !$goes($item)))
            : [];
    }
}
