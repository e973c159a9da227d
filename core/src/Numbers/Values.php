<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Document\Node;

/** What was given for the inputs of a law, read and within limits. */
final readonly class Values
{
    /** @param array<string, float|string|list<self>> $values */
    private function __construct(private array $values)
    {
    }

    /** @param list<Input> $inputs */
    public static function read(Node $node, array $inputs): self
    {
        $node->object(array_map(static fn (Input $i): string => $i->name, $inputs));
        $values = [];
        foreach ($inputs as $input) {
            $values[$input->name] = $input->read($node->at($input->name));
        }

        return new self($values);
    }

    public function number(string $name): float
    {
        $value = $this->values[$name] ?? null;

        return \is_float($value) ? $value : throw new \LogicException('No number "'.$name.'".');
    }

    public function word(string $name): string
    {
        $value = $this->values[$name] ?? null;

        return \is_string($value) ? $value : throw new \LogicException('No word "'.$name.'".');
    }

    /** @return list<self> */
    public function rows(string $name): array
    {
        $value = $this->values[$name] ?? null;

        return \is_array($value) ? $value : throw new \LogicException('No rows "'.$name.'".');
    }
}
