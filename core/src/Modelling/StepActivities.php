<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Due;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Need;
use FeastLadle\Schedule\NeedReference;

/** Steps as activities: how long, with which needs, and by when, where a step finishes a dish or is held at a time. */
final readonly class StepActivities
{
    /** A dish that is late is worse than anything early. */
    public const LATE_COST = 60;

    /** After the id of a step that nobody attends: the minute in which it is begun. */
    private const BEGUN = '!begun';

    /** A minute that a hot dish stands before it is dished up. */
    private const WARM_WAIT_COST = 4;

    public function __construct(private Feast $feast, private TimeAxis $axis, private ModelParts $parts)
    {
    }

    /**
     * @param list<Need> $needs
     * @param int        $lastMinutes of the last step of its dish
     */
    public function add(PlannedDish $planned, Step $step, Round $round, DurationRange $range, array $needs, int $lastMinutes): void
    {
        $recipe = $planned->dish->recipe;
        $key = new StepKey($planned->dish->id, $round, $step->id);
        $wave = $this->parts->flows[$planned->dish->id]->wave($round);
        $due = null;
        $earliest = 0;
        if ($step->id === $recipe->lastStep && !$planned->dish->isBase) {
            $this->parts->lastOf[$key->id()] = $planned->dish->id;
            $this->parts->momentOf[$key->id()] = $wave->moment;
            $early = match ($recipe->serving) {
                ServingWay::Hot => 10,
                ServingWay::Warm => 3,
                default => 0,
            };
            $due = new Due(
                $this->axis->minute($wave->moment->at) - Earliness::of($this->feast, $planned->dish, $wave),
                $early,
                self::LATE_COST,
            );
            // Finished no longer before the last who eat of it than it keeps.
            $earliest = max(0, min($due->at, $this->axis->minute($wave->until) - $recipe->keepMinutes) - $range->likely);
        }
        if (!$planned->dish->isBase && $this->waitsWarm($recipe, $step)) {
            // It goes off the flame as shortly before it is dished up as can be.
            $due = new Due(
                $this->axis->minute($wave->moment->at) - Earliness::of($this->feast, $planned->dish, $wave) - $lastMinutes,
                self::WARM_WAIT_COST,
                0,
            );
        }
        $latest = $this->axis->horizonEnd;
        $pin = $this->feast->pins[$key->id()] ?? null;
        if (null !== $pin) {
            // Held at its time, however long it takes where it is done.
            $earliest = max(0, $this->axis->minute($pin));
            $latest = min(
                $latest,
                $earliest +
                    max([
                        $range->likely,
                        ...array_merge(...array_map(static fn (Need $n): array => array_values($n->durations), $needs)),
                    ]),
            );
        }
        $this->parts->activities[$key->id()] = new Activity($key->id(), $range, $needs, $earliest, $latest, $due);
        $this->parts->steps[$key->id()] = $key;
        if (AttentionKind::None === $step->work->attention->kind) {
            $this->markBegun($key->id());
        }
    }

    /** The id of the minute in which a step that nobody attends is begun. */
    public static function begun(string $step): string
    {
        return $step.self::BEGUN;
    }

    /** What is left alone is still begun by somebody: a marker of a minute at its start, in the hours in which anyone is there. */
    private function markBegun(string $id): void
    {
        $begun = self::begun($id);
        $this->parts->activities[$begun] = new Activity(
            $begun,
            DurationRange::exactly(1),
            [] === $this->feast->shifts ? [] : [new Need([Resources::SOMEBODY])],
            0,
            $this->axis->horizonEnd,
            null,
        );
        $this->parts->links[] = new Link($id, $begun, 0, 0, LinkType::StartToStart);
    }

    /**
     * @param list<Need> $needs
     *
     * @return list<Need> with references to the activities of this round
     */
    public function forRound(array $needs, PlannedDish $planned, Round $round, float $share): array
    {
        $scaled = static fn (Need $need): array => array_map(
            static fn (int $minutes): int => (int) ceil($minutes * $share),
            $need->durations,
        );

        return array_map(
            static fn (Need $need): Need => null === $need->sameAs
                ? new Need($need->from, $need->count, $need->units, $scaled($need))
                : new Need(
                    [],
                    1,
                    $need->units,
                    $scaled($need),
                    NeedReference::ofActivity((new StepKey($planned->dish->id, $round, $need->sameAs->id))->id(), $need->sameAs->need),
                ),
            $needs,
        );
    }

    /** Whether a step ends hot and only dishing up follows. */
    private function waitsWarm(Recipe $recipe, Step $step): bool
    {
        return KeepingPlace::Warm === $step->gives->keeping?->place
            && \in_array($step->id, $recipe->step($recipe->lastStep)->sources(), true);
    }
}
