<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Recipe\Take;
use FeastLadle\Telling\ToldAmount;

/** The bowls of a told recipe: how much was said, or supposed and asked; a thing that no larder knows is a bowl with its name. */
final class ToldBowls
{
    private const SPICE_GRAMS = 2.0;
    private const SPRINKLE_GRAMS = 25.0;
    private const BODY_GRAMS = 100.0;
    private const UNSAID = 'what-was-not-said';

    /** @var array<string, string> names by id */
    private array $unknown = [];

    public function __construct(private readonly OpenPoints $open)
    {
    }

    /** @return list<array{id: string, name: string}> what the recipe brings with it */
    public function brought(): array
    {
        $brought = [];
        foreach ($this->unknown as $id => $name) {
            $brought[] = ['id' => (string) $id, 'name' => $name];
        }

        return $brought;
    }

    /** @return array<string, mixed> */
    public function of(ToldAmount $amount, string $place): array
    {
        $thing = $amount->thing;
        $name = $thing->name ?? $amount->named;
        $at = [$amount->first, $amount->next];
        $id = $thing->id ?? $this->named($amount, $place);
        $isSpice = null !== $thing
            && ($thing->buying->pack->grams <= 60 || \in_array($thing->id, ['salt', 'baking-soda', 'baking-powder'], true));
        $grams = $amount->grams;
        if (null === $grams) {
            $grams = match (true) {
                $isSpice => self::SPICE_GRAMS,
                1 === preg_match('/\b(?:few|little|handful|garnish|some|bit|speck)\b/i', $amount->vague) => self::SPRINKLE_GRAMS,
                default => self::BODY_GRAMS,
            };
            $this->open->guess($place.'/grams', '{name}: no amount was told; {grams} g were supposed', name: $name, grams: $grams);
            $this->ask($amount, $thing, $isSpice, $name, $place, $at);
        }
        foreach ($amount->guesses as $guess) {
            $this->open->guess($place, '{name}: {guess}', name: $name, guess: $guess->sentence->text());
        }
        $bowl = ['ingredient' => $id, 'grams' => round(max(0.01, $grams), 2)];
        if ('' !== $amount->vague) {
            $bowl['how'] = mb_substr($amount->vague, 0, 150);
        }
        if ($isSpice && $bowl['grams'] < 20) {
            $bowl['exponent'] = Take::STRONG;
        }

        return $bowl;
    }

    /** @return array<string, mixed> a bowl of which nobody said what it holds */
    public function unsaid(string $place): array
    {
        $this->unknown[self::UNSAID] = 'What was not said';
        $this->open->guess($place.'/grams', 'What goes in here was not told; {grams} g were supposed', grams: self::BODY_GRAMS);

        return ['ingredient' => self::UNSAID, 'grams' => self::BODY_GRAMS];
    }

    /** @param array{int, int} $at tokens of the text */
    private function ask(ToldAmount $amount, ?Ingredient $thing, bool $isSpice, string $name, string $place, array $at): void
    {
        $weight = $isSpice ? 0.25 : (null !== $thing && $thing->addedSugarShare() > 0 ? 1.0 : 0.9);
        [$asks, $values] = '' === $amount->vague
            ? ['{name}: how much?', ['name' => $name]]
            : ['{name}: how much is "{words}"?', ['name' => $name, 'words' => $amount->vague]];
        $this->open->add(OpenPoint::asking($place.'/grams', $weight, $asks, $values, $at));
    }

    /** A name for what no larder knows, and the question what it is. */
    private function named(ToldAmount $amount, string $place): string
    {
        $id = trim(substr((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($amount->named)), 0, 50), '-');
        $id = 1 === preg_match('/^[a-z]/', $id) ? $id : 'thing-'.substr(md5($amount->named), 0, 6);
        if (!isset($this->unknown[$id])) {
            $this->open->add(OpenPoint::asking(
                $place,
                0.7,
                'What is "{words}"? The larder knows no such thing; it stays a bowl with that name.',
                ['words' => mb_substr($amount->named, 0, 80)],
                [$amount->first, $amount->next],
            ));
        }
        $this->unknown[$id] = mb_substr($amount->named, 0, 80);

        return $id;
    }
}
