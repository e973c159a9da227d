<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Tray\Cut;
use FeastLadle\Tray\CutWindow;
use FeastLadle\Tray\TrayPlan;

/**
 * The tray bench: what was asked, what it comes to, and the cuts as lines over a tray, in mm.
 *
 * @phpstan-type Line array{float, float, float, float}
 */
final class TrayBench
{
    /** What is asked, with least, most and usual. */
    public const ASKED = [
        'grams' => [10, 1e7, 4000],
        'density' => [0.3, 2, 1.25],
        'length' => [20, 3000, 400],
        'width' => [20, 3000, 300],
        'depth' => [2, 200, 22],
        'a' => [5, 1000, 35],
        'b' => [5, 1000, 35],
        'degrees' => [20, 90, 60],
        'poured' => [30, 180, 110],
    ];

    private const MOST_LINES = 400;

    /**
     * @param array<string, float> $asked
     *
     * @return array{plan: TrayPlan|null, why: string, lines: list<Line>, windows: list<array{what: string, from: float|null,
     *     to: float|null}>}
     */
    public function of(array $asked, Cut $cut, bool $onRack, Kitchen $kitchen): array
    {
        try {
            $plan = TrayPlan::of(
                $asked['grams'],
                $asked['density'],
                $asked['length'],
                $asked['width'],
                $asked['depth'],
                $cut,
                $asked['a'],
                $asked['b'],
                $asked['degrees'],
                $onRack,
            );
        } catch (\DomainException $none) {
            return ['plan' => null, 'why' => $none->getMessage(), 'lines' => [], 'windows' => []];
        }
        $windows = [];
        foreach (CutWindow::cases() as $window) {
            $to = $window->toCelsius();
            $windows[] = [
                'what' => $window->value,
                'from' => $plan->minutesTo($window->fromCelsius(), $asked['poured'], $kitchen->climate->roomCelsius),
                'to' => null === $to ? null : $plan->minutesTo($to, $asked['poured'], $kitchen->climate->roomCelsius),
            ];
        }

        return ['plan' => $plan, 'why' => '', 'lines' => $this->lines($cut, $asked), 'windows' => $windows];
    }

    /**
     * @param array<string, float> $asked
     *
     * @return list<Line> they may run past the tray; the drawing clips them
     */
    private function lines(Cut $cut, array $asked): array
    {
        ['length' => $l, 'width' => $w, 'a' => $a, 'b' => $b] = $asked;
        $lines = [];
        // Each family: a step, and how far its lines lean from the near edge to the far one; null for lines along the tray.
        $families = match ($cut) {
            Cut::Squares => [[$a, 0.0], [$a, null]],
            Cut::HalvedSquares => [[$a, 0.0], [$a, null], [$a, $w]],
            Cut::Triangles => [[$b, null], [$a, (($w / $b) * $a) / 2], [$a, ((-$w / $b) * $a) / 2]],
            Cut::CrossedDiamonds => [[$a, ($w / $b) * $a], [$a, (-$w / $b) * $a]],
            Cut::SlantedDiamonds => [[$a, null], [$a / sin(deg2rad($asked['degrees'])), $w / tan(deg2rad($asked['degrees']))]],
        };
        foreach ($families as [$step, $lean]) {
            $from = null === $lean ? 1 : (int) floor(-max(0.0, $lean) / $step);
            $to = (int) ceil((null === $lean ? $w : $l + max(0.0, -$lean)) / $step);
            for ($i = $from; $i <= $to && \count($lines) < self::MOST_LINES; ++$i) {
                $at = round($i * $step, 1);
                if (null === $lean ? $at > $w : min($at, $at + $lean) > $l || max($at, $at + $lean) < 0) {
                    continue;
                }
                $lines[] = null === $lean ? [0.0, $at, $l, $at] : [$at, 0.0, round($at + $lean, 1), $w];
            }
        }

        return $lines;
    }
}
