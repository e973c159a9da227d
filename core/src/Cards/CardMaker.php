<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;

/** Makes the cards by which everything is measured out before a fire is lit. */
final class CardMaker
{
    /** What follows within so many minutes is part of the same breath. */
    private const STRAIGHT_ON = 10;

    /** @return list<Card> by dish; what is done once before what is done for each batch */
    public static function cards(Quantities $quantities): array
    {
        $cards = [];
        foreach ($quantities->dishes as $planned) {
            if (!$planned->canBeCooked()) {
                continue;
            }
            foreach ([true, false] as $once) {
                $steps = self::steps($planned, $once);
                if ([] !== array_filter($steps, static fn (CardStep $s): bool => [] !== $s->bowls || null !== $s->steamWater)) {
                    $cards[] = new Card($planned, !$once, $once ? 1 : $planned->batchPlan->batches, $steps);
                }
            }
        }

        return $cards;
    }

    /** What must stand there before a step is begun; null where it may be left. */
    public static function readyFor(PlannedDish $planned, Step $step): ?Ready
    {
        return self::neverLeft($step) ? self::ready($planned, $step, self::numbered($planned, $step->work->once)) : null;
    }

    /** @return array<string, list<CardBowl>> by step, numbered in the order in which they enter */
    private static function numbered(PlannedDish $planned, bool $once): array
    {
        $numbers = [];
        $next = 1;
        foreach ($planned->dish->recipe->steps as $step) {
            if ($step->work->once === $once) {
                foreach ($planned->bowls[$step->id] ?? [] as $bowl) {
                    $numbers[$step->id][] = new CardBowl($next++, $bowl);
                }
            }
        }

        return $numbers;
    }

    /** @return list<CardStep> */
    private static function steps(PlannedDish $planned, bool $once): array
    {
        $recipe = $planned->dish->recipe;
        $numbers = self::numbered($planned, $once);
        $steps = [];
        foreach ($recipe->steps as $step) {
            $ready = $step->work->once === $once && self::neverLeft($step) ? self::ready($planned, $step, $numbers) : null;
            $water = $planned->steamWater[$step->id] ?? null;
            if ($step->work->once === $once && (isset($numbers[$step->id]) || null !== $ready || null !== $water)) {
                $steps[] = new CardStep($step, $numbers[$step->id] ?? [], $ready, $water);
            }
        }

        return $steps;
    }

    /** Steps by the fire, or with hot things, from which nobody walks away. */
    private static function neverLeft(Step $step): bool
    {
        return AttentionKind::Constant === $step->work->attention->kind
            && ('none' !== $step->work->flame->value
                || $step->process->facts()->standsReady);
    }

    /** @param array<string, list<CardBowl>> $numbers */
    private static function ready(PlannedDish $planned, Step $step, array $numbers): Ready
    {
        $pots = $planned->batchPlan->potOfStep();
        $breath = [$step, ...self::after($planned, $step)];
        $bowls = [];
        $vessels = [];
        $people = 0;
        foreach ($breath as $part) {
            foreach ($numbers[$part->id] ?? [] as $bowl) {
                $bowls[] = $bowl->number;
            }
            foreach (($pots[$part->id] ?? null)->vessels ?? [] as $vessel) {
                $vessels[] = $vessel->name;
            }
            $people = max($people, $part->work->attention->people);
        }

        return new Ready(
            array_values(array_unique($bowls)),
            array_values(array_unique($vessels)),
            array_values(array_unique(array_map(static fn (Step $s): Process => $s->process, $breath), \SORT_REGULAR)),
            $people,
        );
    }

    /**
     * Steps that follow within minutes: tied, in the same vessel, or taking hot what would set.
     *
     * @return list<Step>
     */
    private static function after(PlannedDish $planned, Step $step): array
    {
        $found = [];
        $from = [$step->id => true];
        foreach ($planned->dish->recipe->steps as $other) {
            $follows = false;
            foreach ($other->ties as $tie) {
                $follows = $follows || (isset($from[$tie->after]) && null !== $tie->maxMinutes && $tie->maxMinutes <= self::STRAIGHT_ON);
            }
            foreach ($other->takes as $take) {
                $isOut = null !== $take->fromStep && isset($from[$take->fromStep]);
                $follows =
                    $follows
                    || ($isOut && ($take->manner->straightOn || \in_array($other->process, [Process::Set, Process::Strain], true)));
            }
            if ($follows) {
                $found[] = $other;
                $from[$other->id] = true;
            }
        }

        return $found;
    }
}
