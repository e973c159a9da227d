<?php

declare(strict_types=1);

namespace App\Tests\Plan;

/**
 * Checks a plan's document as an experienced cook would, from the document and the kitchen alone. It shares nothing with what it checks:
 * every law is written out here once more.
 *
 * @phpstan-type Doc array<string, mixed>
 */
final class PlanChecker
{
    private const EFFICIENCY = ['gas' => 0.45, 'induction' => 0.85, 'wood' => 0.2];
    private const FLAME = ['none' => 0.0, 'low' => 0.25, 'medium' => 0.5, 'high' => 1.0];

    /** Net power is known to a fifth; heat that is short by less is no fault. */
    private const HEAT_SHORT = 0.9;

    /** @var list<string> */
    private array $faults = [];

    /** @var array<string, array<string, mixed>> */
    private array $steps = [];

    /**
     * @param Doc $plan
     * @param Doc $kitchen
     */
    private function __construct(private readonly array $plan, private readonly array $kitchen)
    {
        foreach ($this->rows($plan, 'steps') as $step) {
            $this->steps[$this->text($step, 'step')] = $step;
        }
    }

    /**
     * @param Doc $plan    as ladle:plan prints it
     * @param Doc $kitchen its document
     *
     * @return list<string> what a cook would not sign, with its place
     */
    public static function faults(array $plan, array $kitchen): array
    {
        $checker = new self($plan, $kitchen);
        foreach ($checker->steps as $id => $step) {
            $checker->mass($id, $step);
            $checker->warmth($id, $step);
            $checker->heat($id, $step);
            $checker->vessels($id, $step);
            $checker->sources($id, $step);
        }
        $checker->takenTogether();
        $checker->fires();
        $checker->places();
        $checker->hands();
        $checker->holds();
        $checker->dishes();

        return $checker->faults;
    }

    /** @param Doc $step */
    private function mass(string $id, array $step): void
    {
        $sure = $reserve = 0.0;
        foreach ($this->rows($step, 'takes') as $take) {
            if (true === ($take['reserve'] ?? false)) {
                $reserve += $this->number($take, 'grams');
            } else {
                $sure += $this->number($take, 'grams');
            }
        }
        $in = $this->number($this->row($step, 'in'), 'grams');
        $little = 0.5 + 0.002 * $in;
        if ($in < $sure - $little || $in > $sure + $reserve + $little) {
            $this->fault('%s: %.1f g stand in it, but %.1f g (and %.1f in reserve) go in', $id, $in, $sure, $reserve);
        }
        $out = array_sum(array_map(fn (array $o): float => $this->number($o, 'grams'), $this->rows($step, 'out')));
        $waste = array_sum(array_map(fn (array $w): float => $this->number($w, 'grams'), $this->rows($step, 'waste')));
        $off = $this->number($step, 'waterOffGrams');
        if (abs($in - $out - $waste - $off) > $little) {
            $this->fault('%s: %.1f g go in, %.1f come out, %.1f waste, %.1f steam', $id, $in, $out, $waste, $off);
        }
        foreach ($this->rows($step, 'out') as $each) {
            if ($this->number($each, 'waterGrams') < -$little || $this->number($each, 'grams') < 0) {
                $this->fault('%s: less than nothing comes out', $id);
            }
        }
    }

