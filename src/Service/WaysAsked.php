<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\Fault;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Schools\Choices;
use FeastLadle\Schools\ChoicesReader;
use Symfony\Component\HttpFoundation\InputBag;

/** What an address asks of a recipe's schools and dials, in the words of a feast document: schools[roast]=dry, dials[sweet]=0.9. */
final readonly class WaysAsked
{
    /** @param list<Fault> $faults why what was asked can't be; the choices are then as written */
    private function __construct(public Choices $choices, public array $faults)
    {
    }

    /** @param InputBag<string> $query */
    public static function of(InputBag $query, Recipe $written): self
    {
        $asked = [];
        foreach (ChoicesReader::FIELDS as $field) {
            if ($query->has($field)) {
                $asked[$field] = $query->all()[$field];
            }
        }
        if (\is_array($asked['dials'] ?? null)) {
            // An untouched dial need not be sent at all.
            $asked['dials'] = array_map(
                static fn (mixed $v): mixed => is_numeric($v) ? (float) $v : $v,
                array_filter($asked['dials'], static fn (mixed $v): bool => '' !== $v),
            );
        }
        foreach (['schools', 'dials'] as $field) {
            // An empty list is an empty object here.
            if ([] === ($asked[$field] ?? null)) {
                unset($asked[$field]);
            }
        }
        $faults = new Faults();
        $choices = (new ChoicesReader())->read(Node::root($asked, $faults), $written->way);
        // A school whose question does not arise under the others is not asked.
        $schools = array_intersect_key($choices->schools, $written->way->answers($choices->schools));

        return new self($faults->isEmpty() ? $choices->withSchools($schools) : Choices::asWritten(), $faults->all());
    }
}
