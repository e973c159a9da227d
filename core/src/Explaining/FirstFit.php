<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\Quantities;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\StepNeeds;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Skill;
use FeastLadle\Timing\StepTimer;

/**
 * Whether a menu fits the fires and hands at all, before anything is put in order: the minutes it needs against those there are.
 * What does not fit here can't fit; what fits may still collide, which the run sheet tells.
 */
final readonly class FirstFit
{
    private const TIGHT = 0.65;

    private function __construct(public string $of, public float $needMinutes, public float $haveMinutes)
    {
    }

    /** @return list<self> fires, hands, and hands that must be a cook's */
    public static function of(Feast $feast, Kitchen $kitchen, Quantities $quantities, Larder $larder): array
    {
        $needs = new StepNeeds($feast, $kitchen, $larder, new StepTimer($kitchen, $larder));
        $fires = $hands = $cooks = 0.0;
        foreach ($quantities->dishes as $planned) {
            $found = $planned->canBeCooked() ? $needs->of($planned) : null;
            if (!\is_array($found)) {
                continue;
            }
            [, $ranges] = $found;
            foreach ($planned->dish->recipe->steps as $step) {
                $minutes = $ranges[$step->id]->likely * $step->work->times($planned->batchPlan->batches);
                $fires += Flame::None === $step->work->flame ? 0 : $minutes;
                if (AttentionKind::None !== $step->work->attention->kind) {
                    $share = ($minutes * $step->work->attention->percent) / 100;
                    $hands += $share * $step->work->attention->people;
                    $cooks += Skill::Cook === $step->work->attention->skill ? $share : 0;
                }
            }
        }
        $there = 0.0;
        $cooksThere = 0.0;
        $first = $last = null;
        foreach ($feast->shifts as $shift) {
            $minutes = ($shift->to->getTimestamp() - $shift->from->getTimestamp()) / 60;
            $there += $minutes;
            $cooksThere += Skill::Cook === $kitchen->people[$shift->person]->skill ? $minutes : 0;
        }
        // Fires burn while somebody is there to cook.
        foreach (self::cooked($feast, $kitchen) as [$from, $to]) {
            $first = ($first ?? 0) + ($to - $from) / 60;
        }
        $last = ($first ?? 0) * \count($kitchen->burners);

        return [
            new self('fires', $fires, (float) $last),
            new self('hands', $hands, $there),
            new self('hands of a cook', $cooks, $cooksThere),
        ];
    }

    public function share(): float
    {
        return $this->haveMinutes > 0 ? $this->needMinutes / $this->haveMinutes : ($this->needMinutes > 0 ? \INF : 0.0);
    }

    /** @return array{float, float} hours needed and hours there are */
    public function hours(): array
    {
        return [round($this->needMinutes / 60, 1), round($this->haveMinutes / 60, 1)];
    }

    /**
     * What is needed for one thing more, beside what is there already: the worst of all.
     *
     * @param list<self> $needed
     * @param list<self> $more
     */
    public static function together(array $needed, array $more): string
    {
        $worst = null;
        foreach ($needed as $k => $fit) {
            $sum = new self($fit->of, $fit->needMinutes + $more[$k]->needMinutes, $fit->haveMinutes);
            $worst = null === $worst || $sum->share() > $worst->share() ? $sum : $worst;
        }

        return $worst?->verdict() ?? 'room enough';
    }

    public function verdict(): string
    {
        return match (true) {
            $this->share() > 1 => 'can not fit',
            $this->share() > self::TIGHT => 'tight',
            default => 'room enough',
        };
    }

    /**
     * Times before the first moment at which a cook is there, merged.
     *
     * @return list<array{int, int}>
     */
    private static function cooked(Feast $feast, Kitchen $kitchen): array
    {
        $end = $feast->firstMoment()->at->getTimestamp();
        $intervals = [];
        foreach ($feast->shifts as $shift) {
            if (Skill::Cook === $kitchen->people[$shift->person]->skill && $shift->from->getTimestamp() < $end) {
                $intervals[] = [$shift->from->getTimestamp(), min($end, $shift->to->getTimestamp())];
            }
        }
        sort($intervals);
        $merged = [];
        foreach ($intervals as [$from, $to]) {
            $last = array_key_last($merged);
            if (null !== $last && $from <= $merged[$last][1]) {
                $merged[$last][1] = max($merged[$last][1], $to);
            } else {
                $merged[] = [$from, $to];
            }
        }

        return $merged;
    }
}
