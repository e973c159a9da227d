<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Slips\Way;

/** A way on, and what it comes to from this minute. */
final readonly class WayNow
{
    /**
     * @param string                  $id        of the slip and the way, as it is answered
     * @param \DateTimeImmutable|null $ready     when the sweet is there by it; null where no plan was found
     * @param bool                    $isPlanned planned from this minute and passed by the audit
     */
    public function __construct(
        public string $id,
        public Way $way,
        public ?\DateTimeImmutable $ready,
        public int $lateMinutes,
        public bool $isPlanned,
    ) {
    }
}
