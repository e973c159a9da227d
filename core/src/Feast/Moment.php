<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

/** A minute at which dishes must be there. */
final readonly class Moment
{
    /** From the first who are served to the last who eat, where nothing is said. */
    public const USUAL_SERVING = 30;

    /** The chance that is wished of having everything there: an offering waits for nobody. */
    public const WISHED_OF_AN_OFFERING = 0.97;
    public const WISHED = 0.90;

    /**
     * @param int        $bowls          how many grown-up portions of each dish an offering sets aside
     * @param int        $servingMinutes from the first who are served to the last who eat
     * @param float|null $ownWish        chance from 0 to 1 that is wished of having everything there; null: the usual one
     */
    public function __construct(
        public string $id,
        public MomentKind $kind,
        public string $name,
        public \DateTimeImmutable $at,
        public int $bowls,
        public int $servingMinutes = self::USUAL_SERVING,
        public ?float $ownWish = null,
    ) {
    }

    public function movedTo(\DateTimeImmutable $at): self
    {
        return new self($this->id, $this->kind, $this->name, $at, $this->bowls, $this->servingMinutes, $this->ownWish);
    }

    public function wish(): float
    {
        return $this->ownWish ?? (MomentKind::Offering === $this->kind ? self::WISHED_OF_AN_OFFERING : self::WISHED);
    }
}
