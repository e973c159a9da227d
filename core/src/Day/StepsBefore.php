<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\Plan;

/** Which steps of a plan must be over before another begins, by the links of its schedule. */
final readonly class StepsBefore
{
    /**
     * @param array<string, array<string, int>> $next   minutes to wait after each step directly before it, by step id
     * @param array<string, array<string, int>> $beside minutes to wait after the start of what must at least have begun
     */
    private function __construct(private array $next, private array $beside)
    {
    }

    public static function of(Plan $plan): self
    {
        $ids = $next = $beside = [];
        foreach ($plan->steps as $step) {
            $ids[$step->activity] = $step->key->id();
        }
        foreach ($plan->problem->links as $link) {
            if ($link->min < 0 || !isset($ids[$link->from], $ids[$link->to])) {
                continue;
            }
            if ($link->type->fromEnd() && !$link->type->toEnd()) {
                $next[$ids[$link->to]][$ids[$link->from]] = max($link->min, $next[$ids[$link->to]][$ids[$link->from]] ?? 0);
            } else {
                // What is tied end to end must have begun, too, whenever that was.
                $lag = $link->type->fromEnd() || $link->type->toEnd() ? 0 : $link->min;
                $beside[$ids[$link->to]][$ids[$link->from]] = max($lag, $beside[$ids[$link->to]][$ids[$link->from]] ?? 0);
            }
        }

        return new self($next, $beside);
    }

    /** @return array<string, int> minutes to wait after each that is directly before it, by id */
    public function next(string $id): array
    {
        return $this->next[$id] ?? [];
    }

    /** @return array<string, int> minutes to wait after the start of each that must have begun when it begins, by id */
    public function beside(string $id): array
    {
        return $this->beside[$id] ?? [];
    }

    /** @return list<string> before it, directly or through others */
    public function all(string $id): array
    {
        $seen = [];
        $stack = array_keys($this->next($id));
        while (null !== ($at = array_pop($stack))) {
            if (!isset($seen[$at])) {
                $seen[$at] = true;
                array_push($stack, ...array_keys($this->next($at)));
            }
        }

        return array_map(strval(...), array_keys($seen));
    }
}
