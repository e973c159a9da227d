<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

use FeastLadle\Document\Node;

/** Reads the schools, exclusions and dials of a recipe document. */
final class SchoolsReader
{
    /** So many different flows of one recipe are checked one by one. */
    public const MOST_COMBINATIONS = 128;

    /** Resolves choices against the document: each school whose question arises gets the chosen option, or its usual one. */
    public function read(Node $root, Choices $choices): ChosenWay
    {
        $schools = $this->schools($root->at('schools'));
        $options = [];
        foreach ($schools as $school) {
            if (ChosenWay::meets($school->when, $options)) {
                $chosen = $choices->schools[$school->id] ?? $school->usual();
                $options[$school->id] = isset($school->options[$chosen]) ? $chosen : $school->usual();
            }
        }

        return new ChosenWay(
            $schools,
            $options,
            $this->dials($root),
            $this->exclusions($root->at('excludes'), $schools),
            $choices,
            $this->optional($root->at('steps')),
        );
    }

    /** @return array<string, array{title: string, loses: string}> by id */
    private function optional(Node $steps): array
    {
        $optional = [];
        foreach ($steps->items() as $step) {
            if ($step->has('may') && $step->at('may')->bool(false)) {
                $optional[$step->at('id')->text()] = ['title' => $step->at('title')->text(), 'loses' => $step->at('loses')->text()];
            }
        }

        return $optional;
    }

    /** @return list<School> */
    private function schools(Node $list): array
    {
        $schools = [];
        $ids = [];
        foreach ($list->items(12) as $node) {
            $node->object(['id', 'question', 'options', 'when']);
            $id = $node->at('id')->id();
            if (isset($ids[$id])) {
                $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $id]);
            }
            $ids[$id] = true;
            $options = [];
            foreach ($node->at('options')->items(8, 2) as $option) {
                $option->object(['id', 'name', 'why', 'loses']);
                $read = new SchoolOption(
                    $option->at('id')->id(),
                    $option->at('name')->string(null, 100),
                    $option->at('why')->string(null, 300),
                    $option->has('loses') ? $option->at('loses')->string(null, 200) : '',
                );
                if (isset($options[$read->id])) {
                    $option->at('id')->fault('The id "{id}" is used twice.', ['id' => $read->id]);
                }
                $options[$read->id] = $read;
            }
            $school = new School(
                $id,
                $node->at('question')->string(null, 150),
                $options,
                ChosenWay::conditions($node->at('when'), $schools),
            );
            if ([] !== $options) {
                $schools[] = $school;
            }
        }

        return $schools;
    }

    /**
     * @param list<School> $schools
     *
     * @return list<Exclusion>
     */
    private function exclusions(Node $list, array $schools): array
    {
        return array_map(static function (Node $node) use ($schools): Exclusion {
            $node->object(['when', 'why']);
            if (!$node->has('when')) {
                $node->at('when')->fault('This field is missing.');
            }

            return new Exclusion(ChosenWay::conditions($node->at('when'), $schools), $node->at('why')->string(null, 300));
        }, $list->items(20));
    }

    /** @return list<Dial> */
    private function dials(Node $root): array
    {
        $steps = [];
        foreach ($root->at('steps')->items() as $step) {
            $steps[] = $step->at('id')->text();
        }
        $dials = [];
        foreach ($root->at('dials')->items(8) as $node) {
            $node->object(['dial', 'least', 'most', 'below', 'above', 'moves']);
            $moves = [];
            foreach ($node->at('moves')->items(30, 1) as $move) {
                $move->object(['step', 'ingredient', 'lever', 'power']);
                $step = $move->at('step')->id();
                if ('' !== $step && !\in_array($step, $steps, true)) {
                    $move->at('step')->fault('There is no step "{id}".', ['id' => $step]);
                }
                $lever = $move->has('ingredient') ? Lever::Ingredient : $move->at('lever')->enum(Lever::class);
                $moves[] = new DialMove(
                    $step,
                    $lever,
                    $move->has('ingredient') ? $move->at('ingredient')->id() : '',
                    $move->at('power')->number(-4, 4, 1.0),
                );
            }
            $kind = $node->at('dial')->enum(DialKind::class);
            $least = $node->at('least')->number(0.2, 1);
            $most = $node->at('most')->number(1, 3);
            if ([] !== $moves) {
                $dials[] = new Dial(
                    $kind,
                    $least,
                    $most,
                    $node->at('below')->string('', 300),
                    $node->at('above')->string('', 300),
                    $moves,
                );
            }
        }

        return $dials;
    }

    /**
     * Every combination of options that the recipe allows.
     *
     * @return list<array<string, string>>
     */
    public static function combinations(ChosenWay $way): array
    {
        $all = [[]];
        foreach ($way->schools as $school) {
            $next = [];
            foreach ($all as $options) {
                if (!ChosenWay::meets($school->when, $options)) {
                    $next[] = $options;
                    continue;
                }
                foreach (array_keys($school->options) as $option) {
                    $next[] = [...$options, $school->id => (string) $option];
                }
            }
            $all = \array_slice($next, 0, self::MOST_COMBINATIONS + 1);
        }

        return array_values(
            array_filter(
                $all,
                static fn (array $options): bool => [] ===
                    array_filter($way->exclusions, static fn (Exclusion $e): bool => ChosenWay::meets($e->when, $options)),
            ),
        );
    }
}
