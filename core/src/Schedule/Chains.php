<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/**
 * Hands on the units of a place that several use beside each other: each use takes them from others before it in the order, so that
 * turns alone keep the place from being overfilled (Policella, Smith, Cesta and Oddo 2004).
 */
final readonly class Chains
{
    /** @param int $room units there are */
    public function __construct(private int $room)
    {
    }

    /**
     * @param list<int> $order  uses
     * @param list<int> $units  that each takes; no more than there are
     * @param list<int> $starts as the times are now
     * @param list<int> $ends
     *
     * @return array<int, array<int, true>> from whom to whom something is handed on
     */
    public function through(array $order, array $units, array $starts, array $ends): array
    {
        $handed = $heads = $endOf = [];
        $free = $this->room;
        foreach ($order as $k => $use) {
            $over = $under = [];
            foreach ($heads as $head => $_) {
                if ($endOf[$head] <= $starts[$k]) {
                    $over[$head] = -$endOf[$head];
                } else {
                    $under[$head] = $endOf[$head];
                }
            }
            asort($over);
            asort($under);
            // From those that were over last, so that the others stay for who comes next; then what is free, then what must be waited for.
            $lacks = self::handOn($handed, $heads, array_keys($over), $use, $units[$k]);
            $unused = min($free, $lacks);
            $free -= $unused;
            self::handOn($handed, $heads, array_keys($under), $use, $lacks - $unused);
            $heads[$use] = $units[$k];
            $endOf[$use] = $ends[$k];
        }

        return $handed;
    }

    /**
     * @param array<int, array<int, true>> $handed
     * @param array<int, int>              $heads  units by the use that has them
     * @param list<int>                    $from
     *
     * @return int what is still lacking
     */
    private static function handOn(array &$handed, array &$heads, array $from, int $use, int $units): int
    {
        foreach ($from as $head) {
            if (0 === $units) {
                break;
            }
            $more = min($heads[$head], $units);
            $units -= $more;
            $handed[$head][$use] = true;
            $heads[$head] -= $more;
            if (0 === $heads[$head]) {
                unset($heads[$head]);
            }
        }

        return $units;
    }
}
