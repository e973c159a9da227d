<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Feast\Box;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Due;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Need;

/** Packing of boxes as activities: work beside the recipes. */
final readonly class Packing
{
    /** Before the id of a box: its packing is an activity. */
    public const BOX = 'box:';

    /** So many pack side by side, if they are there. */
    private const PACKERS = 2;

    private const PACKING_PERCENT = 75;

    public function __construct(private Feast $feast, private TimeAxis $axis, private ModelParts $parts)
    {
    }

    /**
     * Boxes are packed by any hands, after what goes into them is ready and before their moment.
     */
    public function add(Box $box): void
    {
        $people = [];
        foreach ($this->feast->shifts as $shift) {
            $people[$shift->person] = $shift->person;
        }
        $moment =
            array_values(array_filter($this->feast->moments, static fn (Moment $m): bool => $m->id === $box->at))[0] ??
            $this->feast->lastMoment();
        $held = array_intersect_key($box->holds, $this->parts->built);
        if (0 === $box->count || [] === $people || [] === $held) {
            return;
        }
        $hands = min(self::PACKERS, \count($people));
        $minutes = (int) ceil(($box->count * $box->packSeconds) / 60 / $hands);
        $id = self::BOX.$box->id;
        $this->parts->activities[$id] = new Activity(
            $id,
            new DurationRange((int) ceil(0.8 * $minutes), $minutes, (int) ceil(1.5 * $minutes)),
            [new Need(array_values($people), $hands, self::PACKING_PERCENT)],
            0,
            $this->axis->horizonEnd,
            new Due($this->axis->minute($moment->at) - $this->feast->marginMinutes, 0, StepActivities::LATE_COST),
        );
        foreach (array_keys($held) as $dish) {
            $last = $this->parts->built[$dish]->dish->recipe->last();
            foreach ($this->parts->flows[$dish]->rounds($last) as $round) {
                if ($this->parts->flows[$dish]->wave($round)->moment->at <= $moment->at) {
                    $this->parts->links[] = new Link((new StepKey($dish, $round, $last->id))->id(), $id);
                }
            }
        }
    }
}
