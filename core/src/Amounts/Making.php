<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

/**
 * What a planner may choose of a dish beside when and by whom: more batches than its pots ask for, how many share its handwork, how long
 * what stands alone stands, whether batches go in slower pots side by side, and, where nothing else holds, by how much its windows are
 * overrun.
 */
final readonly class Making
{
    /** So many share handwork where nothing else was found better. */
    public const AS_MANY_AS_HELP = \PHP_INT_MAX;

    /**
     * @param array<string, int>   $batches least batches by dish, where more are made than the pots ask for
     * @param array<string, int>   $hands   the most who share a piece of handwork, by dish, where fewer do it better than many
     * @param array<string, Wait>  $waits   by dish, where soaks and rests are not as long as usual
     * @param array<string, true>  $pots    dishes whose batches may stand in slower pots beside the best
     * @param array<string, float> $windows by dish, how many times as long things may wait for each other; INF: as long as it takes
     */
    public function __construct(
        public array $batches = [],
        public array $hands = [],
        public array $waits = [],
        public array $pots = [],
        public array $windows = [],
    ) {
    }

    public static function usual(): self
    {
        return new self();
    }

    public function isUsual(): bool
    {
        return [] === $this->batches && [] === $this->hands && [] === $this->waits && [] === $this->pots && [] === $this->windows;
    }

    public function ofBatches(string $dish, int $least): self
    {
        return new self([$dish => $least] + $this->batches, $this->hands, $this->waits, $this->pots, $this->windows);
    }

    public function byHands(string $dish, int $most): self
    {
        return new self($this->batches, [$dish => $most] + $this->hands, $this->waits, $this->pots, $this->windows);
    }

    public function waiting(string $dish, Wait $wait): self
    {
        return new self($this->batches, $this->hands, [$dish => $wait] + $this->waits, $this->pots, $this->windows);
    }

    public function inSlowerPotsToo(string $dish): self
    {
        return new self($this->batches, $this->hands, $this->waits, [$dish => true] + $this->pots, $this->windows);
    }

    public function stretching(string $dish, float $times): self
    {
        return new self($this->batches, $this->hands, $this->waits, $this->pots, [$dish => $times] + $this->windows);
    }

    public function hands(string $dish): int
    {
        return $this->hands[$dish] ?? self::AS_MANY_AS_HELP;
    }

    public function wait(string $dish): Wait
    {
        return $this->waits[$dish] ?? Wait::Usual;
    }

    /** So long may something of this dish wait that may wait for so many minutes by its recipe. */
    public function window(string $dish, ?int $minutes): ?int
    {
        $times = $this->windows[$dish] ?? 1.0;

        return null === $minutes || \INF === $times ? null : (int) floor($times * $minutes);
    }
}
