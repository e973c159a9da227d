<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Telling\LineReader;

/** What the writer of a recipe can do to a draft: one thing at a time, named by a word and where it is done. */
final readonly class Editing
{
    public const MOST_STEPS = 200;

    private const NEW_ROWS = [
        'cues' => ['kind' => 'done'],
        'marks' => ['do' => ''],
        'ties' => ['max' => 5],
        'outputs' => ['share' => 0.5],
    ];

    private TypedStep $typed;

    public function __construct(LineReader $lines)
    {
        $this->typed = new TypedStep($lines);
    }

    /**
     * Takes over what was typed into the head and into the open step.
     *
     * @param array<array-key, mixed>|null $head
     * @param array<array-key, mixed>|null $step
     */
    public function typed(Draft $draft, ?array $head, ?array $step, int $open): Draft
    {
        if (null !== $head) {
            $draft = $draft->withHead([...['name' => '', 'summary' => '', 'origin' => ''], ...$this->typed->head($head)]);
        }
        $before = $draft->step($open);
        if (null === $step || null === $before) {
            return $draft;
        }
        $now = $this->typed->step($step);
        // What the form does not ask about stays.
        foreach (['variants', 'id', 'process', 'title'] as $kept) {
            if (!isset($now[$kept]) && isset($before[$kept])) {
                $now[$kept] = $before[$kept];
            }
        }

        return $draft->withStepAt($open, $this->settled($now, $before));
    }

    /**
     * Does one thing: "add-step", "remove-step:2", "up:2", "down:2", "open:2", "connect", "add-bowl", "remove-row:takes:1",
     * "add-row:cues", "add-school", …
     *
     * @param array<string, string> $with what it needs: process, from, to, line
     */
    public function apply(Draft $draft, string $operation, array $with, int $open): Edited
    {
        [$verb, $first, $second] = [...explode(':', $operation, 3), '', ''];
        $index = ctype_digit($first) ? (int) $first : $open;

        return match ($verb) {
            'add-step' => $this->addStep($draft, $with['process'] ?? '', $open),
            'remove-step' => new Edited($draft->withoutStep($index), max(0, min($open, \count($draft->steps()) - 2))),
            'up' => new Edited($draft->withStepMoved($index, -1), $open === $index ? max(0, $index - 1) : $open),
            'down' => new Edited($draft->withStepMoved($index, 1), $open === $index ? min(\count($draft->steps()) - 1, $index + 1) : $open),
            'open' => new Edited($draft, isset($draft->steps()[$index]) ? $index : $open),
            'connect' => $this->connect($draft, $with['from'] ?? '', $with['to'] ?? '', $open),
            'add-bowl' => $this->addBowl($draft, $with['line'] ?? '', $open),
            'add-base' => $this->addTake($draft, ['base' => $with['base'] ?? '', 'grams' => 100], $open),
            'portion' => new Edited(
                $draft->withHead(['portion' => 'pieces' === $first ? ['pieces' => 1, 'pieceName' => 'piece'] : ['grams' => 100]]),
                $open,
            ),
            'remove-row' => new Edited($this->withoutRow($draft, $open, $first, (int) $second), $open),
            'add-row' => new Edited($this->withRow($draft, $open, $first), $open),
            'add-school', 'add-option', 'remove-school', 'add-dial', 'remove-dial' => new Edited(
                (new WaysEditing())->apply($draft, $verb, $first, $with),
                $open,
            ),
            '' => new Edited($draft, $open),
            default => new Edited($draft, $open, 'Nothing is known to be done by "{verb}".', ['verb' => mb_substr($verb, 0, 40)]),
        };
    }

    private function addStep(Draft $draft, string $process, int $open): Edited
    {
        $known = Process::tryFrom($process);
        if (null === $known) {
            return new Edited($draft, $open, 'Choose what is done in the new step.');
        }
        if (\count($draft->steps()) >= self::MOST_STEPS) {
            return new Edited($draft, $open, 'A recipe has at most {most} steps.', ['most' => self::MOST_STEPS]);
        }
        $with = $draft->withStep($known);

        return new Edited($with, \count($with->steps()) - 1);
    }

    private function connect(Draft $draft, string $from, string $to, int $open): Edited
    {
        $openId = $draft->step($open)['id'] ?? null;
        $with = $draft->connected($from, $to);
        if ($with->document() === $draft->document()) {
            return new Edited(
                $draft,
                $open,
                $from === $to
                    ? 'A step can\'t pour into itself.'
                    : 'That can\'t be poured there: nothing of it is left, or it would flow in a circle.',
            );
        }

        return new Edited($with, \is_string($openId) ? $with->indexOf($openId) ?? $open : $open);
    }

    private function addBowl(Draft $draft, string $line, int $open): Edited
    {
        $step = $draft->step($open);
        if (null === $step || '' === trim($line)) {
            return new Edited($draft, $open, 'Say what goes into the bowl, as in "2 cups jaggery, grated".');
        }
        $take = $this->typed->line($line);
        if (null === $take) {
            return new Edited($draft, $open, 'The larder knows nothing in "{line}". Look it up there, or add it.', [
                'line' => mb_substr($line, 0, 60),
            ]);
        }

        return $this->addTake($draft, $take, $open);
    }

    /** @param array<string, mixed> $take */
    private function addTake(Draft $draft, array $take, int $open): Edited
    {
        $step = $draft->step($open);
        if (null === $step) {
            return new Edited($draft, $open, 'Add a step first.');
        }
        $step['takes'] = [...Draft::rows($step, 'takes'), $take];

        return new Edited($draft->withStepAt($open, $step), $open);
    }

    private function withoutRow(Draft $draft, int $open, string $list, int $row): Draft
    {
        $step = $draft->step($open);
        if (null === $step || !\in_array($list, ['takes', ...array_keys(self::NEW_ROWS)], true)) {
            return $draft;
        }
        $rows = Draft::rows($step, $list);
        $gone = $rows[$row] ?? null;
        unset($rows[$row]);
        $step[$list] = array_values($rows);
        // A vessel does not go on from a step that no longer pours in.
        if (
            'takes' === $list
            && \is_array($gone)
            && \is_array($step['vessel'] ?? null)
            && ($step['vessel']['continues'] ?? '') === ($gone['from'] ?? null)
        ) {
            unset($step['vessel']['continues']);
        }
        if ([] === $step[$list] && 'takes' !== $list) {
            unset($step[$list]);
        }

        return $draft->withStepAt($open, $step);
    }

    private function withRow(Draft $draft, int $open, string $list): Draft
    {
        $step = $draft->step($open);
        if (null === $step || !isset(self::NEW_ROWS[$list])) {
            return $draft;
        }
        $rows = Draft::rows($step, $list);
        $row = self::NEW_ROWS[$list];
        if ('ties' === $list) {
            $row = ['after' => $this->firstSource($step), ...$row];
        }
        if ('outputs' === $list) {
            $row = ['id' => 'output-'.(\count($rows) + 1), ...$row];
        }
        $step[$list] = [...$rows, $row];

        return $draft->withStepAt($open, $step);
    }

    /** @param array<array-key, mixed> $step */
    private function firstSource(array $step): string
    {
        foreach (Draft::rows($step, 'takes') as $take) {
            if (\is_string($take['from'] ?? null)) {
                return $take['from'];
            }
        }

        return '';
    }

    /**
     * When the way of telling time, the target or the process was changed, the fields that belong to the new one get usual values
     * and those of the old one go.
     *
     * @param array<array-key, mixed> $now
     * @param array<array-key, mixed> $before
     *
     * @return array<array-key, mixed>
     */
    private function settled(array $now, array $before): array
    {
        $process = \is_string($now['process'] ?? null) ? Process::tryFrom($now['process']) : null;
        if (null === $process) {
            return $now;
        }
        $guide = ProcessGuide::of($process);
        $growth =
            \is_array($now['time'] ?? null) && \is_string($now['time']['grows'] ?? null) ? Growth::tryFrom($now['time']['grows']) : null;
        $grew = \is_array($before['time'] ?? null) ? $before['time']['grows'] ?? null : null;
        if (null !== $growth && $growth->value !== $grew) {
            $now['time'] = $guide->time($growth);
            $law = $growth->facts();
            if ([] !== $law->targets && !isset($now['target'])) {
                $now['target'] = $guide->step('x')['target'] ?? ['kind' => $law->targets[0]->value, 'value' => $law->begin];
            }
        }
        $target = \is_array($now['target'] ?? null) ? $now['target'] : [];
        $kind = $target['kind'] ?? null;
        if ('none' === $kind) {
            unset($now['target']);
        } elseif (
            null !== $kind
            && $kind !== (\is_array($before['target'] ?? null) ? $before['target']['kind'] ?? null : null)
            && \is_string($kind)
        ) {
            $now['target'] = ['kind' => $kind, ...self::usualTarget($kind, $target)];
        }
        $attends = static fn (array $step): mixed => \is_array($step['attention'] ?? null) ? $step['attention']['kind'] ?? null : null;
        if (\is_array($now['attention'] ?? null) && $attends($now) !== $attends($before)) {
            unset($now['attention']['percent'], $now['attention']['lookEvery']);
        }
        // What is said by saying nothing is not written down.
        $now['takes'] = array_map(
            static fn (array $take): array => array_filter(
                $take,
                static fn (mixed $v, int|string $k): bool => !\in_array($k, ['share', 'parts'], true) || (1 !== $v && 1.0 !== $v),
                \ARRAY_FILTER_USE_BOTH,
            ),
            Draft::rows($now, 'takes'),
        );
        foreach ([['attention', 'people', 1], ['time', 'medium', 'air']] as [$field, $key, $usual]) {
            if (\is_array($now[$field] ?? null) && ($now[$field][$key] ?? null) === $usual) {
                unset($now[$field][$key]);
            }
        }
        if ('none' === ($now['flame'] ?? null)) {
            unset($now['flame']);
        }
        if (\is_array($now['vessel'] ?? null) && '' === ($now['vessel']['kind'] ?? '')) {
            unset($now['vessel']);
        }

        return $now;
    }

    /**
     * @param array<array-key, mixed> $target as typed
     *
     * @return array<string, mixed>
     */
    private static function usualTarget(string $kind, array $target): array
    {
        $stage = $target['stage'] ?? 'one-string';

        return match ($kind) {
            'stage' => ['stage' => $stage],
            'volume-to' => ['value' => 0.5],
            'volume-by' => ['value' => 0.33],
            'water-off' => ['value' => 0.1],
            'celsius' => ['value' => 95],
            'depth' => ['value' => 20],
            'releases' => ['value' => 3],
            'cues' => ['need' => 'any'],
            default => [],
        };
    }
}
