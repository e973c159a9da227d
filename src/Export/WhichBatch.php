<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Solving\PlannedJob;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** What is done, and for which of the batches or which moment, where there are several. */
final class WhichBatch
{
    public static function of(PlannedStep $step): Sentence
    {
        $batch = $step->key->round->batch;

        return match (true) {
            null !== $step->for => new Sentence('{step} (for {moment})', ['step' => $step->step->title, 'moment' => $step->for->name]),
            null !== $batch && $step->dish->batchPlan->batches > 1 => new Sentence(
                '{step} (batch {n})',
                ['step' => $step->step->title, 'n' => $batch],
            ),
            default => new Sentence('{step}', ['step' => $step->step->title]),
        };
    }

    public static function job(PlannedJob $job): Sentence
    {
        return $job->planned ? new Sentence('Pack: {box}', ['box' => $job->name]) : new Sentence('{name}', ['name' => $job->name]);
    }
}
