<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** What the log says of one step. */
final readonly class StepProgress
{
    /**
     * @param float      $share          of a piecework that is finished
     * @param Event|null $saidBy         that ended it
     * @param bool       $startedIsGuess nobody said when it began
     */
    public function __construct(
        public StepState $state,
        public ?\DateTimeImmutable $started = null,
        public ?\DateTimeImmutable $ended = null,
        public float $share = 0.0,
        public ?Event $saidBy = null,
        public bool $startedIsGuess = false,
    ) {
    }

    public static function notYet(): self
    {
        return new self(StepState::NotYet);
    }

    public function begun(\DateTimeImmutable $at): self
    {
        return StepState::Running === $this->state ? $this : new self(StepState::Running, $at);
    }

    public function with(StepState $state): self
    {
        return new self($state, $this->started, $this->ended, $this->share, $this->saidBy, $this->startedIsGuess);
    }
}
