<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenDraft;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\FragmentKind;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\SpanKind;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Words\Sentence;

/**
 * A telling with its words lit by what they became, beside the flow that was made of them.
 *
 * @phpstan-type Run array{text: string, kind: string, says: Sentence|null, number: int|null, step: int|null, means: string,
 *     named: string}
 */
final readonly class TellingPage
{
    /** What a telling says and no process is called. */
    private const ONLY_TOLD = ['fry' => 'Fry', 'melt' => 'Melt', 'dip' => 'Dip', 'stir' => 'Stir', 'add' => 'Add', 'leave' => 'Leave it'];

    public function __construct(private DraftPage $draft, private Larder $larder)
    {
    }

    /**
     * @return array{runs: list<Run>, lit: Run|null, things: array<string, string>, does: array<string, string>,
     *     draft: array<string, mixed>}
     */
    public function of(OpenDraft $open, Heard $heard, int $lit): array
    {
        $runs = $this->runs($heard);

        return [
            'runs' => $runs,
            'lit' => array_values(array_filter($runs, static fn (array $r): bool => $r['number'] === $lit))[0] ?? null,
            'things' => array_map(static fn (Ingredient $i): string => $i->name, $this->larder->all()),
            'does' => self::does(),
            'draft' => $this->draft->of($open, -1),
        ];
    }

    /** @return list<Run> the whole text, cut where its meaning changes */
    private function runs(Heard $heard): array
    {
        $marks = $this->marks($heard);
        $runs = [];
        $end = 0;
        $number = 0;
        $count = \count($heard->text->tokens);
        for ($i = 0; $i < $count;) {
            $mark = $marks[$i] ?? null;
            $next = $i + 1;
            while ($next < $count && ($marks[$next] ?? null) === $mark && null !== $mark) {
                ++$next;
            }
            $first = $heard->text->tokens[$i]->start;
            $last = $heard->text->tokens[$next - 1]->end;
            if ($first > $end) {
                $runs[] = self::plain(substr($heard->text->text, $end, $first - $end));
            }
            $text = substr($heard->text->text, $first, $last - $first);
            $runs[] = null === $mark ? self::plain($text) : [...$mark, 'text' => $text, 'number' => $number++];
            $end = $last;
            $i = $next;
        }
        if ($end < \strlen($heard->text->text)) {
            $runs[] = self::plain(substr($heard->text->text, $end));
        }

        return $runs;
    }

    /** @return Run */
    private static function plain(string $text): array
    {
        return ['text' => $text, 'kind' => '', 'says' => null, 'number' => null, 'step' => null, 'means' => '', 'named' => ''];
    }

    /** @return array<int, Run> by token: what stands last in this list of meanings wins */
    private function marks(Heard $heard): array
    {
        $marks = [];
        $light = static function (
            int $first,
            int $next,
            string $kind,
            ?Sentence $says,
            ?int $step,
            string $named = '',
            string $means = '',
        ) use (&$marks): void {
            $mark = ['text' => '', 'kind' => $kind, 'says' => $says, 'number' => $first, 'step' => $step, 'means' => $means,
                'named' => $named];
            for ($i = max(0, $first); $i < $next; ++$i) {
                $marks[$i] = $mark;
            }
        };
        foreach ($heard->setAside as [$piece, $why]) {
            $kind = FragmentKind::Caution === $piece->kind ? 'caution' : 'aside';
            $says = 'caution' === $kind ? 'a warning, no step' : 'told beside, no step';
            $light($piece->first, $piece->next, $kind, new Sentence($says), null);
        }
        foreach ($heard->steps as $number => $step) {
            foreach ($heard->fragments as $piece) {
                if (FragmentKind::Work === $piece->kind && $piece->first >= $step->first && $piece->first < $step->next) {
                    $label = \FeastLadle\Recipe\ProcessGuide::of($step->process)->label;
                    // The word that says what is done is the one to correct.
                    $verb = $piece->of(SpanKind::Verb);
                    $light(
                        $piece->first,
                        $piece->next,
                        'work',
                        new Sentence('{process}', ['process' => $label]),
                        $number,
                        null === $verb ? '' : mb_strtolower($heard->text->words($verb->first, $verb->next)),
                        null === $verb?->action ? '' : 'do:'.$verb->action->value,
                    );
                }
            }
            foreach ($step->signs as $sign) {
                $says = match ($sign->kind->value) {
                    'done' => 'a sign that it is done',
                    'wrong' => 'a sign that it goes wrong, and what helps',
                    default => 'a sign on the way',
                };
                $light($sign->first, $sign->next, 'sign-'.$sign->kind->value, new Sentence($says), $number);
            }
            if (null !== $step->timeAt && null !== $step->minutes) {
                $light($step->timeAt[0], $step->timeAt[1], 'time', new Sentence('{from} to {to} min', [
                    'from' => round($step->minutes[0], 1),
                    'to' => round($step->minutes[1], 1),
                ]), $number);
            }
        }
        foreach ($heard->amounts as $amount) {
            $light(
                $amount->first,
                $amount->next,
                null === $amount->thing ? 'unknown' : 'amount',
                self::says($amount),
                null,
                mb_strtolower($amount->named),
                null === $amount->thing ? '' : 'thing:'.$amount->thing->id,
            );
        }

        return $marks;
    }

    /** @return array<string, string> what can be done, as a cook calls it, by action */
    private static function does(): array
    {
        $does = [];
        foreach (Action::cases() as $action) {
            $does[$action->value] = self::ONLY_TOLD[$action->value] ?? Process::tryFrom($action->value)?->facts()->label;
        }
        asort($does);

        return array_filter($does, static fn (?string $label): bool => null !== $label);
    }

    private static function says(ToldAmount $amount): Sentence
    {
        return match (true) {
            null === $amount->thing => new Sentence('a bowl called "{name}": the larder knows no such thing', ['name' => $amount->named]),
            null !== $amount->grams => new Sentence('{name}, {grams} g', [
                'name' => $amount->thing->name,
                'grams' => round($amount->grams, 1),
            ]),
            '' !== $amount->vague => new Sentence('{name}, "{words}"', ['name' => $amount->thing->name, 'words' => $amount->vague]),
            default => new Sentence('{name}', ['name' => $amount->thing->name]),
        };
    }
}
