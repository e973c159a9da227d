<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Telling\Heard;

/** A draft made of what was told, with the questions that matter most and every guess. */
final readonly class ToldDraft
{
    /**
     * @param list<OpenPoint> $questions the most consequential first
     * @param list<OpenPoint> $guesses
     */
    public function __construct(public Draft $draft, public array $questions, public array $guesses, public Heard $heard)
    {
    }
}
