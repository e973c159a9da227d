<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Larder\Larder;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** What a tongue would tell, by the scale: how sweet and how salt it is when every bowl went in as weighed. */
final readonly class TasteTwin
{
    private const SALT = ['salt', 'rock-salt'];

    /** Less is not tasted. */
    private const LEAST_SUGAR = 0.01;
    private const LEAST_SALT = 0.0005;

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Sentence> */
    public function of(PlannedStep $step): array
    {
        $gives = $step->dish->batchPlan->ledger->flow($step->step->id)->gives;
        $mass = $gives->massGrams();
        if ($mass <= 0.0) {
            return [];
        }
        $sugar = $gives->sugarGrams($this->larder) / $mass;
        $salt = array_sum(array_intersect_key($gives->grams, array_flip(self::SALT))) / $mass;
        $says = [];
        if ($sugar >= self::LEAST_SUGAR) {
            $says[] = new Sentence(
                'In place of tasting: with every bowl in as weighed it is as sweet as meant, {sugar} g of sugar in 100 g.',
                ['sugar' => round(100 * $sugar)],
            );
        }
        if ($salt >= self::LEAST_SALT) {
            $says[] = new Sentence(
                'In place of tasting: with every bowl in as weighed it is as salt as meant, {salt} g of salt in a kilo.',
                ['salt' => round(1000 * $salt, 1)],
            );
        }

        return $says;
    }
}
