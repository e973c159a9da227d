<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Happening;

/** One thing that was said of the cooking day. Never edited: it may be withdrawn by another. */
final readonly class Event
{
    /**
     * @param string                  $id      the sender's own; the same twice is one event
     * @param \DateTimeImmutable      $at      when it happened
     * @param string|null             $by      person id
     * @param \DateTimeImmutable|null $arrived when it was heard
     * @param string|null             $plan    fingerprint of the plan it was said under
     * @param bool                    $isGuess its time is about right only
     * @param string                  $content all it says, to be compared
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public ?string $by,
        public ?\DateTimeImmutable $arrived,
        public ?string $plan,
        public bool $isGuess,
        public Happening $what,
        public string $content,
    ) {
    }
}
