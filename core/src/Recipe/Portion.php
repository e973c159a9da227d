<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Measure\AmountWriter;
use FeastLadle\Words\Sentence;

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

    /** So much of it, told as this sweet is counted: "12 × ladoo", "1.2 kg". */
    public function told(float $amount): Sentence
    {
        return $this->countsPieces
            ? new Sentence('{n} × {piece}', ['n' => $amount, 'piece' => $this->pieceName])
            : AmountWriter::weight($amount);
    }

    /** What a bare number beside it counts: "× ladoo", "g". */
    public function unit(): Sentence
    {
        return $this->countsPieces ? new Sentence('× {piece}', ['piece' => $this->pieceName]) : new Sentence('g');
    }

    public function withAmount(float $amount): self
    {
        return new self($amount, $this->countsPieces, $this->pieceName);
    }
}
