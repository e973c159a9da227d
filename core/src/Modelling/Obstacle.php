<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Words\Sentence;

/** Why a dish cannot be, or cannot be in time. */
final readonly class Obstacle
{
    public Sentence $sentence;

    /**
     * @param array<string, string|int|float|Sentence> $values
     * @param string|null                              $step   id of the step at which it binds
     * @param Mend|null                                $mend   with which it was planned, and went or was less late
     */
    public function __construct(
        public string $dish,
        string $message,
        array $values = [],
        public ObstacleKind $kind = ObstacleKind::Window,
        public ?string $step = null,
        public ?Mend $mend = null,
    ) {
        $this->sentence = new Sentence($message, $values);
    }

    public function text(): string
    {
        return $this->sentence->text();
    }
}
