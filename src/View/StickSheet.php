<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Cards\PotStick;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * A dipstick laid out at true scale on paper, all lengths in mm from the corner of the printable page; cut into parts where it is longer.
 *
 * @phpstan-type Words array{top: float, words: float, text: string, what: string}
 * @phpstan-type Part array{left: float, top: float, height: float, ticks: list<Words>, levels: list<Words>}
 * @phpstan-type Sheet array{name: string, title: string, parts: list<Part>, rulerTop: float, ruler: list<array{left: float,
 *     height: float}>}
 */
final readonly class StickSheet
{
    private const HEAD = 30.0;
    private const PART_WIDTH = 90.0;

    /** Words of two levels must not lie on each other: two lines of small print. */
    private const APART = 7.0;

    public function __construct(private TranslatorInterface $translator)
    {
    }

    /** @return Sheet */
    public function of(PotStick $stick, string $paper): array
    {
        $page = 'letter' === $paper ? 175.0 : 190.0;
        $height = $stick->vessel->shape->heightMm();
        $parts = [];
        for ($low = 0.0, $i = 0; $low < $height - 1e-6; $low += $page, ++$i) {
            $high = min($height, $low + $page);
            $at = static fn (float $depth): float => round($high - $depth, 2);
            $on = static fn (array $mark): bool => $mark['depthMm'] > $low && $mark['depthMm'] <= $high + 0.01;
            $ticks = array_map(
                fn (array $m): array => [
                    'top' => $at($m['depthMm']),
                    'words' => $at($m['depthMm']) - 1.6,
                    'text' => $this->translator->trans('{n} l', ['{n}' => round($m['litres'], 2)]),
                    'what' => 'litres',
                ],
                array_values(array_filter($stick->litres, $on)),
            );
            $levels = array_map(
                fn (array $l): array => [
                    'top' => $at($l['depthMm']),
                    'words' => $at($l['depthMm']) - 1.8,
                    'text' => $this->says($l['what'], $l['label'], $l['depthMm']),
                    'what' => $l['what'],
                ],
                array_values(array_filter($stick->levels, $on)),
            );
            $parts[] = [
                'left' => self::PART_WIDTH * $i,
                'top' => self::HEAD + $page - ($high - $low),
                'height' => $high - $low,
                'ticks' => $ticks,
                'levels' => $this->apart($levels),
            ];
        }
        $ruler = array_map(static fn (int $cm): array => ['left' => 10.0 * $cm, 'height' => 0 === $cm % 5 ? 5.0 : 3.0], range(0, 10));

        return [
            'name' => $stick->vessel->name,
            'title' => $stick->title,
            'parts' => $parts,
            'rulerTop' => self::HEAD + $page + 12,
            'ruler' => $ruler,
        ];
    }

    private function says(string $what, string $step, float $depth): string
    {
        return $this->translator->trans(
            match ($what) {
                'begin' => '{step} begins · {depth} mm',
                'stop' => 'STOP {step} · {depth} mm',
                default => 'never above · {depth} mm',
            },
            ['{step}' => $step, '{depth}' => round($depth)],
        );
    }

    /**
     * @param list<Words> $levels
     *
     * @return list<Words> from the top down, their words moved so that each can be read
     */
    private function apart(array $levels): array
    {
        usort($levels, static fn (array $a, array $b): int => $a['top'] <=> $b['top']);
        $free = -\INF;
        foreach ($levels as $i => $level) {
            $levels[$i]['words'] = max($level['words'], $free);
            $free = $levels[$i]['words'] + self::APART;
        }

        return $levels;
    }
}
