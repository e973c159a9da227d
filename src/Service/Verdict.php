<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Modelling\Obstacle;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;
use FeastLadle\Words\Sentence;

/** What a thing that was tried brings, seen in a plan that was really made for it. */
final readonly class Verdict
{
    /** Minutes of work by hand that are worth a word. */
    private const NOTICED = 5;

    /** Futures of a hundred that are worth a word. */
    private const SURER = 3;

    /**
     * @param int|null       $won     minutes of lateness that go away; null when it can't be tried
     * @param int            $hands   minutes of hands-on work that go away
     * @param int            $points  futures of a hundred that are in time more
     * @param list<Sentence> $weighed what it gives and costs beside the plan, both being in time
     * @param int            $out     sweets that find room then, and did not before; below nought for the other way
     */
    private function __construct(
        public string $id,
        public ?int $won,
        public int $out,
        public int $hands,
        public int $points,
        public bool $mends,
        public string $message,
        public array $weighed = [],
    ) {
    }

    public static function impossible(string $id): self
    {
        return new self($id, null, 0, 0, 0, false, 'That can\'t be with this feast.');
    }

    /** @param list<Sentence> $weighed what it gives and costs, both plans being in time */
    public static function weighed(string $id, array $weighed): self
    {
        return new self($id, 0, 0, 0, 0, true, [] === $weighed ? 'stays in time' : '', $weighed);
    }

    /** @param array{int, int} $sure of a hundred futures those in time, as planned and as tried */
    public static function of(string $id, Plan $plan, Plan $tried, array $sure): self
    {
        $won = self::late($plan) - self::late($tried);
        $out = self::leftOut($plan) - self::leftOut($tried);
        $mends = $tried->isOnTime();
        // Kept, it is looked at longer, and comes out surer: what is less sure now says nothing yet.
        $points = $mends && $plan->isOnTime() ? max(0, $sure[1] - $sure[0]) : 0;
        $hands = $plan->handMinutes() - $tried->handMinutes();

        return new self(
            $id,
            $won,
            $out,
            $hands,
            $points,
            $mends,
            match (true) {
                $mends && !$plan->isOnTime() => 'everything is in time',
                $points >= self::SURER => 'stays in time, {points} of 100 surer',
                $mends && $hands >= self::NOTICED => 'stays in time, {hands} less by hand',
                $mends && $hands <= -self::NOTICED => 'stays in time, {hands} more by hand',
                $mends => 'stays in time',
                0 !== $out => $out > 0 ? 'a sweet more finds room' : 'a sweet less finds room',
                $won > 0 => '{minutes} less late',
                $won < 0 => '{minutes} more late',
                default => 'changes nothing',
            },
        );
    }

    private static function late(Plan $plan): int
    {
        return array_sum(array_map(static fn (DishTiming $t): int => $t->lateMinutes, $plan->timings));
    }

    private static function leftOut(Plan $plan): int
    {
        return \count(array_unique(array_map(static fn (Obstacle $o): string => $o->dish, $plan->obstacles)));
    }
}
