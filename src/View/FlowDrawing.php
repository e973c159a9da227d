<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Words\Sentence;

/**
 * A recipe as streams that meet in vessels: time runs to the right, each vessel keeps its height, a stream is as thick as
 * what flows in it is heavy.
 *
 * @phpstan-type Node array{id: string, x: float, y: float, w: float, h: float, lines: list<string>, flame: int,
 *     attention: string, vessel: string, grams: Sentence, bowls: list<Sentence>}
 * @phpstan-type Stream array{path: string, width: float}
 */
final class FlowDrawing
{
    private const STEP_WIDTH = 138.0;
    private const COLUMN = 176.0;
    private const ROW = 132.0;
    private const BOX = 58.0;
    private const MARGIN = 20.0;
    private const THICKEST = 26.0;
    private const LETTERS_A_LINE = 19;
    private const BOWLS_SHOWN = 3;

    public function __construct(private readonly Larder $larder)
    {
    }

    /** @return array{width: float, height: float, nodes: list<Node>, streams: list<Stream>} */
    public function draw(Recipe $recipe, Ledger $ledger, AmountWriter $writer): array
    {
        $columns = $this->columns($recipe);
        $rows = $this->rows($recipe, $columns);
        $heaviest = max(1.0, ...array_map(static fn (StepFlow $f): float => $f->gives->massGrams(), array_values($ledger->flows)));
        $nodes = [];
        $streams = [];
        foreach ($ledger->flows as $id => $flow) {
            $x = self::MARGIN + $columns[$id] * self::COLUMN;
            $y = self::MARGIN + $rows[$id] * self::ROW;
            $nodes[] = $this->node($recipe, $flow, $x, $y, $writer);
            foreach ($flow->step->takes as $take) {
                if (null === $take->fromStep) {
                    continue;
                }
                $mass = $ledger->flow($take->fromStep)->given($take->output)->massGrams() * $take->share;
                $fromX = self::MARGIN + $columns[$take->fromStep] * self::COLUMN + self::STEP_WIDTH;
                $fromY = self::MARGIN + $rows[$take->fromStep] * self::ROW + self::BOX / 2;
                $toY = $y + self::BOX / 2;
                $bend = ($x - $fromX) / 2;
                $streams[] = [
                    'path' => \sprintf(
                        'M%.1f %.1f C%.1f %.1f %.1f %.1f %.1f %.1f',
                        $fromX,
                        $fromY,
                        $fromX + $bend,
                        $fromY,
                        $x - $bend,
                        $toY,
                        $x,
                        $toY,
                    ),
                    'width' => round(max(2.5, (self::THICKEST * $mass) / $heaviest), 1),
                ];
            }
        }

        return [
            'width' => 2 * self::MARGIN + max(0, ...array_values($columns)) * self::COLUMN + self::STEP_WIDTH,
            'height' => 2 * self::MARGIN + (1 + max(0, ...array_values($rows))) * self::ROW,
            'nodes' => $nodes,
            'streams' => $streams,
        ];
    }

    /** @return array<string, int> a step stands right of everything it takes from */
    private function columns(Recipe $recipe): array
    {
        $columns = [];
        foreach ($recipe->steps as $step) {
            $columns[$step->id] = 0;
            foreach ([...$step->sources(), ...array_map(static fn ($t): string => $t->after, $step->ties)] as $before) {
                $columns[$step->id] = max($columns[$step->id], $columns[$before] + 1);
            }
        }
        // What waits to be taken stands just before it first is.
        $takers = [];
        foreach (array_reverse($recipe->steps) as $step) {
            $columns[$step->id] = isset($takers[$step->id]) ? $takers[$step->id] - 1 : $columns[$step->id];
            foreach ([...$step->sources(), ...array_map(static fn ($t): string => $t->after, $step->ties)] as $source) {
                $takers[$source] = min($takers[$source] ?? \PHP_INT_MAX, $columns[$step->id]);
            }
        }

        $first = [] === $columns ? 0 : min($columns);

        return array_map(static fn (int $column): int => $column - $first, $columns);
    }

    /**
     * @param array<string, int> $columns
     *
     * @return array<string, int> the row of each step: that of its vessel, or of the heaviest it takes from
     */
    private function rows(Recipe $recipe, array $columns): array
    {
        /** @var array<string, int> $rows */
        $rows = [];
        $taken = [];
        foreach ($recipe->steps as $step) {
            $beside = $step->vessel->continues ?? ($step->sources()[0] ?? null);
            $row = null === $beside ? 0 : $rows[$beside];
            while (isset($taken[$row][$columns[$step->id]])) {
                ++$row;
            }
            $taken[$row][$columns[$step->id]] = true;
            $rows[$step->id] = $row;
        }

        return $rows;
    }

    /** @return Node */
    private function node(Recipe $recipe, StepFlow $flow, float $x, float $y, AmountWriter $writer): array
    {
        $step = $flow->step;
        $bowls = [];
        foreach ($flow->bowls as $bowl) {
            $ingredient = $this->larder->get($bowl->ingredient);
            $name = explode(',', $ingredient->name)[0];
            $amount = $writer->main($ingredient, $writer->measuredGrams($ingredient, $bowl->grams));
            $bowls[] = new Sentence('{amount} {name}', ['amount' => $amount, 'name' => $name]);
        }
        foreach ($flow->bases as $slug => $grams) {
            $bowls[] = new Sentence('{amount} {name}', ['amount' => AmountWriter::weight($grams), 'name' => $recipe->bases[$slug]->name]);
        }
        foreach ($step->takes as $take) {
            if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                $name = $this->larder->get($take->ingredient)->name;
                $bowls[] = new Sentence('{name}, {mm} mm deep', ['name' => $name, 'mm' => $take->fatDepthMm]);
            }
        }
        $more = \count($bowls) - self::BOWLS_SHOWN;
        if ($more > 0) {
            $bowls = [...\array_slice($bowls, 0, self::BOWLS_SHOWN), new Sentence('+ {n}', ['n' => $more])];
        }

        return [
            'id' => $step->id,
            'x' => $x,
            'y' => $y,
            'w' => self::STEP_WIDTH,
            'h' => self::BOX,
            'lines' => $this->wrapped($step->title),
            'flame' => match ($step->work->flame) {
                Flame::None => 0,
                Flame::Low => 1,
                Flame::Medium => 2,
                Flame::High => 3,
            },
            'attention' => match ($step->work->attention->kind) {
                AttentionKind::Constant => 'constant',
                AttentionKind::Watch => 'watch',
                AttentionKind::None => 'none',
            },
            'vessel' => $step->vessel->kind->value ?? '',
            'grams' => $flow->gives->pieces >= 1
                    ? new Sentence('{n} × {grams}', [
                        'n' => floor($flow->gives->pieces + 1e-6),
                        'grams' => AmountWriter::weight($flow->gives->massGrams() / $flow->gives->pieces),
                    ])
                    : AmountWriter::weight($flow->gives->massGrams()),
            'bowls' => $bowls,
        ];
    }

    /** @return list<string> at most two lines */
    private function wrapped(string $title): array
    {
        $lines = explode("\n", wordwrap($title, self::LETTERS_A_LINE, "\n"));

        return \count($lines) <= 2
            ? $lines
            : [$lines[0], mb_substr(implode(' ', \array_slice($lines, 1)), 0, self::LETTERS_A_LINE - 1).'…'];
    }
}
