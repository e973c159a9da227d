<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Which groups stand in each other's way: by a link, by a resource both may take, or by a hold. */
final readonly class Neighbours
{
    /**
     * @param list<list<int>> $of     groups by group
     * @param list<list<int>> $before groups that lead up to a group
     */
    private function __construct(public array $of, public array $before)
    {
    }

    public static function of(Network $network, Groups $groups): self
    {
        $onResource = [];
        $near = array_fill(0, \count($groups->members), []);
        foreach ($groups->groupOf as $i => $g) {
            foreach ($network->needs[$i] as [$choice]) {
                foreach ($network->options[$choice] as $r) {
                    $onResource[$r][$g] = $g;
                }
            }
        }
        foreach ($network->holdMembers as $h => $members) {
            foreach ($network->holdNeeds[$h] as [$choice]) {
                foreach ($network->options[$choice] as $r) {
                    foreach ($members as $i) {
                        $onResource[$r][$groups->groupOf[$i]] = $groups->groupOf[$i];
                    }
                }
            }
        }
        foreach ($onResource as $users) {
            foreach ($users as $g) {
                $near[$g] += $users;
            }
        }
        foreach ($network->links as [$from, $to]) {
            $a = $groups->groupOf[$from];
            $b = $groups->groupOf[$to];
            $near[$a][$b] = $b;
            $near[$b][$a] = $a;
        }
        foreach ($near as $g => $others) {
            unset($near[$g][$g]);
        }

        $before = array_fill(0, \count($groups->members), []);
        foreach ($groups->successors as $g => $successors) {
            foreach ($successors as $next) {
                $before[$next][] = $g;
            }
        }

        return new self(array_map(array_values(...), $near), $before);
    }
}
