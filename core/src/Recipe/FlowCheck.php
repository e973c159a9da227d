<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;

/** Checks that the steps hang together, and puts them in flow order. */
final class FlowCheck
{
    /**
     * @param array<string, Step> $steps
     * @param array<string, Node> $nodes where each step stands in the document
     *
     * @return array<string, Step> every step after those it takes from; unchanged when a cycle was faulted
     */
    public function order(array $steps, array $nodes, string $result): array
    {
        $taken = [];
        $before = [];
        foreach ($steps as $id => $step) {
            $before[$id] = [];
            foreach ($step->takes as $take) {
                if (null === $take->fromStep) {
                    continue;
                }
                $place = $nodes[$id]->at('takes')->at($take->place);
                if (!isset($steps[$take->fromStep])) {
                    $place->at('from')->fault('There is no step "{id}".', ['id' => $take->fromStep]);
                    continue;
                }
                $before[$id][] = $take->fromStep;
                if ($this->isOutput($take, $steps[$take->fromStep], $place)) {
                    $taken[(string) $take->sourceKey()] = ($taken[(string) $take->sourceKey()] ?? 0.0) + $take->share;
                }
            }
            foreach ($step->ties as $tie) {
                if (!isset($steps[$tie->after])) {
                    $nodes[$id]
                        ->at('ties')
                        ->at($tie->place)
                        ->at('after')
                        ->fault('There is no step "{id}".', ['id' => $tie->after]);
                    continue;
                }
                $before[$id][] = $tie->after;
            }
            $this->checkVessel($step, $steps, $nodes[$id]);
            if ([] === $step->takes) {
                $nodes[$id]->at('takes')->fault('A step must take something.');
            }
        }
        foreach ($steps as $id => $step) {
            foreach ($this->keys($step) as $name => $key) {
                $this->checkShare($taken[$key] ?? 0.0, $id === $result, $name, $nodes[$id]);
            }
        }

        return $this->sorted($steps, $before, $nodes);
    }

    /** Whether a bowl names what the step really gives. */
    private function isOutput(Take $take, Step $source, Node $place): bool
    {
        if (null === $take->output) {
            if ([] !== $source->gives->outputs) {
                $place
                    ->at('from')
                    ->fault('"{id}" gives several things; say which "output": {known}.', [
                        'id' => $source->id,
                        'known' => implode(', ', array_keys($source->gives->outputs)),
                    ]);
            }

            return [] === $source->gives->outputs;
        }
        $output = $source->gives->outputs[$take->output] ?? null;
        if (null === $output) {
            $place->at('output')->fault('"{id}" has no output "{output}".', ['id' => $source->id, 'output' => $take->output]);
        } elseif ($output->waste) {
            $place->at('output')->fault('"{output}" is waste; nothing can take it.', ['output' => $take->output]);
        }

        return null !== $output && !$output->waste;
    }

    /** @return array<string, string> what a step gives and somebody must take: its name, and its key */
    private function keys(Step $step): array
    {
        if ([] === $step->gives->outputs) {
            return ['' => $step->id];
        }
        $keys = [];
        foreach ($step->gives->outputs as $output) {
            if (!$output->waste) {
                $keys[$output->id] = Output::key($step->id, $output->id);
            }
        }

        return $keys;
    }

    private function checkShare(float $share, bool $isResult, string $output, Node $node): void
    {
        $place = '' === $output ? $node : $node->at('outputs');
        if ($isResult) {
            if ($share > 0.0) {
                $place->fault('This step gives the dish; no other step may take from it.');
            }
            if ('' !== $output) {
                $place->fault('This step gives the dish, which is one thing; let another step divide it.');
            }

            return;
        }
        $of = '' === $output ? 'what this step gives' : '"'.$output.'"';
        $percent = ['of' => $of, 'percent' => round(100 * $share, 1)];
        match (true) {
            $share > 1.0011 => $place->fault('Of {of}, {percent} % are taken by later steps.', $percent),
            0.0 === $share => $place->fault('Nothing takes {of}.', $percent),
            $share < 0.9989 => $place->fault('Of {of}, only {percent} % are taken by later steps.', $percent),
            default => null,
        };
    }

    /** @param array<string, Step> $steps */
    private function checkVessel(Step $step, array $steps, Node $node): void
    {
        $former = $step->vessel?->continues;
        if (null === $former) {
            return;
        }
        $place = $node->at('vessel')->at('continues');
        if (!isset($steps[$former])) {
            $place->fault('There is no step "{id}".', ['id' => $former]);

            return;
        }
        if (null === $steps[$former]->vessel) {
            $place->fault('The step "{id}" uses no vessel that could go on.', ['id' => $former]);
        } elseif ($steps[$former]->vessel->kind !== $step->vessel->kind) {
            $place->fault('The step "{id}" uses a {kind}.', ['id' => $former, 'kind' => $steps[$former]->vessel->kind->value]);
        }
        if (!\in_array($former, $step->sources(), true)) {
            $place->fault('To go on in the vessel of "{id}", this step must take what stands in it.', ['id' => $former]);
        }
        if ($steps[$former]->work->once !== $step->work->once) {
            $place->fault('Steps in one vessel are done all once, or all for each batch.');
        }
        $others = 0;
        foreach ($steps as $other) {
            if ($other->vessel?->continues === $former) {
                ++$others;
            }
        }
        if ($others > 1) {
            $place->fault('Two steps want to go on in the vessel of "{id}".', ['id' => $former]);
        }
    }

    /**
     * @param array<string, Step>         $steps
     * @param array<string, list<string>> $before
     * @param array<string, Node>         $nodes
     *
     * @return array<string, Step>
     */
    private function sorted(array $steps, array $before, array $nodes): array
    {
        $sorted = [];
        $state = [];
        foreach (array_keys($steps) as $id) {
            $path = [];
            if (!$this->visit($id, $before, $state, $sorted, $path, $steps)) {
                $nodes[$path[0]]->fault('These steps wait for each other in a circle: {circle}.', ['circle' => implode(' → ', $path)]);

                return $steps;
            }
        }

        return $sorted;
    }

    /**
     * @param array<string, list<string>> $before
     * @param array<string, int>          $state  1 while on the path, 2 when sorted
     * @param array<string, Step>         $sorted
     * @param list<string>                $path   on failure: the circle
     * @param array<string, Step>         $steps
     */
    private function visit(string $id, array $before, array &$state, array &$sorted, array &$path, array $steps): bool
    {
        if (2 === ($state[$id] ?? 0)) {
            return true;
        }
        if (1 === ($state[$id] ?? 0)) {
            $path[] = $id;
            $from = array_search($id, $path, true);
            $path = \array_slice($path, false === $from ? 0 : $from);

            return false;
        }
        $state[$id] = 1;
        $path[] = $id;
        foreach ($before[$id] as $former) {
            if (!$this->visit($former, $before, $state, $sorted, $path, $steps)) {
                return false;
            }
        }
        array_pop($path);
        $state[$id] = 2;
        $sorted[$id] = $steps[$id];

        return true;
    }
}
