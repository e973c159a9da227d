<?php

declare(strict_types=1);

namespace FeastLadle\Schools;

use FeastLadle\Document\Node;
use FeastLadle\Larder\Without;

/** Reads what was chosen for a dish against what its recipe offers. What is not offered is a fault, and then nothing is chosen. */
final class ChoicesReader
{
    /** Fields of a dish that hold choices. */
    public const FIELDS = ['schools', 'dials', 'without', 'bought', 'leftOut', 'instead'];

    /** @param ChosenWay $written the recipe's ways, as read without choices */
    public function read(Node $node, ChosenWay $written): Choices
    {
        $sound = true;
        $schools = [];
        foreach ($node->at('schools')->fields(20) as $id => $place) {
            $option = $place->string();
            $school = $written->school($id);
            if (null === $school) {
                $place->fault('This recipe has no school "{id}".', ['id' => mb_substr($id, 0, 60)]);
                $sound = false;
            } elseif (!isset($school->options[$option])) {
                $place->fault('The school "{school}" has no option "{option}"; it has: {known}.', [
                    'school' => $id,
                    'option' => mb_substr($option, 0, 60),
                    'known' => implode(', ', array_keys($school->options)),
                ]);
                $sound = false;
            } else {
                $schools[$id] = $option;
            }
        }
        $options = $written->answers($schools);
        foreach ($written->exclusions as $exclusion) {
            if (ChosenWay::meets($exclusion->when, $options)) {
                $node->at('schools')->fault('These ways do not go together: {why}', ['why' => $exclusion->why]);
                $sound = false;
            }
        }
        $dials = $this->dials($node->at('dials'), $written, $sound);
        $without = array_map(static fn (Node $n): Without => $n->enum(Without::class), $node->at('without')->items(5));
        $bought = array_map(static fn (Node $n): string => $n->id(), $node->at('bought')->items(20));
        $instead = [];
        foreach ($node->at('instead')->items(20) as $place) {
            $place->object(['for', 'ingredient', 'ratio']);
            $instead[] = new Exchange($place->at('for')->id(), $place->at('ingredient')->id(), $place->at('ratio')->number(0.05, 20, 1.0));
        }
        $leftOut = [];
        foreach ($node->at('leftOut')->items(20) as $place) {
            $id = $place->string();
            if (!isset($written->optional[$id])) {
                $place->fault(
                    [] === $written->optional
                        ? 'Nothing of this recipe may be left out.'
                        : 'The step "{id}" can\'t be left out of this recipe; these may: {known}.',
                    ['id' => mb_substr($id, 0, 60), 'known' => implode(', ', array_keys($written->optional))],
                );
                $sound = false;
            }
            $leftOut[] = $id;
        }

        return $sound
            ? new Choices(
                $schools,
                $dials,
                array_values(array_unique($without, \SORT_REGULAR)),
                $bought,
                array_values(array_unique($leftOut)),
                $instead,
            )
            : Choices::asWritten();
    }

    /** @return array<string, float> */
    private function dials(Node $node, ChosenWay $written, bool &$sound): array
    {
        $known = [];
        foreach ($written->dials as $dial) {
            $known[$dial->kind->value] = $dial;
        }
        $dials = [];
        foreach ($node->fields(10) as $kind => $place) {
            $dial = $known[$kind] ?? null;
            if (null === $dial) {
                $place->fault('This recipe has no dial "{dial}".', ['dial' => mb_substr($kind, 0, 40)]);
                $sound = false;
                continue;
            }
            $value = $place->number(0.1, 5);
            if ($value < $dial->least - 1e-9 || $value > $dial->most + 1e-9) {
                $place->fault('{label} goes from {least} to {most} here, not {given}. {why}', [
                    'label' => $dial->kind->label(),
                    'least' => $dial->least,
                    'most' => $dial->most,
                    'given' => $value,
                    'why' => $value < $dial->least ? $dial->below : $dial->above,
                ]);
                $sound = false;
            }
            $dials[$kind] = $value;
        }

        return $dials;
    }
}
