<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** A step that makes pieces: grams of one, and how wide one lies in the pan. */
final readonly class PieceMaking
{
    /** @param HoledTool|null $tool through which they fall as drops */
    public function __construct(public float $grams, public float $widthMm, public ?HoledTool $tool = null)
    {
    }
}
