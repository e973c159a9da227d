<?php

declare(strict_types=1);

namespace App\Export;

use App\Service\Speaker;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Explaining\ClockChange;
use FeastLadle\Explaining\FuelNeed;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Person;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Overrun;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Words\Sentence;

/** A plan as plain text, to read in a terminal or print. */
final class PlanText
{
    public function __construct(private readonly Speaker $speaker)
    {
    }

    public function write(Feast $feast, Kitchen $kitchen, Plan $plan): string
    {
        return implode("\n", [
            $feast->name,
            implode(', ', [
                $this->say('{count} guests', ['count' => $feast->guests()]),
                ...array_map(fn (Moment $m): string => $m->name.' '.$this->day($m->at, 'EEE d MMM, HH:mm', $feast), $feast->moments),
            ]),
            '',
            mb_strtoupper($this->say('Sweets')),
            ...$this->sweets($feast, $plan),
            '',
            mb_strtoupper($this->say('Stores')),
            ...$this->stores($kitchen, $plan),
            ...$this->fuel($feast, $kitchen, $plan),
            '',
            mb_strtoupper($this->say('Run sheet')),
            ...$this->runSheet($feast, $kitchen, $plan),
        ]);
    }

    /** @return list<string> */
    private function sweets(Feast $feast, Plan $plan): array
    {
        $lines = [];
        foreach ($plan->quantities->dishes as $planned) {
            $timing = $plan->timings[$planned->dish->id] ?? null;
            $lines[] =
                '  '.
                $planned->dish->letter.
                ' '.
                $planned->dish->recipe->name.
                ': '.
                implode(', ', [
                    $this->speaker->say($planned->demand->portion->told($planned->demand->total)),
                    $this->say('{count} batches', ['count' => $planned->batchPlan->batches]),
                    ...$this->ready($timing, $planned, $plan, $feast),
                ]);
            foreach ($timing->reasons ?? [] as $reason) {
                $lines[] = '      '.$this->speaker->say($reason->sentence);
            }
            array_push($lines, ...$this->pots($planned));
        }
        $windows = array_map(static fn (Overrun $o): Obstacle => $o->obstacle, $plan->overruns);
        foreach ([...$plan->obstacles, ...$plan->clocks, ...$windows] as $obstacle) {
            $lines[] = '  ! '.$obstacle->dish.': '.$this->speaker->say($obstacle->sentence);
        }

        return $lines;
    }

