<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Schools\DialKind;

/** Schools and dials of a draft: added and taken away. */
final class WaysEditing
{
    /** @param array<string, string> $with name, dial, step, ingredient */
    public function apply(Draft $draft, string $verb, string $at, array $with): Draft
    {
        $document = $draft->document();
        $schools = array_values(\is_array($document['schools'] ?? null) ? $document['schools'] : []);
        $dials = array_values(\is_array($document['dials'] ?? null) ? $document['dials'] : []);

        return match ($verb) {
            'add-school' => $this->with($draft, 'schools', [...$schools, $this->school($schools)]),
            'add-option' => $this->with($draft, 'schools', $this->withOption($schools, (int) $at)),
            'remove-school' => $this->withoutSchool($draft, $schools, (int) $at),
            'add-dial' => $this->with($draft, 'dials', $this->withDial($dials, $with)),
            'remove-dial' => $this->with($draft, 'dials', array_values(array_diff_key($dials, [(int) $at => true]))),
            default => $draft,
        };
    }

    /** @param list<mixed> $rows */
    private function with(Draft $draft, string $field, array $rows): Draft
    {
        $document = $draft->document();
        $document[$field] = $rows;
        if ([] === $rows) {
            unset($document[$field]);
        }

        return Draft::of($document);
    }

    /**
     * @param list<mixed> $schools
     *
     * @return array<string, mixed>
     */
    private function school(array $schools): array
    {
        $ids = array_map(static fn (mixed $s): mixed => \is_array($s) ? $s['id'] ?? '' : '', $schools);
        $n = 1;
        while (\in_array('school-'.$n, $ids, true)) {
            ++$n;
        }

        return [
            'id' => 'school-'.$n,
            'question' => 'Which way?',
            'options' => [
                ['id' => 'ours', 'name' => 'Our way', 'why' => 'As it was taught.'],
                ['id' => 'other', 'name' => 'The other way', 'why' => 'As others do.'],
            ],
        ];
    }

    /**
     * @param list<mixed> $schools
     *
     * @return list<mixed>
     */
    private function withOption(array $schools, int $at): array
    {
        $school = $schools[$at] ?? null;
        if (\is_array($school)) {
            $options = \is_array($school['options'] ?? null) ? array_values($school['options']) : [];
            $school['options'] = [
                ...$options,
                ['id' => 'way-'.(\count($options) + 1), 'name' => 'Another way', 'why' => 'As others do.'],
            ];
            $schools[$at] = $school;
        }

        return $schools;
    }

    /** @param list<mixed> $schools */
    private function withoutSchool(Draft $draft, array $schools, int $at): Draft
    {
        $id = \is_array($schools[$at] ?? null) ? $schools[$at]['id'] ?? null : null;
        $left = array_values(array_diff_key($schools, [$at => true]));
        $draft = $this->with($draft, 'schools', $left);

        return Draft::of(['steps' => self::withoutCondition($draft->steps(), \is_string($id) ? $id : '')] + $draft->document());
    }

    /** What held only under a school that is gone holds always. */
    private static function withoutCondition(mixed $value, string $school): mixed
    {
        if (!\is_array($value)) {
            return $value;
        }
        if (\is_array($value['when'] ?? null)) {
            unset($value['when'][$school]);
            if ([] === $value['when']) {
                unset($value['when']);
            }
        }

        return array_map(static fn (mixed $v): mixed => self::withoutCondition($v, $school), $value);
    }

    /**
     * @param list<mixed>           $dials
     * @param array<string, string> $with
     *
     * @return list<mixed>
     */
    private function withDial(array $dials, array $with): array
    {
        $kind = DialKind::tryFrom($with['dial'] ?? '') ?? DialKind::Sweet;
        [$step, $ingredient] = [...explode('/', $with['moves'] ?? '', 2), ''];
        $move = '' === $ingredient ? ['step' => $step, 'lever' => 'time'] : ['step' => $step, 'ingredient' => $ingredient];
        foreach ($dials as $i => $dial) {
            if (\is_array($dial) && ($dial['dial'] ?? null) === $kind->value) {
                $dial['moves'] = [...array_values(\is_array($dial['moves'] ?? null) ? $dial['moves'] : []), $move];
                $dials[$i] = $dial;

                return $dials;
            }
        }

        return [...$dials, ['dial' => $kind->value, 'least' => 0.8, 'most' => 1.2, 'below' => '', 'above' => '', 'moves' => [$move]]];
    }
}
