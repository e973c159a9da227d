<?php

declare(strict_types=1);

namespace App\Export;

use App\Service\Speaker;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;

/** The run sheet as comma-separated values, a line a step, times with their offset; names of columns are of the format, in no language. */
final class PlanCsv
{
    public function __construct(private readonly Speaker $speaker)
    {
    }

    public function write(Feast $feast, Kitchen $kitchen, Plan $plan): string
    {
        $rows = [['start', 'end', 'minutes', 'least', 'most', 'sweet', 'batch', 'step', 'who', 'fire', 'vessels']];
        foreach ($plan->steps as $step) {
            $rows[] = [
                $step->start->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                $step->end->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                $step->minutes(),
                $step->minMinutes,
                $step->maxMinutes,
                $step->dish->dish->recipe->name,
                null === $step->for ? $step->key->round->batch ?? 0 : $step->for->name,
                $step->step->title,
                $this->names($step->people, $kitchen),
                null === $step->burner ? '' : $kitchen->burners[$step->burner]->name,
                implode(' + ', array_map(static fn (string $v): string => $kitchen->vessels[$v]->name, $step->vessels)),
            ];
        }

        foreach ($plan->jobs as $job) {
            $rows[] = [
                $job->start->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                $job->end->setTimezone($feast->timeZone)->format(\DATE_ATOM),
                $job->endMinute - $job->startMinute,
                null,
                null,
                '',
                '',
                $this->speaker->say(WhichBatch::job($job)),
                $this->names($job->people, $kitchen),
                null === $job->burner ? '' : $kitchen->burners[$job->burner]->name,
                '',
            ];
        }

        return Csv::of($rows);
    }

    /** @param list<string> $people ids */
    private function names(array $people, Kitchen $kitchen): string
    {
        return implode(', ', array_map(static fn (string $p): string => $kitchen->people[$p]->name, $people));
    }
}
