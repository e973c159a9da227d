<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Climate;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;

/** What a recipe that reads may still have wrong: every check, errors first. */
final readonly class RecipeChecker
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Finding> errors first, then warnings, each in the order of the checks and the flow */
    public function check(Recipe $recipe, ?Ledger $ledger = null): array
    {
        $ledger ??= Ledger::follow($recipe, $this->larder, 1.0, 1, Climate::usual());
        $findings = [];
        foreach ($this->checks() as $check) {
            array_push($findings, ...$check->check($recipe, $ledger));
        }
        usort(
            $findings,
            static fn (Finding $a, Finding $b): int => (Severity::Error === $b->severity ? 1 : 0) <=>
                (Severity::Error === $a->severity ? 1 : 0),
        );

        return $findings;
    }

    /** @return list<Check> */
    private function checks(): array
    {
        return [
            new TieCheck(),
            new TargetCheck($this->larder),
            new BalanceCheck($this->larder),
            new WarmthCheck($this->larder),
            new HandsCheck(),
            new CueCheck(),
            new PiecesCheck(),
            new KeepingCheck($this->larder),
            new ChoiceCheck($this->larder),
            new SandCheck($this->larder),
        ];
    }
}