    /** @param Doc $step */
    private function warmth(string $id, array $step): void
    {
        $room = $this->number($this->kitchen, 'roomCelsius', 28.0);
        $warmths = [];
        foreach ($this->rows($step, 'takes') as $take) {
            if (true !== ($take['topUp'] ?? false)) {
                $warmths[] = $this->number($take, 'celsius');
            }
        }
        $in = $this->number($this->row($step, 'in'), 'celsius');
        if ([] !== $warmths && ($in < min($warmths) - 0.6 || $in > max($warmths) + 0.6)) {
            $this->fault('%s: a mixture of %s °C is not %.1f °C warm', $id, implode(', ', $warmths), $in);
        }
        foreach ($this->rows($step, 'out') as $out) {
            $celsius = $this->number($out, 'celsius');
            if (null === $step['fire'] && $celsius > max($in, $room) + 0.6) {
                $this->fault('%s: it grows warmer by itself, from %.1f to %.1f °C', $id, $in, $celsius);
            }
            if (
                null === $step['fire']
                && 'chill' !== $step['process']
                && $celsius < min($in, 'ice-bath' === ($step['medium'] ?? null) ? 3.0 : $room) - 0.6
            ) {
                $this->fault('%s: it grows colder than the room, %.1f °C', $id, $celsius);
            }
        }
        // A kilo of hot mass is not at the warmth of the room because a knife touched it.
        $out = $this->rows($step, 'out')[0] ?? null;
        $minutes = $this->list($step, 'minutes')[1] ?? 0;
        if (
            null !== $out
            && \in_array($step['process'], ['shape', 'cut', 'part', 'set', 'mix-in', 'portion'], true)
            && is_numeric($minutes)
            && $minutes < 10
            && $this->number($out, 'pieces') < 1
            && $this->number($out, 'grams') > 1000
            && $in > $room + 30
            && $this->number($out, 'celsius') < $room + 5
        ) {
            $this->fault('%s: a hot kilo is cold in %d min', $id, $minutes);
        }
    }

    /** @param Doc $step */
    private function heat(string $id, array $step): void
    {
        $fire = $step['fire'];
        if (!\is_string($fire)) {
            if ('none' !== $step['flame']) {
                $this->fault('%s: a flame without a fire', $id);
            }

            return;
        }
        $burner = null;
        foreach ($this->rows($this->kitchen, 'burners') as $each) {
            $burner = $each['id'] === $fire ? $each : $burner;
        }
        if (null === $burner) {
            $this->fault('%s: there is no fire "%s"', $id, $fire);

            return;
        }
        $gives =
            $this->number($burner, 'kilowatts') *
            self::EFFICIENCY[$this->text($burner, 'fuel')] *
            self::FLAME[$this->text($step, 'flame')];
        $net = $this->number($step, 'netKw');
        if ($net > $gives + 0.01) {
            $this->fault('%s: %.2f kW reach it, the fire gives %.2f', $id, $net, $gives);
        }
        $minutes = $this->minutes($this->text($step, 'start'), $this->text($step, 'end'));
        $there = $net * 60 * $minutes;
        $in = $this->row($step, 'in');
        $fried = \in_array($step['process'], ['deep-fry', 'shallow-fry'], true);
        $hot = $fried ? 95.0 : max(array_map(fn (array $o): float => $this->number($o, 'celsius'), $this->rows($step, 'out')) ?: [0.0]);
        $heat = $this->capacity($in) * max(0.0, $hot - $this->number($in, 'celsius')) + 2.257 * $this->number($step, 'waterOffGrams');
        if ($there < self::HEAT_SHORT * $heat - 5) {
            $this->fault('%s: it takes %.0f kJ; %.2f kW give %.0f in %d min', $id, $heat, $net, $there, $minutes);
        }
    }

    /**
     * kJ a degree, from what it is made of.
     *
     * @param Doc $contents
     */
    private function capacity(array $contents): float
    {
        $water = $this->number($contents, 'waterGrams');
        $fat = $this->number($contents, 'fatGrams');
        $sugar = $this->number($contents, 'sugarGrams');
        $rest = max(0.0, $this->number($contents, 'grams') - $water - $fat - $sugar);

        return (4.18 * $water + 2.0 * $fat + 1.25 * $sugar + 1.6 * $rest) / 1000;
    }

