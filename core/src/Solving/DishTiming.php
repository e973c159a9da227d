<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Modelling\Obstacle;

/** When a dish is ready, against its moment. */
final readonly class DishTiming
{
    /** @param list<Obstacle> $reasons why it is late, proven or found by trying; empty when it is in time */
    public function __construct(
        public string $dish,
        public \DateTimeImmutable $ready,
        public \DateTimeImmutable $due,
        public int $lateMinutes,
        public array $reasons,
    ) {
    }

    public static function at(string $dish, \DateTimeImmutable $due, \DateTimeImmutable $ready): self
    {
        return new self($dish, $ready, $due, max(0, intdiv($ready->getTimestamp() - $due->getTimestamp(), 60)), []);
    }

    /** Of two servings of a dish, the one that is later for its moment. */
    public function tighter(self $other): self
    {
        $behind = static fn (self $t): int => $t->ready->getTimestamp() - $t->due->getTimestamp();

        return match (true) {
            $other->lateMinutes !== $this->lateMinutes => $other->lateMinutes > $this->lateMinutes ? $other : $this,
            // @phpstan-ignore notEqual.notAllowed (instants are compared, not objects)
            $other->due != $this->due => $other->due < $this->due ? $other : $this,
            default => $behind($other) > $behind($this) ? $other : $this,
        };
    }
}
