<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** A usual portion for a grown-up: grams, or a number of pieces. */
final readonly class Portion
{
    private function __construct(public float $amount, public bool $countsPieces, public string $pieceName)
    {
    }

    public static function grams(float $grams): self
    {
        return new self($grams, false, '');
    }

    public static function pieces(float $pieces, string $pieceName): self
    {
        return new self($pieces, true, $pieceName);
    }

    public function withAmount(float $amount): self
    {
        return new self($amount, $this->countsPieces, $this->pieceName);
    }
}
