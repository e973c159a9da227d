<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Solving\PlannedJob;
use FeastLadle\Solving\PlannedStep;

/** Which of the batches a step belongs to, or for which moment it is done, where there are several. */
final class WhichBatch
{
    public static function of(PlannedStep $step): string
    {
        return match (true) {
            null !== $step->for => ' (for '.$step->for->name.')',
            null !== $step->key->round->batch && $step->dish->batchPlan->batches > 1 => ' (batch '.$step->key->round->batch.')',
            default => '',
        };
    }

    public static function job(PlannedJob $job): string
    {
        return ($job->planned ? 'Pack: ' : '').$job->name;
    }
}
