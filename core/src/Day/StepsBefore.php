<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Solving\Plan;

/** Which steps of a plan must be over before another begins, by the links of its schedule. */
final readonly class StepsBefore
{
    /**
     * @param array<string, list<string>> $next   step ids directly before a step, by its id
     * @param array<string, list<string>> $beside that must at least have begun
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
                $next[$ids[$link->to]][$ids[$link->from]] = $ids[$link->from];
            } else {
                $beside[$ids[$link->to]][$ids[$link->from]] = $ids[$link->from];
            }
        }

        return new self(array_map(array_values(...), $next), array_map(array_values(...), $beside));
    }

    /** @return list<string> directly before it */
    public function next(string $id): array
    {
        return $this->next[$id] ?? [];
    }

    /** @return list<string> that must have begun when it begins */
    public function beside(string $id): array
    {
        return $this->beside[$id] ?? [];
    }

    /** @return list<string> before it, directly or through others */
    public function all(string $id): array
    {
        $seen = [];
        $stack = $this->next($id);
        while (null !== ($at = array_pop($stack))) {
            if (!isset($seen[$at])) {
                $seen[$at] = true;
                array_push($stack, ...$this->next($at));
            }
        }

        return array_map(strval(...), array_keys($seen));
    }
}
