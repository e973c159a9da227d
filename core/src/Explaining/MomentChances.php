<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Modelling\Packing;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Solving\Plan;

/** Of each moment, the share of futures in which all that is eaten then is there. */
final readonly class MomentChances
{
    /** @param list<MomentChance> $moments by time */
    private function __construct(public array $moments)
    {
    }

    /** @param RiskReport|null $risk null where there is no schedule */
    public static function of(Feast $feast, Plan $plan, ?RiskReport $risk): self
    {
        $finished = self::finished($feast, $plan);
        $out = self::out($plan);
        $moments = [];
        foreach ($feast->moments as $moment) {
            $wanted = $of = [];
            $isOut = false;
            foreach ($plan->quantities->dishes as $id => $planned) {
                if ($planned->dish->isBase || !self::isEaten($feast, $planned, $moment)) {
                    continue;
                }
                $isOut = $isOut || isset($out[(string) $id]) || ($plan->timings[$id]->lateMinutes ?? 0) > 0;
                foreach ($finished[$id] ?? [] as $activity => $at) {
                    if ($at <= $moment->at) {
                        $wanted[$activity] = intdiv($moment->at->getTimestamp() - $at->getTimestamp(), 60);
                        $of[$id][$activity] = $wanted[$activity];
                    }
                }
            }
            foreach ($feast->boxes as $box) {
                if ($box->at === $moment->id && isset($plan->problem->activities[Packing::BOX.$box->id])) {
                    $wanted[Packing::BOX.$box->id] = 0;
                }
            }
            $chance = null === $risk || [] === $wanted ? null : $risk->together($wanted);
            $least = null === $risk ? [] : array_map($risk->together(...), $of);
            asort($least);
            $moments[] = new MomentChance(
                $moment,
                match (true) {
                    $isOut, null === $chance => Word::NotInTime,
                    default => Word::ofChance($chance),
                },
                $chance,
                [] === $least ? null : (string) array_key_first($least),
            );
        }

        return new self($moments);
    }

    /** The least sure moment at which something is eaten; null for a feast without a plan. */
    public function least(): ?MomentChance
    {
        $least = null;
        $rank = static fn (MomentChance $m): array => [Word::NotInTime === $m->word ? 0 : 1, $m->chance];
        foreach ($this->moments as $moment) {
            $least = null !== $moment->chance && (null === $least || $rank($moment) < $rank($least)) ? $moment : $least;
        }

        return $least;
    }

    /** Of a hundred futures, those in which the least sure moment has everything, in whole ones and never rounded up. */
    public function of100(): int
    {
        return $this->least()?->of100() ?? 0;
    }

    /** Of the whole feast. */
    public function word(Plan $plan): Word
    {
        return $plan->isOnTime() ? $this->least()->word ?? Word::NotInTime : Word::NotInTime;
    }

    /** By how much the moments together fall short of what is wished of them; 0 where none does. */
    public function shortfall(): float
    {
        return array_sum(
            array_map(static fn (MomentChance $m): float => max(0.0, $m->moment->wish() - ($m->chance ?? 1.0)), $this->moments),
        );
    }

    /** @return array<string, true> dishes that are not there as they must be, whatever happens */
    private static function out(Plan $plan): array
    {
        $out = [];
        foreach ([...$plan->obstacles, ...$plan->clocks] as $obstacle) {
            $out[$obstacle->dish] = true;
        }
        foreach ($plan->overruns as $overrun) {
            $out[$overrun->obstacle->dish] = true;
        }

        return $out;
    }

    /** @return array<string, array<string, \DateTimeImmutable>> by dish and activity that finishes a part of it: the moment it is for */
    private static function finished(Feast $feast, Plan $plan): array
    {
        $finished = [];
        foreach ($plan->steps as $step) {
            if ($step->dish->dish->isBase || $step->step->id !== $step->dish->dish->recipe->lastStep) {
                continue;
            }
            $finished[$step->key->dish][$step->activity] = $step->for->at ?? self::firstEaten($feast, $step->dish)->at;
        }

        return $finished;
    }

    private static function isEaten(Feast $feast, PlannedDish $planned, Moment $moment): bool
    {
        foreach (DemandCurve::of($feast, $planned) as $row) {
            if ($row['of'] === $moment && $row['now'] > 0) {
                return true;
            }
        }

        return false;
    }

    private static function firstEaten(Feast $feast, PlannedDish $planned): Moment
    {
        foreach (DemandCurve::of($feast, $planned) as $row) {
            if ($row['now'] > 0) {
                return $row['of'];
            }
        }

        return $feast->lastMoment();
    }
}
