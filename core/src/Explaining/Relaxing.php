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

    public function __construct(private Solve $solve)
    {
    }

    /** @param Task $alone without any other dish */
    public function whatIsShort(Task $alone, string $dish): ?Obstacle
    {
        $goes = fn (Feast $feast, Kitchen $kitchen): bool => SolutionStatus::Feasible ===
            $this->solve->solution($alone->by($feast, $kitchen), Budget::milliseconds(self::TRIAL_MS)->patient(2))->status;
        [$feast, $kitchen] = [$alone->feast, $alone->kitchen];
        if (null === $alone->notBefore && $goes($this->withTheEveningBefore($feast), $kitchen)) {
            return new Obstacle(
                $dish,
                'The day is too short for it: with everybody there the afternoon before, it goes.',
                [],
                ObstacleKind::Hands,
                mend: new Mend(MendKind::DayBefore, 0),
            );
        }
        foreach ($this->vessels($alone) as $vessel) {
            foreach (self::MORE as $more) {
                if ($goes($feast, $this->withVessels($kitchen, $vessel, $more))) {
                    return new Obstacle(
                        $dish,
                        'Its vessels are full when they are wanted again: with {more} more like "{vessel}" it goes.',
                        ['more' => $more, 'vessel' => $vessel->name],
                        ObstacleKind::Vessel,
                        mend: new Mend(MendKind::Vessel, 0),
                    );
                }
            }
        }
        foreach (self::MORE as $more) {
            [$helped, $staffed] = $this->withCooks($feast, $kitchen, $more);
            if ($goes($helped, $staffed)) {
                return new Obstacle($dish, 'The hands are short: with {more} more who can cook it goes.', [
                    'more' => $more,
                ], ObstacleKind::Hands, mend: new Mend(MendKind::Hands, 0));
            }
        }
        $strongest = $kitchen->strongestFire();
        if (null === $strongest) {
            return null;
        }
        foreach (self::MORE as $more) {
            if ($goes($feast, $this->withFires($kitchen, $strongest, $more))) {
                return new Obstacle($dish, 'The fires are short: with {more} more like "{fire}" it goes.', [
                    'more' => $more,
                    'fire' => $strongest->name,
                ], ObstacleKind::Fire, mend: new Mend(MendKind::Fire, 0));
            }
        }

        return null;
    }

    /** @return list<Vessel> one of each kind that the dish and its bases stand in */
    private function vessels(Task $alone): array
    {
        $kinds = [];
        foreach ($alone->quantities->dishes as $id => $planned) {
            foreach (\in_array((string) $id, $alone->without, true) ? [] : $planned->batchPlan->pots as $choice) {
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
