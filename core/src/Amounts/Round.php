<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Words\CannotBe;

/** One round of a step: once for all batches, for one of them, or for one wave, the batches that are wanted at one moment. */
final readonly class Round
{
    private function __construct(public ?int $batch, public ?int $wave)
    {
    }

    public static function once(): self
    {
        return new self(null, null);
    }

    /** @param int $number from 1 */
    public static function ofBatch(int $number): self
    {
        return new self(self::counted($number), null);
    }

    /** @param int $number from 1 */
    public static function ofWave(int $number): self
    {
        return new self(null, self::counted($number));
    }

    /** "0" for once, "3" for the third batch, "w2" for the second wave. */
    public function id(): string
    {
        return null === $this->wave ? (string) ($this->batch ?? 0) : 'w'.$this->wave;
    }

    public function is(self $other): bool
    {
        return $this->batch === $other->batch && $this->wave === $other->wave;
    }

    /** @param list<self> $rounds */
    public function isAmong(array $rounds): bool
    {
        foreach ($rounds as $round) {
            if ($this->is($round)) {
                return true;
            }
        }

        return false;
    }

    private static function counted(int $number): int
    {
        return $number >= 1 ? $number : throw new CannotBe(\sprintf('Batches and waves are counted from 1, not from %d.', $number));
    }
}
