<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\Node;

/** Reads a stored solution. Whether it keeps its problem's rules is for the audit to say. */
final class SolutionReader
{
    private const FAR = 1_000_000_000;

    /** @throws FaultyDocument */
    public function fromNode(Node $root, Faults $faults): Solution
    {
        $activities = [];
        foreach ($root->at('activities')->fields(ProblemReader::MOST_ACTIVITIES) as $id => $node) {
            $activities[$id] = new Placement(
                $node->at('start')->int(-self::FAR, self::FAR),
                $node->at('end')->int(-self::FAR, self::FAR),
                $this->uses($node->at('uses')),
            );
        }
        $holds = [];
        foreach ($root->at('holds')->fields(ProblemReader::MOST_ACTIVITIES) as $id => $node) {
            $holds[$id] = $this->uses($node->at('uses'));
        }
        $conflicts = array_map(
            static fn (Node $c): Conflict => new Conflict($c->at('kind')->enum(ConflictKind::class), $c->at('text')->string('', 2000)),
            $root->at('conflicts')->items(),
        );
        $solution = new Solution(
            $root->at('status')->enum(SolutionStatus::class),
            $root->has('objective') ? $root->at('objective')->int(-\PHP_INT_MAX, \PHP_INT_MAX) : null,
            $root->has('bound') ? $root->at('bound')->int(-\PHP_INT_MAX, \PHP_INT_MAX) : null,
            $activities,
            $holds,
            $root->at('seed')->int(-\PHP_INT_MAX, \PHP_INT_MAX),
            $conflicts,
            0,
        );
        $faults->throwIfAny('schedule solution');

        return $solution;
    }

    /** @return list<list<string>> */
    private function uses(Node $node): array
    {
        return array_map(
            static fn (Node $need): array => array_map(static fn (Node $r): string => $r->string(), $need->items()),
            $node->items(),
        );
    }
}
