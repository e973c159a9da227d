<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;
use FeastLadle\Vessel\VesselKind;

/** One step of the flow. */
final readonly class Step
{
    /**
     * @param list<Take>  $takes          in the order in which they enter
     * @param list<Tie>   $ties
     * @param string|null $losesIfLeftOut what the sweet goes without when there is no time for it; null: it has to be done
     */
    public function __construct(
        public string $id,
        public Process $process,
        public string $title,
        public StepWords $words,
        public array $takes,
        public array $ties,
        public ?VesselUse $vessel,
        public StepWork $work,
        public StepYield $gives,
        public ?string $losesIfLeftOut = null,
    ) {
    }

    /**
     * @param list<Take> $takes
     * @param list<Tie>  $ties
     */
    public function with(array $takes, array $ties, ?VesselUse $vessel): self
    {
        return new self(
            $this->id,
            $this->process,
            $this->title,
            $this->words,
            $takes,
            $ties,
            $vessel,
            $this->work,
            $this->gives,
            $this->losesIfLeftOut,
        );
    }

    /** @return list<string> ids of the steps whose output this one takes, each once */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->takes as $take) {
            if (null !== $take->fromStep && !\in_array($take->fromStep, $sources, true)) {
                $sources[] = $take->fromStep;
            }
        }

        return $sources;
    }

    /** @return list<string> slugs of the bases it takes */
    public function bases(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (Take $t): ?string => $t->base, $this->takes))));
    }

    /** Whether it stands by itself for a time that the recipe leaves open: a soak, a rest, drying, straining over night. */
    public function standsAlone(): bool
    {
        return AttentionKind::None === $this->work->attention->kind
            && \in_array($this->work->time->growth, [Growth::Fixed, Growth::Warmth], true)
            && Flame::None === $this->work->flame;
    }

    /** Minutes between two loads by the recipe: wiped, dried, turned; lifted out and wiped where drops fall through a holed tool. */
    public function betweenLoads(): float
    {
        return max($this->work->time->loads->betweenMinutes ?? 0.0, $this->gives->pieces?->tool?->betweenMinutes() ?? 0.0);
    }

    /**
     * Whether several can each take a part of it, side by side: cold handwork by the piece or by mass, of which each has a bowl, board or
     * tray before him, and which no loads of another step pace.
     */
    public function isShared(): bool
    {
        return $this->process->facts()->isShared
            && Flame::None === $this->work->flame
            && \in_array($this->work->time->growth, [Growth::Piece, Growth::Mass], true)
            && (Process::MixIn !== $this->process || VesselKind::Bowl === $this->vessel?->kind)
            && [] === array_filter($this->takes, static fn (Take $t): bool => $t->manner->straightOn);
    }

    /** Whether one piece comes after the other, so that a window before it is over only when the last is done. */
    public function isPieceByPiece(): bool
    {
        return $this->isShared()
            && (Growth::Piece === $this->work->time->growth || $this->process->facts()->pieceByPiece);
    }

    /** The least time that its ties leave from when it may begin to when it should be over, minutes; null: none. */
    public function withinMinutes(): ?int
    {
        $within = null;
        foreach ($this->ties as $tie) {
            $within = null === $tie->maxMinutes ? $within : min($within ?? \PHP_INT_MAX, $tie->maxMinutes - $tie->minMinutes);
        }

        return $within;
    }

    /** A bowl by its number in the recipe's document, from 1. */
    public function bowl(?int $number): ?Take
    {
        foreach ($this->takes as $take) {
            if ($take->place + 1 === $number) {
                return $take;
            }
        }

        return null;
    }

    /** The fat a deep-fry stands in, or null. */
    public function fryingFat(): ?Take
    {
        foreach ($this->takes as $take) {
            if (null !== $take->fatDepthMm) {
                return $take;
            }
        }

        return null;
    }
}
