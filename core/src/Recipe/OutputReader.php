<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;
use FeastLadle\Larder\Larder;

/** What a step gives, when that is several things, and how things keep. */
final readonly class OutputReader
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return array<string, Output> by id */
    public function read(Node $list): array
    {
        $outputs = [];
        $sum = 0.0;
        foreach ($list->items(8) as $node) {
            $node->object(['id', 'name', 'share', 'is', 'drinks', 'as', 'waste', 'keeping']);
            $id = $node->at('id')->id();
            $as = $node->has('as') ? $node->at('as')->id() : null;
            if (null !== $as && '' !== $as && !$this->larder->knows($as)) {
                $node->at('as')->fault('The larder holds no "{id}".', ['id' => $as]);
            }
            if (isset($outputs[$id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $id]);
            }
            if ($node->has('share') === $node->has('is')) {
                $node->fault('An output has either a "share" or says what it "is".');
            }
            if ($node->has('is') && 'share' === $node->at('is')->string()) {
                $node->at('is')->fault('It is pieces, solids or the rest; a share is told by "share".');
            }
            $kind = $node->has('is') ? $node->at('is')->enum(OutputKind::class) : OutputKind::Share;
            if ($node->has('drinks') && !$kind->isLifted()) {
                $node->at('drinks')->fault('Only what is lifted out drinks of the rest.');
            }
            $outputs[$id] = new Output(
                $id,
                OutputKind::Share === $kind ? $node->at('share')->number(0.001, 1) : 0.0,
                $as,
                $node->at('waste')->bool(false),
                $node->at('name')->string('', 60),
                $kind,
                $node->at('drinks')->number(0, 3, 0.0),
                self::keeping($node->at('keeping')),
            );
            $sum += $outputs[$id]->share;
        }
        $lifted = \count(array_filter($outputs, static fn (Output $o): bool => $o->kind->isLifted()));
        $rests = \count(array_filter($outputs, static fn (Output $o): bool => OutputKind::Rest === $o->kind));
        if ($lifted + $rests > 0) {
            if (1 !== $lifted || 1 !== $rests || 2 !== \count($outputs)) {
                $list->fault('What is lifted out leaves the rest: one output that is pieces or solids, and one that is the rest.');
            }
        } elseif ([] !== $outputs && abs($sum - 1) > 0.0011) {
            $list->fault('The outputs share what is there; together they make {percent} %, not 100.', ['percent' => round(100 * $sum, 1)]);
        }

        return $outputs;
    }

    public static function keeping(Node $node): ?Keeping
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['minutes', 'place', 'container', 'enemies', 'thickens']);

        return new Keeping(
            $node->at('minutes')->int(1, 100000),
            $node->at('place')->enum(KeepingPlace::class),
            $node->at('container')->string('', 80),
            array_map(static fn (Node $n): KeepingEnemy => $n->enum(KeepingEnemy::class), $node->at('enemies')->items(6)),
            $node->at('thickens')->bool(false),
        );
    }
}
