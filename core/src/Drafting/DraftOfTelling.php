<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Telling\Contradiction;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\SpokenUnit;
use FeastLadle\Telling\Telling;
use FeastLadle\Telling\ToldAmount;
use FeastLadle\Telling\ToldRecipe;
use FeastLadle\Telling\ToldStep;

/**
 * Makes a draft of a told recipe: the steps that were heard, with what goes into each. What was never said is supposed, marked, and,
 * where it changes the sweet, asked; what contradicts itself is asked.
 */
final class DraftOfTelling
{
    /** Nothing that was left open vanishes; which to ask first is another matter. */
    private const MOST_QUESTIONS = 200;

    private const PERIODS = ['hour' => 60, 'day' => 1440, 'week' => 10080, 'month' => 43200, 'year' => 525600];

    private const LONGEST_TITLE = 90;

    private const LONGEST_KEEPING = 100_000;

    /** @var list<array<string, mixed>> */
    private array $steps = [];

    /** @var array<int, string> step ids by number of the heard step */
    private array $ids = [];

    private OpenPoints $open;

    private ToldBowls $bowls;

    private ToldSteps $told;

    /** @var array<int, string> places of bowls, by the object of their amount */
    private array $places = [];

    public function __construct(private readonly LineReader $lines, private readonly Telling $telling, private readonly float $cupMl)
    {
        $this->begin();
    }

    public function make(ToldRecipe $told, string $slug): ToldDraft
    {
        $this->begin();
        $listed = [];
        foreach ($told->ingredients as $line) {
            array_push($listed, ...$this->listed($line));
        }
        $heard = $this->telling->hear($told->text(), $listed);
        $titled = [];
        foreach ($heard->steps as $number => $step) {
            $this->step($heard, $number, $step);
            // The name that a step was given stands over the first thing that is done in it.
            $at = $told->titleAt($heard->text->tokens[$step->first]->start);
            if (null !== $at && !isset($titled[$at])) {
                $titled[$at] = true;
                $this->steps[\count($this->steps) - 1]['title'] = mb_substr($told->titles[$at], 0, self::LONGEST_TITLE);
            }
        }
        foreach (array_diff_key($told->titles, $titled) as $title) {
            $this->open->guess('', 'Told as the name of a step in which nothing is done: "{title}"', title: $title);
        }
        $this->leftOver($heard);
        $this->joinStreams($heard);
        foreach ([...$this->telling->claims($told->summary), ...$heard->claims] as $claim) {
            $this->open->guess('', 'Set aside, as nobody here can vouch for it: "{claim}"', claim: mb_substr($claim, 0, 120));
        }
        foreach ($heard->contradictions as $contradiction) {
            $this->contradiction($contradiction);
        }
        $draft = $this->draft($told, $heard, $slug);
        $this->askAboutTheWhole($told, $heard, $listed);

        return new ToldDraft($draft, $this->open->questions(self::MOST_QUESTIONS), $this->open->guesses(), $heard);
    }

    /** One telling leaves nothing behind for the next. */
    private function begin(): void
    {
        $this->steps = $this->ids = $this->places = [];
        $this->open = new OpenPoints();
        $this->bowls = new ToldBowls($this->open);
        $this->told = new ToldSteps($this->open);
    }

    /** @return list<ToldAmount> */
    private function listed(string $line): array
    {
        $amounts = $this->lines->amounts($line);
        if ([] !== $amounts) {
            return $amounts;
        }
        // What no larder knows is a bowl with a name all the same.
        $name = trim((string) preg_replace('/^[\s•*\-–\d.,\/½¼¾]+/u', '', mb_substr($line, 0, 80)));

        return '' === $name ? [] : [new ToldAmount(null, $name, null, null, null, '', -1, -1)];
    }