    /** @param Doc $step */
    private function vessels(string $id, array $step): void
    {
        $there = [];
        foreach ($this->rows($this->kitchen, 'vessels') as $vessel) {
            $there[$this->text($vessel, 'id')] = $this->row($vessel, 'shape');
        }
        $used = $this->rows($step, 'vessels');
        foreach ($used as $use) {
            $vessel = $this->text($use, 'vessel');
            if (!isset($there[$vessel])) {
                $this->fault('%s: there is no vessel "%s"', $id, $vessel);
                continue;
            }
            if ($this->number($use, 'fill') > $this->number($use, 'limit') + 0.001) {
                $this->fault(
                    '%s: %s is %.0f %% full, above %.0f %%',
                    $id,
                    $vessel,
                    100 * $this->number($use, 'fill'),
                    100 * $this->number($use, 'limit'),
                );
            }
            if ($this->number($use, 'depthMm') > $this->number($there[$vessel], 'heightMm') + 0.1) {
                $this->fault('%s: it stands above the brim of %s', $id, $vessel);
            }
            $brimful = self::brimfulMl($there[$vessel]);
            $told = $this->number($use, 'fill') * $brimful * \count($used);
            $stands = $this->number($this->row($step, 'in'), 'millilitres');
            $byLoads = \in_array($step['process'], ['deep-fry', 'shallow-fry', 'steam', 'griddle', 'grind', 'dunk'], true);
            if (!$byLoads && $stands > 1.02 * $told + 5) {
                $this->fault('%s: %.0f ml stand in it, but %s is said to hold %.0f', $id, $stands, $vessel, $told);
            }
        }
    }

    /** @param Doc $shape */
    private static function brimfulMl(array $shape): float
    {
        $mm = static function (string $name) use ($shape): float {
            $value = $shape[$name] ?? 0.0;

            return is_numeric($value) ? (float) $value : 0.0;
        };
        $h = $mm('heightMm');

        return match ($shape['form']) {
            'straight' => (\M_PI * ($mm('diameterMm') / 2) ** 2 * $h) / 1000,
            'box' => ($mm('lengthMm') * $mm('widthMm') * $h) / 1000,
            'tapered' => (\M_PI *
                $h *
                (($mm('baseMm') / 2) ** 2 + ($mm('baseMm') / 2) * ($mm('rimMm') / 2) + ($mm('rimMm') / 2) ** 2)) /
                3000,
            default => (\M_PI * $h * (3 * ($mm('rimMm') / 2) ** 2 + $h ** 2)) / 6000,
        };
    }

    /** @param Doc $step */
    private function sources(string $id, array $step): void
    {
        foreach ($this->rows($step, 'takes') as $take) {
            $from = $take['from'] ?? ($take['step'] ?? null);
            if (!\is_string($from)) {
                continue;
            }
            $source = $this->steps[$from] ?? null;
            if (null === $source) {
                $this->fault('%s takes from "%s", which is not in the plan', $id, $from);
                continue;
            }
            if (
                $this->text($source, 'end') > $this->text($step, 'end')
                || $this->text($source, 'start') > $this->text($step, 'start')
            ) {
                $this->fault('%s takes from %s before it is there', $id, $from);
            }
            $gave = max(array_map(fn (array $o): float => $this->number($o, 'celsius'), $this->rows($source, 'out')) ?: [0.0]);
            $room = $this->number($this->kitchen, 'roomCelsius', 28.0);
            if ($this->number($take, 'celsius') > max($gave, $room) + 0.6) {
                $this->fault('%s: from %s it comes warmer than it was', $id, $from);
            }
        }
        $window = $step['window'] ?? null;
        if (
            \is_array($window)
            && $this->text($step, 'start') > ($window['latestStart'] ?? '')
            && 0 === ($window['overrunMinutes'] ?? 0)
        ) {
            $this->fault('%s: its window is over and nothing says so', $id);
        }
    }

    /** No output is taken twice. */
    private function takenTogether(): void
    {
        $taken = [];
        foreach ($this->steps as $step) {
            foreach ($this->rows($step, 'takes') as $take) {
                if (\is_string($take['from'] ?? null)) {
                    $output = \is_string($take['output'] ?? null) ? $take['output'] : '';
                    $taken[$take['from']][$output] = ($taken[$take['from']][$output] ?? 0.0) + $this->number($take, 'grams');
                }
            }
        }
        foreach ($taken as $from => $outputs) {
            foreach ($this->rows($this->steps[$from] ?? [], 'out') as $out) {
                $output = \is_string($out['id'] ?? null) ? $out['id'] : '';
                $there = $this->number($out, 'grams');
                if (($outputs[$output] ?? 0.0) > 1.005 * $there + 0.5) {
                    $this->fault('%s gives %.1f g, and %.1f are taken', $from, $there, $outputs[$output]);
                }
            }
        }
    }