    /** @return list<string> */
    private function fuel(Feast $feast, Kitchen $kitchen, Plan $plan): array
    {
        $lines = [];
        foreach (FuelNeed::of($plan, $kitchen) as $need) {
            $isGas = Fuel::Gas === $need->fuel;
            $said = [
                $this->say('{need} kg, {there} kg there', ['need' => round($need->kilograms, 1), 'there' => round($need->there, 1)]),
                ...0 === $need->buy ? [] : [
                    $this->say($isGas ? 'buy {count} bottles of {kg} kg' : 'buy {count} kg', [
                        'count' => $need->buy,
                        'kg' => round($need->bottleKg, 1),
                    ]),
                ],
            ];
            $lines[] = '  '.$this->say($need->fuel->value).': '.implode('; ', $said);
            foreach ($need->ends as $end) {
                $lines[] = '    '.$this->say(
                    $end->isLast
                        ? 'At {time} bottle {n}, the last one, is empty.'
                        : 'At {time} bottle {n} is empty: have the next at hand.',
                    ['time' => $this->day($end->at, 'EEE HH:mm', $feast), 'n' => $end->number],
                );
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function ready(?DishTiming $timing, PlannedDish $planned, Plan $plan, Feast $feast): array
    {
        if (null === $timing) {
            // A base has no moment of its own: it is ready when its last step is.
            $ends = array_map(
                static fn (PlannedStep $s): \DateTimeImmutable => $s->end,
                array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->dish === $planned),
            );

            return [
                [] === $ends
                    ? $this->say('not planned')
                    : $this->say('ready {time}', ['time' => $this->day(max($ends), 'EEE HH:mm', $feast)]),
            ];
        }
        $ready = $this->say('ready {time}', ['time' => $this->day($timing->ready, 'EEE HH:mm', $feast)]);

        return $timing->lateMinutes > 0
            ? [$ready, $this->say('{duration} late', ['duration' => AmountWriter::duration($timing->lateMinutes)])]
            : [$ready];
    }

    /** @return list<string> */
    private function pots(PlannedDish $planned): array
    {
        $lines = [];
        foreach ($planned->batchPlan->pots as $choice) {
            $lines[] =
                '      '.
                $this->say('{step}: {volume} in {count} × {vessel} of {size} ({full} % full, limit {limit} %)', [
                    'step' => $choice->run->flows[0]->step->title,
                    'volume' => AmountWriter::volume($choice->fullestMl),
                    'count' => \count($choice->vessels),
                    'vessel' => $choice->vessel()->name,
                    'size' => AmountWriter::volume($choice->vessel()->shape->brimfulMl()),
                    'full' => round(100 * $choice->fullShare()),
                    'limit' => round(100 * $choice->run->limitShare),
                ]);
        }

        return $lines;
    }

    /** @return list<string> */
    private function stores(Kitchen $kitchen, Plan $plan): array
    {
        $writer = $kitchen->measures->writer();
        $lines = [];
        foreach ($plan->quantities->stores as $line) {
            $lines[] = \sprintf(
                '  %-34s %12s   %s',
                $line->ingredient->name,
                $this->speaker->say($writer->main($line->ingredient, $line->needGrams)),
                match (true) {
                    0.0 === $line->buyGrams() => '',
                    $line->ingredient->buying->pack->loose => $this->say('buy {amount}', [
                        'amount' => AmountWriter::weight($line->buyGrams()),
                    ]),
                    default => $this->say('buy {packs} × {pack}', [
                        'packs' => $line->packs,
                        'pack' => $line->ingredient->buying->pack->name,
                    ]),
                },
            );
        }

        return $lines;
    }

    /** @return list<string> */
    private function runSheet(Feast $feast, Kitchen $kitchen, Plan $plan): array
    {
        $lines = [];
        foreach (ClockChange::during($plan, $feast->timeZone) as $change) {
            $lines[] = '  '.$this->speaker->say($change->sentence());
        }
        $day = '';
        foreach ($plan->steps as $step) {
            $today = $this->day($step->start, 'EEEE d MMMM', $feast);
            if ($today !== $day) {
                $day = $today;
                $lines[] = '  '.$day;
            }
            $lines[] =
                '  '.$this->time($step->start, $feast).'–'.$this->time($step->end, $feast).'  '.$this->step($step, $kitchen);
        }
        foreach ($plan->jobs as $job) {
            $lines[] =
                '  '.
                $this->day($job->start, 'EEE HH:mm', $feast).
                '–'.
                $this->time($job->end, $feast).
                '  '.
                implode(
                    ' · ',
                    array_filter([$this->speaker->say(WhichBatch::job($job)), $this->names($job->people, $kitchen->people)]),
                );
        }

        return $lines;
    }

    private function step(PlannedStep $step, Kitchen $kitchen): string
    {
        $where = implode(
            ', ',
            array_filter([
                null === $step->burner ? '' : $kitchen->burners[$step->burner]->name,
                $this->names($step->vessels, $kitchen->vessels),
            ]),
        );

        return $step->dish->dish->letter.
            ' '.
            implode(
                ' · ',
                array_filter([
                    $this->speaker->say(WhichBatch::of($step)),
                    [] === $step->people ? $this->say('by itself') : $this->names($step->people, $kitchen->people),
                    $where,
                    $step->lid ? $this->say('lid on until it is hot') : '',
                ]),
            );
    }

    /**
     * @param list<string>                 $ids
     * @param array<string, Person|Vessel> $of  by id
     */
    private function names(array $ids, array $of): string
    {
        return implode(', ', array_map(static fn (string $id): string => $of[$id]->name, $ids));
    }

    /** @param array<string, string|int|float|Sentence> $values */
    private function say(string $id, array $values = []): string
    {
        return $this->speaker->say(new Sentence($id, $values));
    }

    private function day(\DateTimeImmutable $at, string $pattern, Feast $feast): string
    {
        return $this->speaker->day($at, new Sentence($pattern), $feast->timeZone);
    }

    private function time(\DateTimeImmutable $at, Feast $feast): string
    {
        return $at->setTimezone($feast->timeZone)->format('H:i');
    }
}
