<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Telling\HealthClaims;
use FeastLadle\Telling\IngredientLine;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\SentenceReader;
use FeastLadle\Telling\SpokenUnit;
use FeastLadle\Telling\ToldRecipe;
use FeastLadle\Telling\ToldSentence;

/**
 * Makes a draft of a told recipe. Sentences become steps; each goes on with what the one before gave, unless it begins something
 * of its own, and takes up what it names. What was never said is supposed, marked, and, where it changes the sweet, asked.
 */
final class DraftOfTelling
{
    public const MOST_QUESTIONS = 8;

    /** @var list<array<string, mixed>> */
    private array $steps = [];

    private OpenPoints $open;

    private ToldBowls $bowls;

    private ToldSteps $said;

    private LooseEnds $streams;

    /** @var array<string, array{IngredientLine, bool}> listed things by ingredient id, and whether a step has taken them */
    private array $listed = [];

    public function __construct(private readonly Larder $larder, private readonly float $cupMl)
    {
        $this->begin();
    }

    public function make(ToldRecipe $told, string $slug): ToldDraft
    {
        $this->begin();
        $unknown = [];
        foreach ($told->ingredients as $text) {
            $line = (new LineReader($this->larder, $this->cupMl))->read($text);
            if (null === $line->ingredient) {
                $unknown[] = $text;
            } else {
                $this->listed[$line->ingredient->id] = [$line, false];
            }
        }
        $claims = [];
        foreach ($told->steps as $text) {
            $apart = HealthClaims::setAside($text);
            array_push($claims, ...$apart['claims']);
            if ('' !== $apart['stays']) {
                $this->step((new SentenceReader($this->larder, $this->cupMl))->read($apart['stays']));
            }
        }
        $summary = HealthClaims::setAside($told->summary);
        foreach ([...$summary['claims'], ...$claims] as $claim) {
            $this->open->guess('', 'Set aside, as nobody here can vouch for it: "{claim}"', claim: mb_substr($claim, 0, 120));
        }
        $this->leftOver();
        $this->joinStreams();
        foreach ($unknown as $text) {
            $this->open->ask(
                '',
                0.7,
                'What is "{line}"? The larder knows no such thing; it was left out.',
                line: mb_substr($text, 0, 80),
            );
        }
        $draft = $this->draft($told, $slug, $summary['stays']);
        $this->askAboutTheWhole($told);

        return new ToldDraft($draft, $this->open->questions(self::MOST_QUESTIONS), $this->open->guesses());
    }

    /** One telling leaves nothing behind for the next. */
    private function begin(): void
    {
        $this->steps = $this->listed = [];
        $this->streams = new LooseEnds();
        $this->open = new OpenPoints();
        $this->bowls = new ToldBowls($this->larder, $this->cupMl, $this->open);
        $this->said = new ToldSteps($this->open);
    }

    private function step(ToldSentence $sentence): void
    {
        // Nothing is done in it: it belongs to the step before, as a word to the helper.
        $last = array_key_last($this->steps);
        $mentioned = $this->mentioned($sentence);
        if (null !== $last && \in_array('process', $sentence->supposed, true) && [] === $mentioned) {
            $say = $this->steps[$last]['say'] ?? '';
            $this->steps[$last]['say'] = mb_substr(trim((\is_string($say) ? $say : '').' '.$sentence->text), 0, 900);

            return;
        }
        $index = \count($this->steps);
        $guide = ProcessGuide::of($sentence->process);
        $step = $guide->step($this->freeId($sentence->process));
        $step['title'] = mb_substr($this->said->title($sentence), 0, 90);
        $step['say'] = mb_substr($sentence->text, 0, 900);
        $id = \is_string($step['id']) ? $step['id'] : '';
        $sources = $this->streams->takenUp($sentence, $mentioned);
        $takes = array_map(static fn (string $from): array => ['from' => $from], $sources);
        foreach ($mentioned as $line) {
            $takes[] = $this->bowls->of($line, $sentence->process, '/steps/'.$index.'/takes/'.\count($takes));
        }
        $fat = array_values(
            array_filter(
                \is_array($step['takes']) ? $step['takes'] : [],
                static fn (mixed $t): bool => \is_array($t) && isset($t['fatDepthMm']),
            ),
        );
        $step['takes'] = [...$takes, ...$fat];
        $main = $sources[0] ?? null;
        $step = $this->said->vesselFireAndHands($step, $sentence, $index, $main, null === $main ? [] : $this->byId($main));
        $step = $this->said->timeAndTarget($step, $sentence, $guide, $index);
        $this->steps[] = $step;
        $this->streams->begin($id, $sentence, $mentioned);
        if (\in_array('process', $sentence->supposed, true)) {
            $this->open->guess(
                '/steps/'.$index.'/process',
                '"{sentence}" was taken as mixing',
                sentence: mb_substr($sentence->text, 0, 60),
            );
        }
    }

    /** @return list<IngredientLine> things that enter here: amounts said in the sentence, and listed things it names */
    private function mentioned(ToldSentence $sentence): array
    {
        $lines = [];
        foreach ($sentence->amounts as $line) {
            $id = $line->ingredient->id ?? '';
            $lines[$id] = $line;
            if (isset($this->listed[$id])) {
                $this->listed[$id][1] = true;
            }
        }
        $plain = ' '.preg_replace('/[^a-z]+/', ' ', mb_strtolower($sentence->text)).' ';
        foreach ($this->listed as $id => [$line, $taken]) {
            if (!$taken && null !== $line->ingredient && $this->bowls->isNamed($line->ingredient, $line->named, $plain)) {
                $lines[$id] = $line;
                $this->listed[$id][1] = true;
            }
        }

        return array_values($lines);
    }

