<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenDraft;
use App\Service\RecipeBook;
use FeastLadle\Document\Fault;
use FeastLadle\Drafting\Comparing;
use FeastLadle\Drafting\Difference;
use FeastLadle\Drafting\Draft;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Words\Sentence;

/**
 * The writing desk of a recipe: the map, the open step with just its questions, the check.
 *
 * @phpstan-import-type MapNode from DraftMap
 * @phpstan-import-type MapStream from DraftMap
 *
 * @phpstan-type Asked array{number: int, text: string, guess: bool, step: int|null, pointer: string, effect: string, later: bool}
 * @phpstan-type Source array{id: string, title: string, outputs: list<string>, kind: string, left: float}
 */
final readonly class DraftPage
{
    public function __construct(private Larder $larder, private DraftMap $map, private RecipeBook $book)
    {
    }

    /**
     * @return array{map: array{width: float, height: float, nodes: list<MapNode>, streams: list<MapStream>}, open: int,
     *     step: array<array-key, mixed>|null, guide: ProcessGuide|null, stretches: array<string, array<string, string>>,
     *     faultsAt: array<string, list<Fault>>, elsewhere: list<Fault>, others: list<Source>, stands: Sentence|null, gives: Sentence|null,
     *     things: array<string, string>, bases: array<string, string>, conditions: array<string, string>, movable: array<string,
     *     string>, asked: list<Asked>, differences: list<Difference>}
     */
    public function of(OpenDraft $open, int $index): array
    {
        $steps = $open->draft->steps();
        $index = isset($steps[$index]) ? $index : 0;
        $step = $steps[$index] ?? null;
        $process = null !== $step && \is_string($step['process'] ?? null) ? Process::tryFrom($step['process']) : null;
        $id = null !== $step && \is_string($step['id'] ?? null) ? $step['id'] : '';
        $flow = null !== $open->ledger && isset($open->ledger->flows[$id]) ? $open->ledger->flow($id) : null;
        $faultsAt = [];
        $elsewhere = [];
        foreach ($open->faults as $fault) {
            $faultsAt[$fault->pointer][] = $fault;
            if (!str_starts_with($fault->pointer, '/steps/'.$index.'/')) {
                $elsewhere[] = $fault;
            }
        }

        return [
            'map' => $this->map->draw($open->draft, $open->ledger, $open->faults, $index),
            'open' => $index,
            'step' => $step,
            'guide' => null === $process ? null : ProcessGuide::of($process),
            'stretches' => $this->stretches(),
            'faultsAt' => $faultsAt,
            'elsewhere' => $elsewhere,
            'others' => $this->others($open, $index),
            'stands' => null === $flow || $flow->fullestMl < 5 ? null : AmountWriter::volume($flow->fullestMl),
            'gives' => null === $flow
                    ? null
                    : ($flow->gives->pieces >= 1
                        ? new Sentence('{grams}, {n} pieces', [
                            'grams' => AmountWriter::weight($flow->gives->massGrams()),
                            'n' => floor($flow->gives->pieces + 1e-9),
                        ])
                        : AmountWriter::weight($flow->gives->massGrams())),
            'things' => array_map(static fn (Ingredient $i): string => $i->name, $this->larder->all()),
            'bases' => $this->bases(),
            'conditions' => $this->conditions($open),
            'movable' => $this->movable($open),
            'asked' => $this->asked($open),
            'differences' => $this->differences($open),
        ];
    }

    /** @return list<Difference> from the revision it was begun from */
    private function differences(OpenDraft $open): array
    {
        $slug = $open->record->getOfSlug();
        $former = null === $slug ? null : $this->book->revision($slug, $open->record->getOfRevision());

        return null === $former ? [] : (new Comparing($this->larder))->differences(Draft::read($former->getDocument()), $open->draft);
    }

    /** @return list<Asked> what an import asked or guessed, with the step it is about */
    private function asked(OpenDraft $open): array
    {
        /** @var list<array{place: string, text: string, guess?: bool, effect?: string, later?: bool}> $kept */
        $kept = json_decode($open->record->getQuestions(), true, 16, \JSON_THROW_ON_ERROR);
        $asked = [];
        foreach ($kept as $number => $row) {
            $step = 1 === preg_match('~^#([^/]+)(/.*)?$~', $row['place'], $match) ? $open->draft->indexOf($match[1]) : null;
            $asked[] = [
                'number' => $number,
                'text' => $row['text'],
                'guess' => $row['guess'] ?? false,
                'effect' => $row['effect'] ?? '',
                'later' => $row['later'] ?? false,
                'step' => $step,
                'pointer' => null === $step ? $row['place'] : '/steps/'.$step.($match[2] ?? ''),
            ];
        }

        return $asked;
    }

    /** @return array<string, array<string, string>> processes by stretch of the work: value → label */
    private function stretches(): array
    {
        $stretches = [];
        foreach (Process::cases() as $process) {
            $guide = ProcessGuide::of($process);
            $stretches[$guide->stretch->value][$process->value] = $guide->label;
        }

        return $stretches;
    }

    /** @return list<Source> the other steps, as sources and as vessels that go on */
    private function others(OpenDraft $open, int $index): array
    {
        $others = [];
        foreach ($open->draft->steps() as $i => $step) {
            $id = $step['id'] ?? null;
            if ($i === $index || !\is_string($id)) {
                continue;
            }
            $outputs = [];
            foreach (Draft::rows($step, 'outputs') as $output) {
                if (true !== ($output['waste'] ?? false) && \is_string($output['id'] ?? null)) {
                    $outputs[] = $output['id'];
                }
            }
            $vessel = $step['vessel'] ?? null;
            $others[] = [
                'id' => $id,
                'title' => \is_string($step['title'] ?? null) ? $step['title'] : $id,
                'outputs' => $outputs,
                'kind' => \is_array($vessel) && \is_string($vessel['kind'] ?? null) ? $vessel['kind'] : '',
                'left' => round(max(0.0, 1 - $open->draft->taken($id, $outputs[0] ?? null)), 3),
            ];
        }

        return $others;
    }

    /** @return array<string, string> recipes that others take from: slug → name */
    private function bases(): array
    {
        $bases = [];
        foreach ($this->book->bases() as $base) {
            $bases[$base->slug] = $base->name;
        }

        return $bases;
    }

    /** @return array<string, string> "school=option" → words */
    private function conditions(OpenDraft $open): array
    {
        $conditions = [];
        $schools = $open->draft->document()['schools'] ?? [];
        foreach (\is_array($schools) ? $schools : [] as $school) {
            if (!\is_array($school) || !\is_string($school['id'] ?? null)) {
                continue;
            }
            foreach (\is_array($school['options'] ?? null) ? $school['options'] : [] as $option) {
                if (\is_array($option) && \is_string($option['id'] ?? null)) {
                    $conditions[$school['id'].'='.$option['id']] = \is_string($option['name'] ?? null)
                        ? $option['name']
                        : $option['id'];
                }
            }
        }

        return $conditions;
    }

    /** @return array<string, string> what a dial can move: "step/ingredient", or "step" for its time → words */
    private function movable(OpenDraft $open): array
    {
        $movable = [];
        foreach ($open->draft->steps() as $step) {
            $id = \is_string($step['id'] ?? null) ? $step['id'] : '';
            $title = \is_string($step['title'] ?? null) ? $step['title'] : $id;
            $movable[$id] = $title.': how long';
            foreach (Draft::rows($step, 'takes') as $take) {
                $ingredient = $take['ingredient'] ?? null;
                if (\is_string($ingredient) && $this->larder->knows($ingredient)) {
                    $movable[$id.'/'.$ingredient] = $title.': '.$this->larder->get($ingredient)->name;
                }
            }
        }

        return $movable;
    }
}