    private function step(Heard $heard, int $number, ToldStep $step): void
    {
        $index = \count($this->steps);
        $takes = [];
        foreach ($step->sources as $source) {
            if (isset($this->ids[$source])) {
                $takes[] = ['from' => $this->ids[$source]];
            }
        }
        foreach ($step->amounts as $amount) {
            $place = '/steps/'.$index.'/takes/'.\count($takes);
            $this->places[spl_object_id($amount)] = $place;
            $takes[] = $this->bowls->of($amount, $place);
        }
        $id = $this->freeId($step->process);
        $main = $takes[0]['from'] ?? null;
        $this->steps[] = $this->told->document($heard, $number, $step, $id, $takes, \is_string($main) ? $this->byId($main) : [], $index);
        $this->ids[$number] = $id;
    }

    /** Told, and never said where it goes: it goes in where things are mixed, and that is asked. */
    private function leftOver(Heard $heard): void
    {
        $left = array_values(array_filter(
            $heard->unused,
            fn (ToldAmount $a): bool => $a->isTold && !isset($this->places[spl_object_id($a)]),
        ));
        if ([] === $left) {
            return;
        }
        $asked = [] === $this->steps;
        if ($asked) {
            $this->steps[] = [
                ...ProcessGuide::of(Process::MixIn)->step('mix-in'),
                'title' => 'Mix everything',
                'vessel' => ['kind' => 'bowl'],
            ];
            $this->open->ask('/steps/0', 1.0, 'What is done with all this? No step was told.');
        }
        $into = 0;
        foreach ($this->steps as $index => $step) {
            if (\in_array($step['process'], [Process::MixIn->value, Process::Garnish->value], true)) {
                $into = $index;
            }
        }
        foreach ($left as $amount) {
            $takes = Draft::rows($this->steps[$into], 'takes');
            $place = '/steps/'.$into.'/takes/'.\count($takes);
            $this->places[spl_object_id($amount)] = $place;
            $takes[] = $this->bowls->of($amount, $place);
            $this->steps[$into]['takes'] = $takes;
            $title = $this->steps[$into]['title'] ?? '';
            $this->open->guess(
                $place,
                '{name} was told, but no step names it; it was put into "{title}"',
                name: $amount->thing->name ?? $amount->named,
                title: \is_string($title) ? $title : '',
            );
            if (!$asked) {
                $this->open->ask($place, 0.6, '{name}: when does it go in?', name: $amount->thing->name ?? $amount->named);
            }
        }
    }

    /** What nobody took up meets at the end; a dish is dished up. */
    private function joinStreams(Heard $heard): void
    {
        foreach ($this->steps as $index => $step) {
            if ([] === Draft::rows($step, 'takes')) {
                // Nothing was named: whatever it is stands there as what it is, a bowl nobody has filled yet.
                $place = '/steps/'.$index.'/takes';
                $this->steps[$index]['takes'] = [$this->bowls->unsaid($place.'/0')];
                $this->open->ask(
                    $place,
                    0.8,
                    '"{title}": what goes in here?',
                    title: \is_string($step['title'] ?? null) ? $step['title'] : '',
                );
            }
        }
        $taken = [];
        foreach ($this->steps as $step) {
            foreach (Draft::rows($step, 'takes') as $take) {
                $taken[] = \is_string($take['from'] ?? null) ? $take['from'] : '';
            }
        }
        $ends = array_values(array_diff(array_filter(array_column($this->steps, 'id'), \is_string(...)), $taken));
        $last = $this->steps[array_key_last($this->steps) ?? 0] ?? null;
        $isServed = \in_array($last['process'] ?? null, [Process::DishUp->value, Process::Garnish->value], true);
        if (!$isServed) {
            $step = ProcessGuide::of(Process::DishUp)->step($this->freeId(Process::DishUp));
            $step['takes'] = array_map(static fn (string $id): array => ['from' => $id], $ends);
            $this->steps[] = $step;
        } elseif (\count($ends) > 1 && null !== $last) {
            $index = \count($this->steps) - 1;
            $others = array_values(array_filter($ends, static fn (string $id): bool => $id !== ($last['id'] ?? '')));
            $this->steps[$index]['takes'] = [
                ...Draft::rows($last, 'takes'),
                ...array_map(static fn (string $id): array => ['from' => $id], $others),
            ];
        }
        foreach (\count($ends) > 1 ? \array_slice($ends, 0, -1) : [] as $id) {
            $title = $this->byId($id)['title'] ?? '';
            $this->open->ask(
                '/steps/'.(\count($this->steps) - 1).'/takes',
                0.75,
                'Where does "{title}" go? It was poured in at the end.',
                title: \is_string($title) ? $title : '',
            );
        }
    }

