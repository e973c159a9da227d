<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\FeastRecord;
use FeastLadle\Kitchen\Kitchen;

/** A feast read from the store: the record, its document, and what the core makes of it. */
final readonly class OpenFeast
{
    /** @param array<string, mixed> $document */
    public function __construct(
        public FeastRecord $record,
        public array $document,
        public \FeastLadle\Feast\Feast $feast,
        public Kitchen $kitchen,
    ) {
    }

    public function id(): int
    {
        return $this->record->getId() ?? throw new \LogicException('An open feast is stored.');
    }
}
