<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Modelling\Obstacle;
use FeastLadle\Solving\DishTiming;
use FeastLadle\Solving\Plan;

/** What a thing that was tried brings, seen in a plan that was really made for it. */
final readonly class Verdict
{
    /** Minutes of work by hand that are worth a word. */
    private const NOTICED = 5;

    /**
     * @param int|null $won   minutes of lateness that go away; null when it can't be tried
     * @param int      $hands minutes of hands-on work that go away
     * @param int      $out   sweets that find room then, and did not before; below nought for the other way
     */
    private function __construct(
        public string $id,
        public ?int $won,
        public int $out,
        public int $hands,
        public bool $mends,
        public string $message,
    ) {
    }

    public static function impossible(string $id): self
    {
        return new self($id, null, 0, 0, false, 'That can\'t be with this feast.');
    }

    public static function of(string $id, Plan $plan, Plan $tried): self
    {
        $won = self::late($plan) - self::late($tried);
        $out = self::leftOut($plan) - self::leftOut($tried);
        $mends = $tried->isOnTime();
        $hands = $plan->handMinutes() - $tried->handMinutes();

        return new self(
            $id,
            $won,
            $out,
            $hands,
            $mends,
            match (true) {
                $mends && !$plan->isOnTime() => 'everything is in time',
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
