<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Glance\Sweet;
use FeastLadle\Recipe\ServingWay;
use Symfony\Component\HttpFoundation\InputBag;

/** What is looked for in the book: words, how it comes to the plate, how long it keeps, how much work, without what. */
final readonly class BookAsked
{
    public const MOST_WORDS = 80;

    /** A day of waiting, in minutes. */
    public const DAY = 1440;

    public const OF_PLANTS = 'plants';

    /** @param list<string> $words in small letters */
    private function __construct(
        public string $text,
        public array $words,
        public ?ServingWay $served,
        public int $keepsDays,
        public int $mostHands,
        public string $without,
    ) {
    }

    /** @param InputBag<string> $query what can't be meant asks for nothing */
    public static function of(InputBag $query): self
    {
        $text = mb_substr(trim($query->getString('q')), 0, self::MOST_WORDS);

        return new self(
            $text,
            array_values(array_filter(preg_split('/[\s,]+/u', mb_strtolower($text)) ?: [], static fn (string $w): bool => '' !== $w)),
            ServingWay::tryFrom($query->getString('served')),
            max(0, min(60, (int) $query->getString('keeps'))),
            max(0, min(600, (int) $query->getString('hands'))),
            mb_substr($query->getString('without'), 0, 40),
        );
    }

    public function isOpen(): bool
    {
        return [] === $this->words && null === $this->served && 0 === $this->keepsDays && 0 === $this->mostHands && '' === $this->without;
    }

    public function fits(string $name, string $summary, Sweet $sweet): bool
    {
        $told = mb_strtolower($name.' '.$summary.' '.implode(' ', $sweet->things));
        foreach ($this->words as $word) {
            if (!str_contains($told, $word)) {
                return false;
            }
        }

        return (null === $this->served || $this->served === $sweet->served)
            && $sweet->keepMinutes >= $this->keepsDays * self::DAY
            && (0 === $this->mostHands || $sweet->handMinutes <= $this->mostHands)
            && (self::OF_PLANTS === $this->without
                ? $sweet->isOfPlants
                : '' === $this->without || !\in_array($this->without, $sweet->allergens, true));
    }
}
