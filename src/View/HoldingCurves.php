<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Flow\Exemption;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\Holds;
use FeastLadle\Standing\HoldTask;
use FeastLadle\Standing\HoldTaskKind;
use FeastLadle\Standing\HoldTasks;
use FeastLadle\Standing\Place;
use FeastLadle\Standing\Reading;
use FeastLadle\Standing\Walk;
use FeastLadle\Words\Sentence;

/**
 * How warm each sweet is from its first heating until the last eat of it, drawn as a line over the band in which it must not stand long.
 *
 * @phpstan-type Curve array{held: HeldDish, from: \DateTimeImmutable, until: \DateTimeImmutable, begins: float, ends: float,
 *     points: string,
 *     ready: float, place: Sentence, state: string, why: Sentence|null, tasks: list<array{at: \DateTimeImmutable, say: Sentence}>}
 */
final readonly class HoldingCurves
{
    public const WIDTH = 300.0;
    public const HEIGHT = 66.0;

    private const WORDS_BELOW = 12.0;

    /** °C at the top; hotter is drawn there. */
    private const TOP = 110.0;

    public function __construct(private Larder $larder)
    {
    }

    /** @return array{width: float, height: float, hot: float, hotWords: float, cold: float, curves: list<Curve>} */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $walk = Walk::through($open->feast, $plan, $open->kitchen, $this->larder);
        $tasks = new HoldTasks($open->feast, $plan, $open->kitchen, $this->larder);

        return [
            'width' => self::WIDTH,
            'height' => self::HEIGHT,
            'hot' => self::y(TwoClocks::HOT_CELSIUS),
            'hotWords' => self::y(TwoClocks::HOT_CELSIUS) + self::WORDS_BELOW,
            'cold' => self::y(TwoClocks::COLD_CELSIUS),
            'curves' => array_map(
                fn (HeldDish $h): array => $this->curve($h, $tasks->of($h), $plan, $open),
                Holds::of($open->feast, $plan, $walk, $open->kitchen, $this->larder),
            ),
        ];
    }

    /**
     * @param list<HoldTask> $tasks
     *
     * @return Curve
     */
    private function curve(HeldDish $held, array $tasks, Plan $plan, OpenFeast $open): array
    {
        $all = [...$held->last->readings, ...$held->readings];
        $first = $all[0]->minute;
        $end = $held->readings[\count($held->readings) - 1];
        $x = static fn (float $minute): float => round((self::WIDTH * ($minute - $first)) / max(1.0, $end->minute - $first), 1);
        $at = static fn (float $minute): \DateTimeImmutable => $plan->origin->modify('+'.(int) round($minute).' minutes');

        return [
            'held' => $held,
            'from' => $at($held->readings[0]->minute),
            'until' => $at($end->minute),
            'begins' => $held->readings[0]->celsius,
            'ends' => $end->celsius,
            'points' => implode(' ', array_map(static fn (Reading $r): string => $x($r->minute).','.self::y($r->celsius), $all)),
            'ready' => $x($held->readings[0]->minute),
            'place' => match ($held->place) {
                Place::Fire => new Sentence('on a low flame, {fire}', ['fire' => $open->kitchen->burners[$held->fire]->name]),
                Place::Warm => new Sentence('in the warm place'),
                Place::Cold => new Sentence('in the cold'),
                default => null === $held->vessel
                    ? new Sentence('in the room')
                    : new Sentence('in the room, in {vessel}', ['vessel' => $held->vessel->name]),
            },
            'tasks' => array_map(fn (HoldTask $t): array => ['at' => $at($t->minute), 'say' => $this->task($t)], $tasks),
            'state' => match (true) {
                null !== $held->exempt => 'exempt',
                $held->isTooLong() => 'stops',
                $held->warns() => 'warns',
                default => 'fine',
            },
            'why' => match ($held->exempt) {
                null => null,
                Exemption::NeverHeated => new Sentence('nothing wet was heated for it'),
                Exemption::Fat => new Sentence('it is nearly all fat'),
                Exemption::Dry => new Sentence('it is dry'),
                Exemption::Sweet => new Sentence('it is sweet enough to keep'),
                Exemption::Claim => new Sentence('by the recipe it keeps; nobody has measured that'),
            },
        ];
    }

    private function task(HoldTask $task): Sentence
    {
        return match ($task->kind) {
            HoldTaskKind::Reheat => new Sentence('by then heat it again, to {celsius} °C', ['celsius' => (int) HoldTask::REHEAT_CELSIUS]),
            HoldTaskKind::Loosen => new Sentence('{liquid}, hot: about {amount} to loosen it, unless it was stopped looser', [
                'amount' => AmountWriter::weight(self::roughly($task->grams ?? 0.0)),
                'liquid' => $this->larder->get((string) $task->ingredient)->name,
            ]),
        };
    }

    /** What is only an estimate, to two digits. */
    private static function roughly(float $grams): float
    {
        return $grams < 10 ? round($grams) : round($grams, 1 - (int) floor(log10($grams)));
    }

    private static function y(float $celsius): float
    {
        return round(self::HEIGHT * (1 - max(0.0, min(self::TOP, $celsius)) / self::TOP), 1);
    }
}