    /** One pot on a fire at a time. */
    private function fires(): void
    {
        $uses = [];
        foreach ($this->steps as $id => $step) {
            if (\is_string($step['fire'])) {
                $vessel = $this->text($this->rows($step, 'vessels')[0] ?? [], 'vessel');
                $uses[$step['fire']][] = [$this->text($step, 'start'), $this->text($step, 'end'), $vessel, $id];
            }
        }
        foreach ($uses as $fire => $rows) {
            $this->noTwoAtOnce('fire '.$fire, $rows);
        }
    }

    /** A vessel holds one thing at a time. */
    private function places(): void
    {
        $uses = [];
        foreach ($this->steps as $id => $step) {
            foreach ($this->rows($step, 'vessels') as $vessel) {
                $uses[$this->text($vessel, 'vessel')][] = [
                    $this->text($step, 'start'),
                    $this->text($step, 'end'),
                    $this->text($step, 'dish').'/'.$this->text($step, 'batch'),
                    $id,
                ];
            }
        }
        foreach ($this->rows($this->plan, 'waits') as $wait) {
            $step = $this->steps[explode(':', $this->text($wait, 'of'))[0]] ?? null;
            if (null !== $step && \is_string($wait['vessel'])) {
                $uses[$wait['vessel']][] = [
                    $this->text($wait, 'from'),
                    $this->text($wait, 'until'),
                    $this->text($step, 'dish').'/'.$this->text($step, 'batch'),
                    'what '.$this->text($wait, 'of').' gave',
                ];
            }
        }
        foreach ($uses as $vessel => $rows) {
            $this->noTwoAtOnce('vessel '.$vessel, $rows);
        }
    }

    /** @param list<array{string, string, string, string}> $rows start, end, what it is, step */
    private function noTwoAtOnce(string $thing, array $rows): void
    {
        sort($rows);
        foreach ($rows as $i => [, $end, $what, $id]) {
            foreach (\array_slice($rows, $i + 1) as [$start, , $other, $next]) {
                if ($start < $end && $what !== $other) {
                    $this->fault('%s: %s and %s at once', $thing, $id, $next);
                }
            }
        }
    }

    /** Nobody gives more than all of themselves, and nobody holds two spoons. */
    private function hands(): void
    {
        $people = [];
        foreach ($this->steps as $id => $step) {
            foreach ($this->rows($step, 'people') as $one) {
                $people[$this->text($one, 'person')][] = [
                    $this->text($one, 'from'),
                    $this->text($one, 'until'),
                    $this->number($one, 'percent'),
                    $id,
                ];
            }
            if ('none' !== $step['attention'] && [] === $this->rows($step, 'people')) {
                $this->fault('%s: nobody is there', $id);
            }
        }
        foreach ($people as $person => $rows) {
            foreach ($rows as [$start, , , $id]) {
                $together = array_filter($rows, static fn (array $r): bool => $r[0] <= $start && $start < $r[1]);
                $percent = array_sum(array_column($together, 2));
                if ($percent > 100.001) {
                    $this->fault(
                        '%s at %s: %d %% of one person, %s',
                        $person,
                        $start,
                        $percent,
                        implode(', ', array_column($together, 3)),
                    );
                }
                $spoons = array_filter($together, static fn (array $r): bool => $r[2] >= 75);
                if (\count($spoons) > 1) {
                    $this->fault('%s at %s holds two spoons: %s', $person, $start, implode(', ', array_column($spoons, 3)));
                }
            }
        }
    }

    /** What is heated wet stands no longer than four hours between hot and cold, or the plan says so. */
    private function holds(): void
    {
        $said = [];
        foreach ($this->rows($this->plan, 'obstacles') as $obstacle) {
            $said[$this->text($obstacle, 'dish')][$this->text($obstacle, 'kind')] = true;
        }
        foreach ($this->rows($this->plan, 'holds') as $hold) {
            $dish = $this->text($hold, 'dish');
            [$begin, $end] = array_map(
                static fn (mixed $c): float => is_numeric($c) ? (float) $c : 0.0,
                $this->list($hold, 'celsius'),
            ) + [0.0, 0.0];
            $minutes = $this->minutes($this->text($hold, 'from'), $this->text($hold, 'until'));
            $band = $this->number($hold, 'bandMinutes');
            if ($begin < 60 && $begin > 5 && $end < 60 && $end > 5 && $band < $minutes - 1 && 'never heated' !== $hold['exempt']) {
                $this->fault('%s: held at %.0f to %.0f °C for %d min, of which %d are counted', $dish, $begin, $end, $minutes, $band);
            }
            if (null === $hold['exempt'] && $band > 240 && !isset($said[$dish]['clock'])) {
                $this->fault('%s: %d min between hot and cold, and nothing is said', $dish, $band);
            }
            if ($band > 240 && null === $hold['exempt'] && 'not-in-time' !== $this->plan['word']) {
                $this->fault('the plan is called "%s" with a clock broken', $this->text($this->plan, 'word'));
            }
        }
    }

