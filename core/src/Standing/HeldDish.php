<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Flow\Exemption;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Vessel\Vessel;

/** What a round of a dish stands in, and how warm, from when it is ready until the last who eat of it. */
final readonly class HeldDish
{
    /**
     * @param Vessel|null             $vessel      that it was last in
     * @param string|null             $fire        burner id, where it stands on one
     * @param non-empty-list<Reading> $readings    from ready to the last who eat
     * @param float                   $bandMinutes between hot and cold, since its first heating
     * @param Exemption|null          $exempt      why it needs no clock
     */
    public function __construct(
        public StandingStep $last,
        public ?Vessel $vessel,
        public Place $place,
        public ?string $fire,
        public array $readings,
        public float $bandMinutes,
        public ?Exemption $exempt,
    ) {
    }

    public function isTooLong(): bool
    {
        return null === $this->exempt && $this->bandMinutes > TwoClocks::STOP_MINUTES;
    }

    public function warns(): bool
    {
        return null === $this->exempt && $this->bandMinutes > TwoClocks::WARN_MINUTES;
    }
}
