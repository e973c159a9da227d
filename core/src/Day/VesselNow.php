<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Flow\Contents;
use FeastLadle\Vessel\Vessel;

/** What stands in a vessel in this minute. */
final readonly class VesselNow
{
    /**
     * @param list<string> $holds dish/batch
     * @param string       $where a fire, another vessel, or a place
     */
    public function __construct(
        public Vessel $vessel,
        public array $holds,
        public Contents $contents,
        public string $where,
        public ?string $flame,
        public string $lid,
    ) {
    }

    public function holding(Contents $contents): self
    {
        return new self($this->vessel, $this->holds, $contents, $this->where, $this->flame, $this->lid);
    }
}
