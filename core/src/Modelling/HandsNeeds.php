<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Skill;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Need;

/** Whose hands a step asks for, and how many share it. */
final readonly class HandsNeeds
{
    /**
     * Percent of the one at the spoon, at the least, and of the one who takes it over; together more than one person has, so that
     * nobody relieves while at a spoon: over some pots at a time it takes one more than there are pots.
     */
    private const AT_THE_SPOON = 70;
    private const RELIEVES = 31;

    /** Percent of a person's attention that turns at the spoon cost on top. */
    private const HANDING_OVER = 5;

    /** Handwork of one person that is dealt out when it takes longer, and about how long a part then is; kitchen estimates. */
    private const LONG_MINUTES = 40;
    private const PORTION_MINUTES = 25;

    public function __construct(private Feast $feast, private Kitchen $kitchen, private Making $making)
    {
    }

    /**
     * @param int $atIt how many are at it
     *
     * @return list<Need>|Obstacle
     */
    public function of(PlannedDish $planned, Step $step, DurationRange $range, int $atIt): array|Obstacle
    {
        $attention = $step->work->attention;
        // One judges, the others lend their hands.
        $people = $this->peopleFor($attention->skill);
        $hands = $this->peopleFor(Skill::Cook === $attention->skill ? Skill::AnyHands : $attention->skill);
        if ([] === $people || \count($hands) < $attention->people) {
            return new Obstacle(
                $planned->dish->id,
                1 === $attention->people
                    ? '"{step}" needs somebody who can do it, and nobody who can has a shift.'
                    : '"{step}" needs {count} people who can do it; {there} have a shift.',
                ['step' => $step->title, 'count' => $attention->people, 'there' => [] === $people ? 0 : \count($hands)],
                ObstacleKind::Hands,
                $step->id,
            );
        }
        $turns =
            $attention->turnMinutes > 0 && $range->likely > $attention->turnMinutes && 1 === $attention->people && \count($hands) > 1;
        // Those who only lend their hands are taken beside the cooks where there are enough: then the two are chosen apart.
        $others = array_values(array_diff($hands, $people));

        return match (true) {
            $turns => [
                new Need($people, 1, max(self::AT_THE_SPOON, $attention->percent + self::HANDING_OVER - self::RELIEVES)),
                new Need($hands, 1, self::RELIEVES),
            ],
            1 === $atIt => [new Need($people, 1, $attention->percent)],
            \count($people) === \count($hands) => [new Need($people, $atIt, $attention->percent)],
            default => [
                new Need($people, 1, $attention->percent),
                new Need(\count($others) >= $atIt - 1 ? $others : $hands, $atIt - 1, $attention->percent),
            ],
        };
    }

    /**
     * How many are at it: as the recipe says, or more, where handwork that would take one of them long can be dealt out and others
     * are there.
     */
    public function atIt(PlannedDish $planned, Step $step, DurationRange $alone): int
    {
        $told = $step->work->attention->people;
        // What should be done while it is warm takes as many as get it done.
        $within = $step->isPieceByPiece() ? $step->withinMinutes() ?? \PHP_INT_MAX : \PHP_INT_MAX;
        if (
            AttentionKind::Constant !== $step->work->attention->kind
            || $alone->likely <= min($within, self::LONG_MINUTES)
            || !$step->isShared()
            || null !== $this->kitchen->toolFor($step->process)
        ) {
            return $told;
        }
        $skill = Skill::Cook === $step->work->attention->skill ? Skill::AnyHands : $step->work->attention->skill;
        // One stays free for what stands on the fire.
        $hands = $this->peopleFor($skill);
        if (Skill::Cook === $step->work->attention->skill) {
            $helpers = array_values(array_diff($hands, $this->peopleFor(Skill::Cook)));
            $there = 1 + Shift::mostAtOnce($this->feast->shifts, $helpers);
        } else {
            $there = Shift::mostAtOnce($this->feast->shifts, $hands);
        }
        $there = $there > 2 ? $there - 1 : $there;

        $wanted = (int) ceil(($alone->likely * $told) / max(1, min($within, self::PORTION_MINUTES)));

        return max($told, min($wanted, $there, $this->making->hands($planned->dish->id)));
    }

    /** @return list<string> helpers first, so that the cook stays free for what only a cook can do */
    private function peopleFor(Skill $skill): array
    {
        $there = array_flip(array_map(static fn (Shift $s): string => $s->person, $this->feast->shifts));
        $people = array_filter($this->kitchen->people, static fn ($p): bool => isset($there[$p->id]) && $p->skill->suffices($skill));
        uasort($people, static fn ($a, $b): int => (Skill::Cook === $a->skill ? 1 : 0) <=> (Skill::Cook === $b->skill ? 1 : 0));

        return array_keys($people);
    }
}
