<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;

/** What comes out of a step must have gone in: outputs that become other ingredients can't hold more water, sugar or fat than there was. */
final readonly class BalanceCheck implements Check
{
    /** Compositions are typical values; so much more is within what produce differs by. */
    private const TOLERANCE = 1.15;

    /** Grams below which nobody counts. */
    private const TRACE = 2.0;

    private const LEAST_PORTIONS = 1.0;

    public function __construct(private Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($ledger->flows as $flow) {
            if ([] === $flow->outputs) {
                continue;
            }
            foreach (
                [
                    'water' => fn (Contents $c): float => $c->waterGrams($this->larder),
                    'sugar' => fn (Contents $c): float => $c->sugarGrams($this->larder),
                    'fat' => fn (Contents $c): float => $c->fatGrams($this->larder),
                ] as $what => $of
            ) {
                $in = $of($flow->gives);
                $out = array_sum(array_map($of, $flow->outputs));
                if ($out > self::TOLERANCE * $in + self::TRACE) {
                    $findings[] = new Finding(
                        Severity::Error,
                        $flow->step->id,
                        'Its outputs hold {out} g of {what}, but only {in} g are there.',
                        'Change the shares, or what they have become.',
                        ['what' => $what, 'in' => round($in), 'out' => round($out)],
                    );
                }
            }
        }
        $portions = ($recipe->portion->countsPieces ? $ledger->yieldPieces() : $ledger->yieldGrams()) / $recipe->portion->amount;
        if ($portions < self::LEAST_PORTIONS) {
            $findings[] = new Finding(
                Severity::Warning,
                $recipe->lastStep,
                'The recipe makes {portions} of a portion.',
                'Check the amounts and the portion.',
                ['portions' => round($portions, 2)],
            );
        }

        return $findings;
    }
}
