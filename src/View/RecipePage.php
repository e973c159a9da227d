<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Checking\Finding;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Diet\Sources;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Words\Sentence;

/**
 * A recipe by one way of its schools and dials, as it is written or grown to any yield, with what its flow comes to.
 *
 * @phpstan-import-type Node from FlowDrawing
 * @phpstan-import-type Stream from FlowDrawing
 * @phpstan-type BowlRow array{name: string, amount: Sentence, byCup: Sentence|null, how: string, parts: int, atMinute: int|null,
 *     reserve: Sentence|null, decides: string}
 * @phpstan-type SourceRow array{title: string, of: Sentence|null, how: string, parts: int, wants: Sentence|null, base: string|null}
 * @phpstan-type StepRow array{step: Step, bowls: list<BowlRow>, sources: list<SourceRow>, outputs: list<array{name: string,
 *     grams: float, waste: bool}>, gives: float, pieces: int, cautions: list<Caution>, reckoning: list<Sentence>}
 */
final readonly class RecipePage
{
    /** How far a recipe may be grown or shrunk on its page. */
    public const SMALLEST = 0.01;
    public const LARGEST = 2000.0;

    public function __construct(
        private Larder $larder,
        private FlowDrawing $drawing,
        private RecipeChecker $checker,
        private Reckoning $reckoning,
    ) {
    }

    /**
     * @param float|null $wanted grams or pieces to make; null: as written
     *
     * @return array{made: float, unit: Sentence, factor: float, flow: array{width: float, height: float, nodes: list<Node>,
     *     streams: list<Stream>}, findings: list<Finding>, yield: Sentence, steps: list<StepRow>, allergens: list<string>,
     *     addedSugar: float, bought: string|null, money: string} bought: what stands for it, where others take from it
     */
    public function of(Recipe $recipe, Kitchen $kitchen, ?float $wanted = null): array
    {
        $counts = $recipe->portion->countsPieces;
        [$ledger, $factor] = $this->grown($recipe, $kitchen, $wanted);
        $writer = $kitchen->measures->writer();
        $made = $counts ? $ledger->yieldPieces() : $ledger->yieldGrams();

        return [
            'made' => $counts ? floor($made + 1e-6) : round($made),
            'unit' => $recipe->portion->unit(),
            'factor' => $factor,
            'flow' => $this->drawing->draw($recipe, $ledger, $writer),
            'findings' => $this->checker->check($recipe),
            'yield' => $recipe->portion->told($counts ? floor($made + 1e-6) : $made),
            'steps' => array_values(
                array_map(fn (StepFlow $flow): array => $this->step($recipe, $flow, $factor, $writer, $kitchen), $ledger->flows),
            ),
            'bought' => null === $recipe->base?->bought ? null : $this->larder->get($recipe->base->bought)->name,
            'money' => $kitchen->storeroom->currency,
            'allergens' => (new Sources($this->larder))->allergens($recipe),
            'addedSugar' => ($ledger->flow($recipe->lastStep)->gives->addedSugarGrams($this->larder) * $recipe->portion->amount) /
                max(1e-9, $counts ? $ledger->flow($recipe->lastStep)->gives->pieces : $ledger->flow($recipe->lastStep)->gives->massGrams()),
        ];
    }

    /** @return array{Ledger, float} */
    private function grown(Recipe $recipe, Kitchen $kitchen, ?float $wanted): array
    {
        $follow = fn (float $factor): Ledger => Ledger::follow(
            $recipe,
            $this->larder,
            $factor,
            1,
            $kitchen->climate,
        );
        $made = static fn (Ledger $ledger): float => max(
            1e-9,
            $recipe->portion->countsPieces ? $ledger->yieldPieces() : $ledger->yieldGrams(),
        );
        $ledger = $follow(1.0);
        $factor = 1.0;
        // Spice grows slower than the body: two corrections bring the yield to what was asked.
        for ($i = 0; $i < 3 && null !== $wanted; ++$i) {
            $factor = min(self::LARGEST, max(self::SMALLEST, ($factor * $wanted) / $made($ledger)));
            $ledger = $follow($factor);
        }

        return [$ledger, $factor];
    }

    /** @return StepRow */
    private function step(Recipe $recipe, StepFlow $flow, float $factor, AmountWriter $writer, Kitchen $kitchen): array
    {
        $outputs = [];
        foreach ($flow->step->gives->outputs as $output) {
            $outputs[] = ['name' => $output->called(), 'grams' => $flow->outputs[$output->id]->massGrams(), 'waste' => $output->waste];
        }

        if ($flow->waste > 0 && '' !== $flow->step->gives->leaving->what) {
            $outputs[] = ['name' => $flow->step->gives->leaving->what, 'grams' => $flow->waste, 'waste' => true];
        }

        return [
            'step' => $flow->step,
            'bowls' => $this->bowls($recipe, $flow, $factor, $writer),
            'sources' => $this->sources($recipe, $flow, $factor),
            'outputs' => $outputs,
            'gives' => $flow->gives->massGrams(),
            'pieces' => (int) floor($flow->gives->pieces + 1e-9),
            'cautions' => (new Cautions($this->larder))->of($flow, $kitchen->rules->liftKg),
            'reckoning' => $this->reckoning->of($flow, $factor, $kitchen->rules->fillLimits),
        ];
    }

    /** @return list<BowlRow> */
    private function bowls(Recipe $recipe, StepFlow $flow, float $factor, AmountWriter $writer): array
    {
        $rows = [];
        foreach ($flow->step->takes as $take) {
            if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                $rows[] = [
                    'name' => $this->larder->get($take->ingredient)->name,
                    'amount' => new Sentence('{mm} mm deep', ['mm' => $take->fatDepthMm]),
                    'byCup' => null,
                    'how' => $take->how,
                    'parts' => 1,
                    'atMinute' => null,
                    'reserve' => null,
                    'decides' => '',
                ];
                continue;
            }
            [$id, $grams] = match (true) {
                null !== $take->ingredient => [$take->ingredient, $take->grown($factor)],
                null !== $take->base && $recipe->buys($take->base) => [
                    (string) $recipe->bases[$take->base]->base?->bought,
                    $take->grams * $factor * ($recipe->bases[$take->base]->base->ratio ?? 1.0),
                ],
                default => ['', 0.0],
            };
            if ('' === $id) {
                continue;
            }
            $ingredient = $this->larder->get($id);
            $measured = $writer->measuredGrams($ingredient, $grams);
            $reserve =
                $take->reserve > 0
                    ? $writer->main($ingredient, $writer->measuredGrams($ingredient, $take->reserve * $factor ** $take->exponent))
                    : null;
            $rows[] = [
                'name' => $ingredient->name,
                'amount' => $writer->main($ingredient, $measured),
                'byCup' => $writer->byCup($ingredient, $measured),
                'how' => $take->how,
                'parts' => $take->manner->parts,
                'atMinute' => $take->manner->atMinute,
                'reserve' => $reserve,
                'decides' => $take->manner->decides,
            ];
        }

        return $rows;
    }

    /** @return list<SourceRow> */
    private function sources(Recipe $recipe, StepFlow $flow, float $factor): array
    {
        $rows = [];
        foreach ($flow->step->takes as $take) {
            $wants = $take->manner->wants;
            $warmth =
                null === $wants
                    ? null
                    : ($wants->least > -20
                        ? ($wants->most < 250
                            ? new Sentence('{from} to {to} °C', ['from' => $wants->least, 'to' => $wants->most])
                            : new Sentence('at least {from} °C', ['from' => $wants->least]))
                        : new Sentence('at most {to} °C', ['to' => $wants->most]));
            if (null !== $take->fromStep) {
                $source = $recipe->step($take->fromStep);
                $of = null === $take->output ? '' : $source->gives->outputs[$take->output]->called();
                $rows[] = [
                    'title' => $source->title,
                    'of' => match (true) {
                        1.0 === $take->share && '' === $of => null,
                        1.0 === $take->share => new Sentence('{name}', ['name' => $of]),
                        default => new Sentence('{percent} % {name}', ['percent' => round(100 * $take->share), 'name' => $of]),
                    },
                    'how' => $take->how,
                    'parts' => $take->manner->parts,
                    'wants' => $warmth,
                    'base' => null,
                ];
            } elseif (null !== $take->base && !$recipe->buys($take->base)) {
                $rows[] = [
                    'title' => $recipe->bases[$take->base]->name,
                    'of' => AmountWriter::weight($take->grams * $factor),
                    'how' => $take->how,
                    'parts' => $take->manner->parts,
                    'wants' => $warmth,
                    'base' => $take->base,
                ];
            }
        }

        return $rows;
    }
}
