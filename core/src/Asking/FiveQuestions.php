<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\Node;
use FeastLadle\Drafting\ToldDraft;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;
use FeastLadle\Recipe\RecipeReader;

/**
 * What was never said is laid between its plausible ends, the recipe is run over all of that at once, and the questions whose answers
 * would change the sweet most come first.
 */
final readonly class FiveQuestions
{
    public const FIRST = 5;

    private const RUNS = 240;
    private const SEED = 20_261_129;

    /** A range of an unknown is looked at in so many parts. */
    private const PARTS = 6;

    public function __construct(private Larder $larder, private Climate $climate, private Unsaids $unsaids)
    {
    }

    /** @return list<Asked> every question of the draft: contradictions, then by what its answer changes */
    public function of(ToldDraft $told): array
    {
        $unsaid = $this->unsaids->in($told);
        $effects = [] === $unsaid ? [] : $this->effects($told, $unsaid);
        $asked = [];
        foreach ($told->questions as $point) {
            $asked[] = $effects[spl_object_id($point)] ?? new Asked($point, null, $point->isContradiction() ? 1.0 : 0.0);
        }
        usort(
            $asked,
            static fn (Asked $a, Asked $b): int => [$b->point->isContradiction(), $b->weight, $b->point->weight]
                <=> [$a->point->isContradiction(), $a->weight, $a->point->weight],
        );

        return $asked;
    }

    /**
     * @param non-empty-list<Unsaid> $unsaid
     *
     * @return array<int, Asked> by the object of the question
     */
    private function effects(ToldDraft $told, array $unsaid): array
    {
        $document = $told->draft->document();
        $brought = (new LarderReader())->brought(Node::root($document, new Faults())->at('ingredients'));
        $larder = $this->larder->with($brought);
        $rows = Hypercube::samples(self::RUNS, \count($unsaid), self::SEED);
        $outcomes = [];
        foreach ($rows as $i => $row) {
            $changed = $document;
            foreach ($unsaid as $k => $unknown) {
                foreach ($unknown->places as $p => $place) {
                    $changed = self::set($changed, explode('/', ltrim($place, '/')), $unknown->value($p, $row[$k]));
                }
            }
            $outcome = $this->run($changed, $larder);
            if (null !== $outcome) {
                $outcomes[$i] = $outcome;
            }
        }
        if (\count($outcomes) < self::PARTS * 4) {
            return [];
        }
        $asked = [];
        foreach ($unsaid as $k => $unknown) {
            $effect = $this->effect($unknown, array_map(static fn (array $row): float => $row[$k], $rows), $outcomes);
            $known = $asked[spl_object_id($unknown->point)] ?? null;
            if (null === $known || $known->weight < $effect->weight) {
                $asked[spl_object_id($unknown->point)] = $effect;
            }
        }

        return $asked;
    }

    /**
     * How far the mean outcome goes from one end of an unknown to the other, by what nobody would notice.
     *
     * @param list<float>         $at       where in its range each run lies
     * @param array<int, Outcome> $outcomes
     */
    private function effect(Unsaid $unknown, array $at, array $outcomes): Asked
    {
        $best = new Asked($unknown->point, null, 0.0);
        foreach (Aspect::cases() as $aspect) {
            $sums = array_fill(0, self::PARTS, [0.0, 0]);
            $all = 0.0;
            foreach ($outcomes as $i => $outcome) {
                $part = min(self::PARTS - 1, (int) floor($at[$i] * self::PARTS));
                $value = $outcome->in($aspect);
                $sums[$part] = [$sums[$part][0] + $value, $sums[$part][1] + 1];
                $all += $value;
            }
            [$first, $last] = [$sums[0], $sums[self::PARTS - 1]];
            if (0 === $first[1] || 0 === $last[1]) {
                continue;
            }
            [$low, $high] = [$first[0] / $first[1], $last[0] / $last[1]];
            $weight = abs($high - $low) / $aspect->unnoticed($all / \count($outcomes));
            if ($weight > $best->weight) {
                $says = $weight < 1.0 ? null : $aspect->says($unknown->told(false), $unknown->told(true), $low, $high);
                $best = new Asked($unknown->point, $says, $weight);
            }
        }

        return $best;
    }

    /** @param array<string, mixed> $document */
    private function run(array $document, Larder $larder): ?Outcome
    {
        try {
            $recipe = (new RecipeReader($larder))->fromNode(Node::root($document, $faults = new Faults()), $faults);
        } catch (FaultyDocument) {
            return null;
        }

        return Outcome::of($recipe, Ledger::follow($recipe, $larder, 1.0, 1, $this->climate), $larder);
    }

    /**
     * @param array<string, mixed>   $document
     * @param non-empty-list<string> $path
     *
     * @return array<string, mixed>
     */
    private static function set(array $document, array $path, float|string $value): array
    {
        $changed = [];
        foreach (self::replaced($document, $path, $value) as $key => $part) {
            $changed[(string) $key] = $part;
        }

        return $changed;
    }

    /**
     * @param array<array-key, mixed> $at
     * @param non-empty-list<string>  $path
     *
     * @return array<array-key, mixed>
     */
    private static function replaced(array $at, array $path, float|string $value): array
    {
        $key = array_shift($path);
        $key = ctype_digit($key) ? (int) $key : $key;
        $part = \is_array($at[$key] ?? null) ? $at[$key] : [];
        $at[$key] = [] === $path ? $value : self::replaced($part, $path, $value);

        return $at;
    }
}
