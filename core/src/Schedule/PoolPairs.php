<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** All uses of resources of a problem, and which two of them have to do with each other. */
final readonly class PoolPairs
{
    /**
     * @param list<PoolUse>              $uses
     * @param list<array{int, int, int}> $pairs two that no resource can serve at once, and the turnover at least
     * @param list<array{int, int}>      $mates two that choose from some of the same resources
     */
    private function __construct(public array $uses, public array $pairs, public array $mates)
    {
    }

    public static function of(Network $network): self
    {
        $uses = PoolUse::of($network);
        $pairs = $mates = [];
        foreach ($uses as $a => $first) {
            for ($b = 0; $b < $a; ++$b) {
                $common = array_intersect($network->options[$first->choice], $network->options[$uses[$b]->choice]);
                if ([] === $common) {
                    continue;
                }
                $mates[] = [$a, $b];
                $turnover = self::apart($network, $first, $uses[$b], $common);
                if (null !== $turnover) {
                    $pairs[] = [$a, $b, $turnover];
                }
            }
        }

        return new self($uses, $pairs, $mates);
    }

    /**
     * @param non-empty-array<int> $common resources that both may have
     *
     * @return int|null turnover at least between them; null where one resource can serve both at once
     */
    private static function apart(Network $n, PoolUse $first, PoolUse $second, array $common): ?int
    {
        foreach ($common as $r) {
            if ($first->units + $second->units <= $n->capacity[$r] || $first->members === $second->members) {
                return null;
            }
        }
        // Between a hold's own activities nothing is washed.
        $holds = static fn (PoolUse $use): array => array_merge(...array_map(static fn (int $i): array => $n->holdsOf[$i], $use->members));

        return [] === array_intersect($holds($first), $holds($second))
            ? min(array_map(static fn (int $r): int => $n->turnover[$r], $common))
            : 0;
    }
}
