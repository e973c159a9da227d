<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Some words of a text that mean something together. */
final readonly class Span
{
    /**
     * @param int        $first   its first token
     * @param int        $next    the token behind it
     * @param float|null $from    of a number, a measure, minutes, °C, mm
     * @param bool       $isBare  a measure that was said without a number: "kilo of"
     * @param bool       $isShare "a third of the": of what was said before
     */
    public function __construct(
        public SpanKind $kind,
        public int $first,
        public int $next,
        public ?float $from = null,
        public ?float $to = null,
        public ?SpokenUnit $unit = null,
        public ?Ingredient $thing = null,
        public ?Action $action = null,
        public ?VerbForm $form = null,
        public ?Flame $flame = null,
        public ?VesselKind $vessel = null,
        public ?Stage $stage = null,
        public bool $isBare = false,
        public bool $isShare = false,
    ) {
    }

    public function is(SpanKind ...$kinds): bool
    {
        return \in_array($this->kind, $kinds, true);
    }

    public function isDone(Action ...$actions): bool
    {
        return null !== $this->action && \in_array($this->action, $actions, true);
    }
}