    /** Listed things that no sentence named go in where things are mixed, and that is asked. */
    private function leftOver(): void
    {
        $lines = array_map(
            static fn (array $l): IngredientLine => $l[0],
            array_filter($this->listed, static fn (array $l): bool => !$l[1]),
        );
        if ([] === $lines) {
            return;
        }
        $asked = false;
        if ([] === $this->steps) {
            $this->steps[] = [
                ...ProcessGuide::of(Process::MixIn)->step('mix-in'),
                'title' => 'Mix everything',
                'vessel' => ['kind' => 'bowl'],
            ];
            $this->streams->beginUnnamed('mix-in');
            $this->open->ask('/steps/0', 1.0, 'What is done with all this? No step was told.');
            $asked = true;
        }
        $into = 0;
        foreach ($this->steps as $index => $step) {
            if ([] === array_filter(Draft::rows($step, 'takes'), static fn (array $t): bool => isset($t['from']))) {
                $into = $index;
            }
        }
        foreach ($lines as $line) {
            $takes = Draft::rows($this->steps[$into], 'takes');
            $place = '/steps/'.$into.'/takes/'.\count($takes);
            $takes[] = $this->bowls->of($line, Process::MixIn, $place);
            $this->steps[$into]['takes'] = $takes;
            $title = $this->steps[$into]['title'] ?? '';
            $this->open->guess(
                $place,
                '{name} is in the list, but no step names it; it was put into "{title}"',
                name: $line->ingredient->name ?? '',
                title: \is_string($title) ? $title : '',
            );
            if (!$asked) {
                $this->open->ask($place, 0.6, '{name}: when does it go in?', name: $line->ingredient->name ?? '');
            }
        }
    }

    /** What nobody took up meets at the end; a dish is dished up. */
    private function joinStreams(): void
    {
        foreach ($this->steps as $index => $step) {
            if ([] === Draft::rows($step, 'takes')) {
                // It names nothing: it goes on with whatever was last.
                $earlier = array_column(\array_slice($this->steps, 0, $index), 'id');
                $last = $this->streams->takeLastOf($earlier);
                if (null !== $last) {
                    $this->steps[$index]['takes'] = [['from' => $last]];
                } else {
                    $this->steps[$index]['takes'] = [['ingredient' => 'water', 'grams' => ToldBowls::BODY_GRAMS]];
                    $this->open->ask(
                        '/steps/'.$index.'/takes',
                        0.8,
                        '"{title}": what goes in here?',
                        title: \is_string($step['title'] ?? null) ? $step['title'] : '',
                    );
                }
            }
        }
        $open = $this->streams->open();
        $last = $this->steps[array_key_last($this->steps) ?? 0] ?? null;
        $isServed = \in_array($last['process'] ?? null, [Process::DishUp->value, Process::Garnish->value], true);
        if (!$isServed) {
            $step = ProcessGuide::of(Process::DishUp)->step($this->freeId(Process::DishUp));
            $step['takes'] = array_map(static fn (string $id): array => ['from' => $id], $open);
            $this->steps[] = $step;
        } elseif (\count($open) > 1 && null !== $last) {
            $index = \count($this->steps) - 1;
            $own = $last['id'] ?? '';
            $this->steps[$index]['takes'] = [
                ...Draft::rows($last, 'takes'),
                ...array_map(
                    static fn (string $id): array => ['from' => $id],
                    array_values(array_filter($open, static fn (string $id): bool => $id !== $own)),
                ),
            ];
        }
        if (\count($open) > 1) {
            foreach (\array_slice($open, 0, -1) as $id) {
                $title = $this->byId($id)['title'] ?? $id;
                $this->open->ask(
                    '/steps/'.(\count($this->steps) - 1).'/takes',
                    0.75,
                    'Where does "{title}" go? It was poured in at the end.',
                    title: \is_string($title) ? $title : $id,
                );
            }
        }
    }

    private function draft(ToldRecipe $told, string $slug, string $summary): Draft
    {
        $name = '' === $told->name ? 'A told sweet' : $told->name;
        $draft = Draft::blank($slug, $name)->withHead(['summary' => $summary, 'origin' => 'As it was told']);

        return Draft::of([...$draft->document(), 'steps' => $this->steps])->withResultFound();
    }

    private function askAboutTheWhole(ToldRecipe $told): void
    {
        $this->open->guess('/portion/grams', 'A portion was supposed to be 100 g');
        $this->open->guess('/serving', 'Served warm, within two hours, was supposed');
        $this->open->ask(
            '/portion/grams',
            '' === $told->yields ? 0.55 : 0.4,
            '' === $told->yields
                ? 'How large is a portion, and how many does this make?'
                : 'It makes "{yields}": how large is a portion of it?',
            yields: $told->yields,
        );
        foreach ($this->listed as [$line]) {
            if (SpokenUnit::Cup === $line->unit) {
                $this->open->ask(
                    '',
                    0.35,
                    'Whose cup is it? This kitchen\'s, of {ml} ml, was taken.',
                    ml: $this->cupMl,
                );
                break;
            }
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