    private function contradiction(Contradiction $contradiction): void
    {
        $place = null === $contradiction->amount ? null : $this->places[spl_object_id($contradiction->amount)] ?? null;
        $one = $contradiction->amount?->grams;
        $two = ($contradiction->amount->others[0] ?? null)?->grams;
        $this->open->add(OpenPoint::contradiction(
            null === $place ? '' : $place.'/grams',
            $contradiction->asks,
            [$contradiction->first, $contradiction->next],
            null === $place || null === $one || null === $two ? null : [$one, $two],
        ));
    }

    private function draft(ToldRecipe $told, Heard $heard, string $slug): Draft
    {
        $name = '' !== $told->name ? $told->name : ('' !== $heard->frame->name ? $heard->frame->name : 'A told sweet');
        $draft = Draft::blank($slug, mb_substr($name, 0, 80))->withHead([
            'summary' => $this->telling->withoutClaims($told->summary),
            'origin' => 'As it was told',
        ]);
        $serving = ['way' => $heard->frame->served ?? 'warm', 'keepMinutes' => $this->keeps($heard->frame->keeps) ?? 120];
        $document = [...$draft->document(), 'serving' => $serving];
        $brought = $this->bowls->brought();

        return Draft::of(
            [...$document, ...([] === $brought ? [] : ['ingredients' => $brought]), 'steps' => $this->steps],
        )->withResultFound();
    }

    private function keeps(?string $keeps): ?int
    {
        if (null === $keeps || 1 !== preg_match('/^([\d.]+) (\w+?)s?$/', $keeps, $match) || !isset(self::PERIODS[$match[2]])) {
            return null;
        }

        return min(self::LONGEST_KEEPING, (int) round((float) $match[1] * self::PERIODS[$match[2]]));
    }

    /** @param list<ToldAmount> $listed */
    private function askAboutTheWhole(ToldRecipe $told, Heard $heard, array $listed): void
    {
        $makes = '' !== $told->yields ? $told->yields : $heard->frame->makes ?? '';
        $this->open->guess('/portion/grams', 'A portion was supposed to be 100 g');
        if (null === $heard->frame->served) {
            $this->open->guess('/serving', 'Served warm, within two hours, was supposed');
        }
        $this->open->ask(
            '/portion/grams',
            '' === $makes ? 0.55 : 0.4,
            '' === $makes ? 'How large is a portion, and how many does this make?' : 'It makes "{yields}": how large is a portion of it?',
            yields: $makes,
        );
        foreach ([...$listed, ...$heard->amounts] as $amount) {
            if (SpokenUnit::Cup === $amount->unit) {
                $this->open->ask('', 0.35, 'Whose cup is it? This kitchen\'s, of {ml} ml, was taken.', ml: $this->cupMl);
                break;
            }
        }
        foreach ($heard->alternatives as $amount) {
            $this->open->guess('', 'Some take {name} instead: that can become a school.', name: $amount->thing->name ?? $amount->named);
        }
    }

    private function freeId(Process $process): string
    {
        $ids = array_column($this->steps, 'id');
        for ($n = 1, $id = $process->value; \in_array($id, $ids, true); $id = $process->value.'-'.$n) {
            ++$n;
        }

        return $id;
    }

    /** @return array<string, mixed> */
    private function byId(string $id): array
    {
        foreach ($this->steps as $step) {
            if (($step['id'] ?? null) === $id) {
                return $step;
            }
        }

        return [];
    }
}