    private function dishes(): void
    {
        foreach ($this->rows($this->plan, 'dishes') as $dish) {
            $id = $this->text($dish, 'id');
            $cooked = array_filter($this->steps, static fn (array $s): bool => $s['dish'] === $id);
            if (true === $dish['leftOut'] && [] !== $cooked) {
                $this->fault('%s is left out and stands in the steps', $id);
            }
            if (false === $dish['leftOut'] && [] === $cooked) {
                $this->fault('%s is not left out and nobody cooks it', $id);
            }
            foreach ($this->rows($dish, 'batches') as $batch) {
                $served = array_sum(array_map(fn (array $s): float => $this->number($s, 'grams'), $this->rows($batch, 'serves')));
                if ($served > $this->number($batch, 'grams') + 0.5) {
                    $this->fault('%s/%s serves more than there is', $id, $this->text($batch, 'batch'));
                }
            }
            $made = array_sum(
                array_map(
                    fn (array $b): float => 'g' === $dish['unit'] ? $this->number($b, 'grams') : $this->number($b, 'pieces'),
                    $this->rows($dish, 'batches'),
                ),
            );
            if (false === $dish['leftOut'] && $made < 0.995 * $this->number($dish, 'need') - 0.5) {
                $this->fault('%s: %.0f are made, %.0f needed', $id, $made, $this->number($dish, 'need'));
            }
            foreach ($this->rows($dish, 'pots') as $pot) {
                $step = $this->steps[$id.'/'.$this->text($pot, 'batch').'/'.$this->text($pot, 'step')] ?? [];
                $vessels = array_map(fn (array $v): string => $this->text($v, 'vessel'), $this->rows($step, 'vessels'));
                if ($vessels !== $this->list($pot, 'vessels')) {
                    $this->fault('%s: summary and step %s name two pots', $id, $this->text($pot, 'step'));
                }
            }
        }
    }

    private function minutes(string $from, string $until): float
    {
        return ((new \DateTimeImmutable($until))->getTimestamp() - (new \DateTimeImmutable($from))->getTimestamp()) / 60;
    }

    private function fault(string $message, string|float|int ...$values): void
    {
        $this->faults[] = \sprintf($message, ...$values);
    }

    /**
     * @param Doc $of
     *
     * @return list<array<string, mixed>>
     */
    private function rows(array $of, string $name): array
    {
        $rows = [];
        foreach (\is_array($of[$name] ?? null) ? $of[$name] : [] as $row) {
            if (\is_array($row)) {
                /** @var array<string, mixed> $row */
                $rows[] = $row;
            }
        }

        return $rows;
    }

    /**
     * @param Doc $of
     *
     * @return array<string, mixed>
     */
    private function row(array $of, string $name): array
    {
        /** @var array<string, mixed> $row */
        $row = \is_array($of[$name] ?? null) ? $of[$name] : [];

        return $row;
    }

    /**
     * @param Doc $of
     *
     * @return list<mixed>
     */
    private function list(array $of, string $name): array
    {
        return array_values(\is_array($of[$name] ?? null) ? $of[$name] : []);
    }

    /** @param Doc $of */
    private function text(array $of, string $name): string
    {
        return \is_string($of[$name] ?? null) ? $of[$name] : '';
    }

    /** @param Doc $of */
    private function number(array $of, string $name, float $default = 0.0): float
    {
        return is_numeric($of[$name] ?? null) ? (float) $of[$name] : $default;
    }
}
