<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Day\SimulationReport;
use FeastLadle\Day\Violation;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What many simulated days came to, as a document (docs/formats/day-log.md) and in words. */
final readonly class DaySimulationJson
{
    private const VERSION = 1;

    public function __construct(private TranslatorInterface $translator)
    {
    }

    public function write(SimulationReport $report): string
    {
        $moments = [];
        foreach ($report->with->moments as $i => $moment) {
            [$with, $without] = $report->late[$moment->moment->id];
            $moments[] = [
                'moment' => $moment->moment->id,
                'metWith' => null === $moment->chance ? null : round($moment->chance, 3),
                'metWithout' => null === $moment->chance ? null : round($report->without->moments[$i]->chance ?? 0.0, 3),
                'lateMinutesWith' => self::quantiles($with, [0.5, 0.9, 0.99]),
                'lateMinutesWithout' => self::quantiles($without, [0.5, 0.9, 0.99]),
            ];
        }
        [$median, $p95] = self::quantiles($report->replanMs, [0.5, 0.95]);

        return json_encode(
            [
                'format' => 'feast-ladle/day-simulation',
                'version' => self::VERSION,
                'seed' => $report->seed,
                'runs' => $report->runs,
                'slips' => $report->slips->value,
                'moments' => $moments,
                'events' => $report->events,
                'slipsDrawn' => $report->slipsDrawn,
                'healed' => $report->healed,
                'violations' => array_map(static fn (Violation $v): array => [
                    'rule' => $v->rule,
                    'run' => $v->run,
                    'event' => $v->event,
                ], $report->violations),
                'timing' => ['replanMs' => ['median' => round($median, 1), 'p95' => round($p95, 1)]],
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    public function words(SimulationReport $report): string
    {
        $words = '';
        foreach ($report->with->moments as $i => $moment) {
            $words .=
                $moment->moment->name
                .': '
                .$this->translator->trans('met in {with} of {runs} days, by the first plan alone in {without}', [
                    '{with}' => (int) round($report->runs * ($moment->chance ?? 0.0)),
                    '{runs}' => $report->runs,
                    '{without}' => (int) round($report->runs * ($report->without->moments[$i]->chance ?? 0.0)),
                ])
                ."\n";
        }
        if ($report->slipsDrawn > 0) {
            $words .= $this->translator->trans('{slips} slips; after {healed} of them the sweet was still there in time', [
                '{slips}' => $report->slipsDrawn,
                '{healed}' => $report->healed,
            ])."\n";
        }
        foreach ($report->violations as $violation) {
            $broken = ['{run}' => $violation->run, '{rule}' => $violation->rule];
            $words .= $this->translator->trans('broken in day {run}: {rule}', $broken)."\n";
        }

        return $words;
    }

    /**
     * @template T of int|float
     *
     * @param list<T>     $values
     * @param list<float> $shares
     *
     * @return list<T|int>
     */
    private static function quantiles(array $values, array $shares): array
    {
        sort($values);

        return array_map(
            static fn (float $s): int|float => [] === $values ? 0 : $values[max(0, (int) ceil($s * \count($values)) - 1)],
            $shares,
        );
    }
}
