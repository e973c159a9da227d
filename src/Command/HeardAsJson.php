<?php

declare(strict_types=1);

namespace App\Command;

use FeastLadle\Telling\Contradiction;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Telling\ToldSign;
use FeastLadle\Telling\ToldStep;

/** What was heard of a telling, as rows that name the words they were read from. */
final class HeardAsJson
{
    /** @return array<string, mixed> */
    public static function of(Heard $heard): array
    {
        $words = static fn (int $first, int $next): string => $first < 0
            ? ''
            : (string) preg_replace('/\s+/', ' ', $heard->text->words($first, $next));

        return [
            'amounts' => array_map(static fn (ToldAmount $a): array => [
                'thing' => $a->thing->id ?? null,
                'named' => $a->named,
                'from' => $a->from,
                'to' => $a->to,
                'unit' => $a->unit?->value,
                'vague' => $a->vague,
                'grams' => null === $a->grams ? null : round($a->grams, 2),
                'words' => $words($a->first, $a->next),
            ], $heard->amounts),
            'steps' => array_map(static fn (ToldStep $s): array => [
                'process' => $s->process->value,
                'minutes' => $s->minutes,
                'flame' => $s->flame?->value,
                'vessel' => $s->vessel?->value,
                'attention' => $s->attention?->value,
                'stage' => $s->stage?->value,
                'celsius' => $s->celsius,
                'releases' => $s->releases,
                'takes' => array_map(static fn (ToldAmount $a): string => $a->key(), $s->amounts),
                'from' => $s->sources,
                'signs' => array_map(static fn (ToldSign $g): array => [
                    'kind' => $g->kind->value,
                    'words' => $g->words,
                    'rescue' => $g->rescue,
                ], $s->signs),
                'cautions' => $s->cautions,
                'words' => $words($s->first, $s->next),
            ], $heard->steps),
            'streams' => \count(array_filter($heard->steps, static fn (ToldStep $s): bool => [] === $s->sources)),
            'contradictions' => array_map(static fn (Contradiction $c): array => [
                'about' => $c->about,
                'text' => $c->asks->text(),
                'words' => $words($c->first, $c->next),
            ], $heard->contradictions),
            'alternatives' => array_map(static fn (ToldAmount $a): string => $a->key(), $heard->alternatives),
            'setAside' => array_map(static fn (array $a): array => [
                'why' => $a[1],
                'words' => $words($a[0]->first, $a[0]->next),
            ], $heard->setAside),
            'makes' => $heard->frame->makes,
            'keeps' => $heard->frame->keeps,
            'served' => $heard->frame->served,
        ];
    }
}
