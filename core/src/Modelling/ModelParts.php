<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Moment;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Hold;
use FeastLadle\Schedule\Link;

/** What has been put together of a schedule problem so far. Filled by one builder after the other, then frozen into a ScheduleModel. */
final class ModelParts
{
    /** @var array<string, Activity> */
    public array $activities = [];

    /** @var list<Link> */
    public array $links = [];

    /** @var array<string, Hold> */
    public array $holds = [];

    /** @var array<string, StepKey> */
    public array $steps = [];

    /** @var array<string, string> the dish that a step finishes, by activity */
    public array $lastOf = [];

    /** @var array<string, Moment> the moment of each step that finishes a dish, by activity */
    public array $momentOf = [];

    /** @var array<string, BatchFlow> by dish */
    public array $flows = [];

    /** @var list<Obstacle> */
    public array $obstacles = [];

    /** @var list<Window> that may be overrun, as nothing else holds */
    public array $windows = [];

    /** @var array<string, PlannedDish> dishes whose steps are in the problem, by id */
    public array $built = [];
}
