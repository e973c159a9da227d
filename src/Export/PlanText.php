<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Explaining\ClockChange;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Solving\Plan;

/** A plan as plain text, to read in a terminal or print. */
final class PlanText
{
    public function write(Feast $feast, Kitchen $kitchen, Plan $plan): string
    {
        $lines = [
            $feast->name,
            \sprintf(
                '%d guests, %s',
                $feast->guests(),
                implode(', ', array_map(static fn ($m): string => $m->name.' '.$m->at->format('D j M H:i'), $feast->moments)),
            ),
            '',
            'SWEETS',
        ];
        foreach ($plan->quantities->dishes as $planned) {
            $timing = $plan->timings[$planned->dish->id] ?? null;
            $need = $planned->demand->portion->countsPieces
                ? $planned->demand->total.' '.$planned->demand->portion->pieceName.'s'
                : AmountWriter::weight($planned->demand->total)->text();
            $lines[] = \sprintf(
                '  %s %s: %s, %s, %s',
                $planned->dish->letter,
                $planned->dish->recipe->name,
                $need,
                1 === $planned->batchPlan->batches ? 'one batch' : $planned->batchPlan->batches.' batches',
                null === $timing
                    ? 'not planned'
                    : 'ready '.
                        $timing->ready->setTimezone($feast->timeZone)->format('D H:i').
                        ($timing->lateMinutes > 0 ? ', '.AmountWriter::duration($timing->lateMinutes)->text().' late' : ''),
            );
            foreach ($timing->reasons ?? [] as $reason) {
                $lines[] = '      '.$reason->text();
            }
            foreach ($planned->batchPlan->pots as $choice) {
                $lines[] = \sprintf(
                    '      %s: %s in %s of %s (%d %% full, limit %d %%)',
                    $choice->run->flows[0]->step->title,
                    AmountWriter::volume($choice->fullestMl)->text(),
                    (\count($choice->vessels) > 1 ? \count($choice->vessels).' × ' : '').$choice->vessel()->name,
                    AmountWriter::volume($choice->vessel()->shape->brimfulMl())->text(),
                    round(100 * $choice->fullShare()),
                    round(100 * $choice->run->limitShare),
                );
            }
        }
        foreach ($plan->obstacles as $obstacle) {
            $lines[] = '  ! '.$obstacle->dish.': '.$obstacle->text();
        }
        array_push($lines, '', 'STORES');
        $writer = $kitchen->measures->writer();
        foreach ($plan->quantities->stores as $line) {
            $lines[] = \sprintf(
                '  %-34s %12s   buy %s',
                $line->ingredient->name,
                $writer->main($line->ingredient, $line->needGrams)->text(),
                $line->ingredient->buying->pack->loose
                    ? AmountWriter::weight($line->buyGrams())->text()
                    : $line->packs.' × '.$line->ingredient->buying->pack->name,
            );
        }
        array_push($lines, '', 'RUN SHEET');
        foreach (ClockChange::during($plan, $feast->timeZone) as $change) {
            $lines[] = '  '.$change->sentence()->text();
        }
        $day = '';
        foreach ($plan->steps as $step) {
            $start = $step->start->setTimezone($feast->timeZone);
            if ($start->format('l j F') !== $day) {
                $day = $start->format('l j F');
                $lines[] = '  '.$day;
            }
            $where = array_filter([
                null === $step->burner ? null : $kitchen->burners[$step->burner]->name,
                ...array_map(static fn (string $v): string => $kitchen->vessels[$v]->name, $step->vessels),
            ]);
            $who =
                [] === $step->people
                    ? 'by itself'
                    : implode(', ', array_map(static fn (string $p): string => $kitchen->people[$p]->name, $step->people));
            $lines[] = \sprintf(
                '  %s–%s  %s %s%s · %s%s%s',
                $start->format('H:i'),
                $step->end->setTimezone($feast->timeZone)->format('H:i'),
                $step->dish->dish->letter,
                $step->step->title,
                WhichBatch::of($step),
                $who,
                [] === $where ? '' : ' · '.implode(', ', $where),
                $step->lid ? ' · lid on until it is hot' : '',
            );
        }

        foreach ($plan->jobs as $job) {
            $lines[] = \sprintf(
                '  %s–%s  %s%s',
                $job->start->setTimezone($feast->timeZone)->format('D H:i'),
                $job->end->setTimezone($feast->timeZone)->format('H:i'),
                WhichBatch::job($job),
                [] === $job->people
                    ? ''
                    : ' · '.implode(', ', array_map(static fn (string $p): string => $kitchen->people[$p]->name, $job->people)),
            );
        }

        return implode("\n", $lines);
    }
}
