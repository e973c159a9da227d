<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** Water a dry thing takes, g per g dry; null where it takes none, or nobody knows. */
final readonly class WaterTaken
{
    /**
     * @param float|null $soak   when soaked
     * @param float|null $cooked in all, when cooked
     */
    public function __construct(public ?float $soak, public ?float $cooked)
    {
    }
}
