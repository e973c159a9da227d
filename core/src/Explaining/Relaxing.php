<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Heat\Burner;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Person;
use FeastLadle\Modelling\Mend;
use FeastLadle\Modelling\MendKind;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Modelling\ObstacleKind;
use FeastLadle\Recipe\Skill;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;
use FeastLadle\Vessel\Vessel;

/** What a dish that finds no plan lacks: hours, vessels, hands or a fire. Each answer was planned with it, and then it went. */
final readonly class Relaxing
{
    private const TRIAL_MS = 30;

    /** So many more are tried, the fewest first. */
    private const MORE = [1, 2, 4, 8];

    private const LONGER_HOURS = 3;

    /** Questions of a whole menu: each takes as long as a plan. */
    private const TRIALS_BESIDE = 6;

    public function __construct(private Solve $solve)
    {
    }

    /** @param Task $alone without any other dish */
    public function whatIsShort(Task $alone, string $dish): ?Obstacle
    {
        $budget = Budget::milliseconds(self::TRIAL_MS)->patient(2);

        return $this->firstThatHelps($this->relaxed($alone, $dish, self::MORE), $alone, $budget, \PHP_INT_MAX);
    }

    /** @param Task $together with the dishes beside which it finds no room */
    public function whatIsShortBeside(Task $together, string $dish): ?Obstacle
    {
        return $this->firstThatHelps($this->relaxed($together, $dish, [1]), $together, null, self::TRIALS_BESIDE);
    }

    /** @param iterable<array{Feast, Kitchen, Obstacle}> $relaxed */
    private function firstThatHelps(iterable $relaxed, Task $task, ?Budget $budget, int $most): ?Obstacle
    {
        foreach ($relaxed as [$feast, $kitchen, $obstacle]) {
            if (--$most < 0) {
                break;
            }
            if (SolutionStatus::Feasible === $this->solve->solution($task->by($feast, $kitchen), $budget)->status) {
                return $obstacle;
            }
        }

        return null;
    }

    /**
     * @param list<int> $counts so many more of a thing
     *
     * @return iterable<array{Feast, Kitchen, Obstacle}> with more of something, and what to say if it then goes
     */
    private function relaxed(Task $task, string $dish, array $counts): iterable
    {
        [$feast, $kitchen] = [$task->feast, $task->kitchen];
        if (null === $task->notBefore) {
            yield [
                $this->withTheEveningBefore($feast),
                $kitchen,
                new Obstacle(
                    $dish,
                    'The day is too short for it: with everybody there the afternoon before, it goes.',
                    [],
                    ObstacleKind::Hands,
                    mend: new Mend(MendKind::DayBefore, 0),
                ),
            ];
        }
        yield [
            $this->withLongerHours($feast),
            $kitchen,
            new Obstacle(
                $dish,
                'Nobody is there long enough for it: with everybody there {hours} hours longer it goes, late.',
                ['hours' => self::LONGER_HOURS],
                ObstacleKind::Hands,
                mend: new Mend(MendKind::Hours, 60 * self::LONGER_HOURS),
            ),
        ];
        foreach ($counts as $more) {
            yield [
                ...$this->withCooks($feast, $kitchen, $more),
                new Obstacle($dish, 'The hands are short: with {more} more who can cook it goes.', [
                    'more' => $more,
                ], ObstacleKind::Hands, mend: new Mend(MendKind::Hands, 0)),
            ];
        }
        $strongest = $kitchen->strongestFire();
        foreach ($counts as $more) {
            if (null === $strongest) {
                break;
            }
            yield [
                $feast,
                $this->withFires($kitchen, $strongest, $more),
                new Obstacle($dish, 'The fires are short: with {more} more like "{fire}" it goes.', [
                    'more' => $more,
                    'fire' => $strongest->name,
                ], ObstacleKind::Fire, mend: new Mend(MendKind::Fire, 0)),
            ];
        }
        foreach ($this->vessels($task) as $vessel) {
            foreach ($counts as $more) {
                yield [
                    $feast,
                    $this->withVessels($kitchen, $vessel, $more),
                    new Obstacle(
                        $dish,
                        'Its vessels are full when they are wanted again: with {more} more like "{vessel}" it goes.',
                        ['more' => $more, 'vessel' => $vessel->name],
                        ObstacleKind::Vessel,
                        mend: new Mend(MendKind::Vessel, 0),
                    ),
                ];
            }
        }
    }

    /** @return list<Vessel> one of each kind that what is planned stands in */
    private function vessels(Task $task): array
    {
        $kinds = [];
        foreach ($task->quantities->dishes as $id => $planned) {
            foreach (\in_array((string) $id, $task->without, true) ? [] : $planned->batchPlan->pots as $choice) {
                $kinds[$choice->run->kind->value] ??= $choice->vessel();
            }
        }

        return array_values($kinds);
    }

    private function withVessels(Kitchen $kitchen, Vessel $vessel, int $more): Kitchen
    {
        for ($n = 1; $n <= $more; ++$n) {
            $id = 'one-more-vessel-'.$n;
            $kitchen = $kitchen->withVessel(
                new Vessel($id, $id, $vessel->kind, $vessel->shape, $vessel->metal, $vessel->emptyKg, $vessel->tiers),
            );
        }

        return $kitchen;
    }

    private function withFires(Kitchen $kitchen, Burner $fire, int $more): Kitchen
    {
        for ($n = 1; $n <= $more; ++$n) {
            $id = 'one-more-fire-'.$n;
            $kitchen = $kitchen->withBurner(new Burner($id, $id, $fire->fuel, $fire->kilowatts, $fire->ringDiameterMm));
        }

        return $kitchen;
    }

    /** @return array{Feast, Kitchen} */
    private function withCooks(Feast $feast, Kitchen $kitchen, int $more): array
    {
        for ($n = 1; $n <= $more; ++$n) {
            $cook = new Person('one-more-cook-'.$n, 'one more cook', Skill::Cook);
            $kitchen = $kitchen->withPerson($cook);
            foreach ($feast->shifts as $shift) {
                $feast = $feast->withShift(new Shift($cook->id, $shift->from, $shift->to));
            }
        }

        return [$feast, $kitchen];
    }

    private function withLongerHours(Feast $feast): Feast
    {
        foreach ($feast->shifts as $shift) {
            $feast = $feast->withShift(new Shift($shift->person, $shift->to, $shift->to->modify('+'.self::LONGER_HOURS.' hours')));
        }

        return $feast;
    }

    private function withTheEveningBefore(Feast $feast): Feast
    {
        $day = $feast->firstMoment()->at->modify('-1 day');
        $people = array_unique(array_map(static fn (Shift $s): string => $s->person, $feast->shifts));
        foreach ($people as $person) {
            $feast = $feast->withShift(new Shift($person, $day->setTime(12, 0), $day->setTime(21, 0)));
        }

        return $feast;
    }
}
