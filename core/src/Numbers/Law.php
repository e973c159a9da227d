<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;

/** One law of the kitchen with its inputs, so that a cook can hold it against a table of their own. */
final readonly class Law
{
    /**
     * @param list<Input>                    $inputs
     * @param \Closure(Values): list<Figure> $compute may throw \DomainException, with the value and the limit
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $formula,
        public array $inputs,
        private \Closure $compute,
    ) {
    }

    /**
     * @return list<Figure>
     *
     * @throws FaultyDocument with the pointer of what is wrong
     */
    public function of(string $json): array
    {
        $faults = new Faults();
        $values = Values::read(JsonText::decode($json, 'numbers', $faults), $this->inputs);
        $faults->throwIfAny('numbers');
        try {
            return ($this->compute)($values);
        } catch (\DomainException $impossible) {
            throw FaultyDocument::because('numbers', '{why}', ['why' => $impossible->getMessage()]);
        }
    }
}
