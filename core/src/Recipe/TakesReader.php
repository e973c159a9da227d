<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;
use FeastLadle\Larder\Larder;
use FeastLadle\Schools\ChosenWay;
use FeastLadle\Schools\Lever;

/** Reads what a step takes, bowl by bowl: how much, in how many parts, in which manner, and what is held in reserve. */
final readonly class TakesReader
{
    public function __construct(private Larder $larder, private ChosenWay $way, private Swaps $swaps)
    {
    }

    /**
     * The bowls that belong to this way. What stands for another ingredient goes in in its place.
     *
     * @return list<Take>
     */
    public function read(Node $list, string $step): array
    {
        $takes = [];
        foreach ($list->items(60) as $place => $node) {
            $take = $this->take($node, $step, $place);
            if ($this->way->holds($node)) {
                $takes[] = $take;
            }
        }

        return $takes;
    }

    private function take(Node $node, string $step, int $place): Take
    {
        $node->object([
            'ingredient',
            'grams',
            'exponent',
            'fatDepthMm',
            'reserve',
            'decides',
            'from',
            'output',
            'share',
            'base',
            'how',
            'parts',
            'atMinute',
            'wants',
            'straightOn',
            'when',
            'boilsOff',
        ]);
        $how = $node->at('how')->string('', 200);
        $manner = $this->manner($node);
        if (1 < \count(array_filter(['from', 'ingredient', 'base'], $node->has(...)))) {
            $node->fault('A bowl holds either an ingredient, or a step\'s output, or a base.');
        }
        foreach ($this->unused($node) as $field) {
            if ($node->has($field)) {
                $node->at($field)->fault('Nothing comes of this in such a bowl.');
            }
        }
        if ($node->has('from')) {
            return Take::output(
                $node->at('from')->id(),
                $node->has('output') ? $node->at('output')->id() : null,
                $node->at('share')->number(0.001, 1, 1.0),
                $how,
                $manner,
                $place,
            );
        }
        if ($node->has('base')) {
            return Take::base($node->at('base')->id(), $node->at('grams')->number(0.01, 100000), $how, $manner, $place);
        }
        $ingredient = $node->at('ingredient')->id();
        if ('' !== $ingredient && !$this->larder->knows($ingredient)) {
            $node->at('ingredient')->fault('The larder holds no "{id}".', ['id' => $ingredient]);
        }
        [$used, $ratio] = $this->swaps->of($ingredient, $step);
        if ($node->has('fatDepthMm')) {
            return Take::fatToDepth($used, $node->at('fatDepthMm')->number(5, 300), $how, $place);
        }
        $factor = $ratio * $this->way->factor($step, Lever::Ingredient, $ingredient);

        return Take::ingredient(
            $used,
            $node->at('grams')->number(0.01, 100000) * $factor,
            $node->at('exponent')->number(0.3, 1.2, 1.0),
            $how,
            $node->at('reserve')->number(0, 100000, 0.0) * $factor,
            $manner,
            $place,
            $node->at('boilsOff')->number(0, $node->at('grams')->number(0.01, 100000), 0.0) * $factor,
        );
    }

    /** @return list<string> fields of which nothing would come: of a step's output only a share is taken, and so on */
    private function unused(Node $node): array
    {
        $unused = match (true) {
            $node->has('from') => ['grams', 'exponent', 'fatDepthMm', 'reserve', 'boilsOff'],
            $node->has('base') => ['output', 'share', 'exponent', 'fatDepthMm', 'reserve', 'boilsOff', 'straightOn'],
            $node->has('fatDepthMm') => [
                'output', 'share', 'grams', 'exponent', 'reserve', 'boilsOff', 'parts', 'atMinute', 'wants', 'straightOn',
            ],
            default => ['output', 'share', 'straightOn'],
        };

        return $node->has('reserve') && !\in_array('reserve', $unused, true) ? $unused : [...$unused, 'decides'];
    }

    private function manner(Node $node): Manner
    {
        $wants = null;
        if ($node->has('wants')) {
            $node->at('wants')->object(['least', 'most']);
            $wants = new Warmth(
                $node
                    ->at('wants')
                    ->at('least')
                    ->number(-20, 250, -20.0),
                $node
                    ->at('wants')
                    ->at('most')
                    ->number(-20, 250, 250.0),
            );
            if ($wants->least > $wants->most) {
                $node
                    ->at('wants')
                    ->fault('At least {least} °C and at most {most} °C can\'t both be.', [
                        'least' => $wants->least,
                        'most' => $wants->most,
                    ]);
            }
        }

        return new Manner(
            $node->at('parts')->int(1, 50, 1),
            $node->has('atMinute') ? $node->at('atMinute')->int(0, 1440) : null,
            $node->at('decides')->string('', 200),
            $wants,
            $node->at('straightOn')->bool(false),
        );
    }
}
