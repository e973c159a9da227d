<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** What a thing is, as far as amounts, pots and plates depend on it. */
final readonly class Ingredient
{
    /** From this share on a thing is a sweetener. */
    private const SWEETENER = 0.6;

    /**
     * @param list<string>     $names       other names it goes by
     * @param list<Likeness>   $unlike      what it is not to be confused with
     * @param list<Substitute> $substitutes
     * @param float|null       $mostCelsius it splits or loses its scent above; null: it stands the boil
     * @param bool             $own         corrected or added by this kitchen
     */
    public function __construct(
        public string $id,
        public string $name,
        public Composition $composition,
        public Weights $weights,
        public WaterTaken $water,
        public Buying $buying,
        public Caveats $caveats,
        public array $names,
        public array $unlike,
        public array $substitutes,
        public ?float $mostCelsius,
        public bool $own,
    ) {
    }

    /** The share of it that counts as added sugar; in a sweetener all its sugar, in tinned milk what was stirred in. */
    public function addedSugarShare(): float
    {
        return match (true) {
            null !== $this->composition->addedSugar => $this->composition->addedSugar,
            $this->composition->sugar >= self::SWEETENER => $this->composition->sugar,
            default => 0.0,
        };
    }

    public function substitute(Without $without): ?Substitute
    {
        foreach ($this->substitutes as $substitute) {
            if ($substitute->without === $without) {
                return $substitute;
            }
        }

        return null;
    }
}
