<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

use FeastLadle\Document\Node;

/** The ways a recipe is read by: every school of it with the option that holds, its dials, and where they stand. */
final readonly class ChosenWay
{
    /**
     * @param list<School>                                       $schools    all of the recipe
     * @param array<string, string>                              $options    school id → option id, for every school whose question arises
     * @param list<Dial>                                         $dials
     * @param list<Exclusion>                                    $exclusions
     * @param array<string, array{title: string, loses: string}> $optional   steps that may be left out when time is short, by id
     */
    public function __construct(
        public array $schools,
        public array $options,
        public array $dials,
        public array $exclusions,
        public Choices $choices,
        public array $optional = [],
    ) {
    }

    /** The same ways, by choices that change no school. */
    public function by(Choices $choices): self
    {
        return new self($this->schools, $this->options, $this->dials, $this->exclusions, $choices, $this->optional);
    }

    public function school(string $id): ?School
    {
        foreach ($this->schools as $school) {
            if ($school->id === $id) {
                return $school;
            }
        }

        return null;
    }

    /**
     * Which option holds for every school whose question arises under what was chosen.
     *
     * @param array<string, string> $chosen
     *
     * @return array<string, string>
     */
    public function answers(array $chosen): array
    {
        $options = [];
        foreach ($this->schools as $school) {
            if (self::meets($school->when, $options)) {
                $options[$school->id] = $chosen[$school->id] ?? $school->usual();
            }
        }

        return $options;
    }

    /** Whether a part of the document belongs to this way; it says under which choices with "when". */
    public function holds(Node $node): bool
    {
        $holds = true;
        foreach (self::conditions($node->at('when'), $this->schools) as $school => $options) {
            $holds = $holds && \in_array($this->options[$school] ?? null, $options, true);
        }

        return $holds;
    }

    /** A part of the document with those of its variants laid over it that belong to this way. */
    public function varied(Node $node): Node
    {
        foreach ($node->at('variants')->items(20) as $variant) {
            if ($this->holds($variant)) {
                $node = $node->over($variant);
            }
        }

        return $node;
    }

    /** By how much the dials multiply something. */
    public function factor(string $step, Lever $lever, string $ingredient = ''): float
    {
        $factor = 1.0;
        foreach ($this->dials as $dial) {
            foreach ($dial->moves as $move) {
                if ($move->step === $step && $move->lever === $lever && $move->ingredient === $ingredient) {
                    $factor *= $move->factor($this->choices->dial($dial->kind));
                }
            }
        }

        return $factor;
    }

    /** The first exclusion that these options meet, or null. */
    public function excludedBy(): ?Exclusion
    {
        foreach ($this->exclusions as $exclusion) {
            if (self::meets($exclusion->when, $this->options)) {
                return $exclusion;
            }
        }

        return null;
    }

    /**
     * @param array<string, list<string>> $when
     * @param array<string, string>       $options
     */
    public static function meets(array $when, array $options): bool
    {
        foreach ($when as $school => $wanted) {
            if (!\in_array($options[$school] ?? null, $wanted, true)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Reads "when": school ids, each with an option or a list of options.
     *
     * @param list<School> $schools
     *
     * @return array<string, list<string>>
     */
    public static function conditions(Node $node, array $schools): array
    {
        $known = [];
        foreach ($schools as $school) {
            $known[$school->id] = array_map('strval', array_keys($school->options));
        }
        $conditions = [];
        foreach ($node->fields(20) as $id => $place) {
            if (!isset($known[$id])) {
                $place->fault('This recipe has no school "{id}".', ['id' => mb_substr($id, 0, 60)]);
                continue;
            }
            $conditions[$id] = [];
            foreach ($place->isList() ? $place->items(20, 1) : [$place] as $option) {
                $name = $option->string();
                if (!\in_array($name, $known[$id], true)) {
                    $option->fault('The school "{school}" has no option "{option}"; it has: {known}.', [
                        'school' => $id,
                        'option' => mb_substr($name, 0, 60),
                        'known' => implode(', ', $known[$id]),
                    ]);
                }
                $conditions[$id][] = $name;
            }
        }

        return $conditions;
    }
}
