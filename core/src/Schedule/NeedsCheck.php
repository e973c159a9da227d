<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Whether each need by itself can be met: enough resources with enough units. */
final readonly class NeedsCheck
{
    public function __construct(private Network $network)
    {
    }

    /** The first need that nothing in the kitchen can meet; null when all can be. */
    public function unmet(): ?Conflict
    {
        $n = $this->network;
        for ($i = 0; $i < $n->size; ++$i) {
            $unmet = $this->beyondUnits($n->needs[$i], [$n->ids[$i]]);
            if (null !== $unmet) {
                return $unmet;
            }
        }
        foreach ($n->holdNeeds as $h => $needs) {
            $unmet = $this->beyondUnits(
                array_map(static fn (array $need): array => [$need[0], $need[1], []], $needs),
                array_map(static fn (int $i): string => $n->ids[$i], $n->holdMembers[$h]),
            );
            if (null !== $unmet) {
                return $unmet;
            }
        }

        return null;
    }

    /**
     * @param list<array{int, int, array<int, int>}> $needs
     * @param list<string>                           $activities
     */
    private function beyondUnits(array $needs, array $activities): ?Conflict
    {
        $n = $this->network;
        foreach ($needs as [$choice, $units]) {
            $able = array_filter($n->options[$choice], static fn (int $r): bool => $n->capacity[$r] >= $units);
            if (\count($able) < $n->takes[$choice]) {
                return new Conflict(
                    ConflictKind::Need,
                    \sprintf(
                        '%d of these resources are wanted with %d units each, but only %d have that much',
                        $n->takes[$choice],
                        $units,
                        \count($able),
                    ),
                    $activities,
                    array_map(static fn (int $r): string => $n->resourceIds[$r], $n->options[$choice]),
                );
            }
        }
        $forced = [];
        foreach ($needs as [$choice, $units]) {
            if (\count($n->options[$choice]) === $n->takes[$choice]) {
                foreach ($n->options[$choice] as $r) {
                    $forced[$r] = ($forced[$r] ?? 0) + $units;
                    if ($forced[$r] > $n->capacity[$r]) {
                        return new Conflict(
                            ConflictKind::Need,
                            \sprintf('the needs of one add up to %d units where there are %d', $forced[$r], $n->capacity[$r]),
                            $activities,
                            [$n->resourceIds[$r]],
                        );
                    }
                }
            }
        }

        return null;
    }
}
