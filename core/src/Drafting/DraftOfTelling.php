<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\Target;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Telling\IngredientLine;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\ProcessWords;
use FeastLadle\Telling\Sentence;
use FeastLadle\Telling\SentenceReader;
use FeastLadle\Telling\SpokenUnit;
use FeastLadle\Telling\ToldRecipe;

/**
 * Makes a draft of a told recipe. Sentences become steps; each goes on with what the one before gave, unless it begins something
 * of its own, and takes up what it names. What was never said is supposed, marked, and, where it changes the sweet, asked.
 */
final class DraftOfTelling
{
    public const MOST_QUESTIONS = 8;

    /** Two measures of one amount that differ by more than this can't both be meant. */
    private const AGREE = 1.2;

    private const SPICE_GRAMS = 2.0;
    private const SPRINKLE_GRAMS = 25.0;
    private const BODY_GRAMS = 100.0;

    /** @var list<array<string, mixed>> */
    private array $steps = [];

    /** @var list<OpenPoint> */
    private array $questions = [];

    /** @var list<OpenPoint> */
    private array $guesses = [];

    private LooseEnds $streams;

    /** @var array<string, array{IngredientLine, bool}> listed things by ingredient id, and whether a step has taken them */
    private array $listed = [];

    public function __construct(private readonly Larder $larder, private readonly float $cupMl)
    {
        $this->streams = new LooseEnds();
    }

    public function make(ToldRecipe $told, string $slug): ToldDraft
    {
        $this->steps = $this->questions = $this->guesses = $this->listed = [];
        $this->streams = new LooseEnds();
        $unknown = [];
        foreach ($told->ingredients as $text) {
            $line = (new LineReader($this->larder, $this->cupMl))->read($text);
            if (null === $line->ingredient) {
                $unknown[] = $text;
            } else {
                $this->listed[$line->ingredient->id] = [$line, false];
            }
        }
        foreach ($told->steps as $text) {
            $this->step((new SentenceReader($this->larder, $this->cupMl))->read($text));
        }
        $this->leftOver();
        $this->joinStreams();
        foreach ($unknown as $text) {
            $this->questions[] = OpenPoint::question(
                '',
                0.7,
                'What is "{line}"? The larder knows no such thing; it was left out.',
                line: mb_substr($text, 0, 80),
            );
        }
        $draft = $this->draft($told, $slug);
        $this->askAboutTheWhole($told);
        usort($this->questions, static fn (OpenPoint $a, OpenPoint $b): int => $b->weight <=> $a->weight);

        return new ToldDraft($draft, \array_slice($this->questions, 0, self::MOST_QUESTIONS), $this->guesses);
    }

    private function step(Sentence $sentence): void
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
        $step['title'] = mb_substr($this->title($sentence), 0, 90);
        $step['say'] = mb_substr($sentence->text, 0, 900);
        $id = \is_string($step['id']) ? $step['id'] : '';
        $sources = $this->streams->takenUp($sentence, $mentioned);
        $takes = array_map(static fn (string $from): array => ['from' => $from], $sources);
        foreach ($mentioned as $line) {
            $takes[] = $this->bowl($line, $sentence->process, '/steps/'.$index.'/takes/'.\count($takes));
        }
        $fat = array_values(
            array_filter(
                \is_array($step['takes']) ? $step['takes'] : [],
                static fn (mixed $t): bool => \is_array($t) && isset($t['fatDepthMm']),
            ),
        );
        $step['takes'] = [...$takes, ...$fat];
        $step = $this->vesselFireAndHands($step, $sentence, $index, $sources);
        $step = $this->timeAndTarget($step, $sentence, $guide, $index);
        $this->steps[] = $step;
        $this->streams->begin($id, $sentence, $mentioned);
        if (\in_array('process', $sentence->supposed, true)) {
            $this->guesses[] = OpenPoint::guess(
                '/steps/'.$index.'/process',
                '"{sentence}" was taken as mixing',
                sentence: mb_substr($sentence->text, 0, 60),
            );
        }
    }

    /** @return list<IngredientLine> things that enter here: amounts said in the sentence, and listed things it names */
    private function mentioned(Sentence $sentence): array
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
            if (!$taken && null !== $line->ingredient && $this->isNamed($line->ingredient, $line->named, $plain)) {
                $lines[$id] = $line;
                $this->listed[$id][1] = true;
            }
        }

        return array_values($lines);
    }

    private function isNamed(Ingredient $ingredient, string $listedAs, string $plain): bool
    {
        foreach ([$listedAs, $ingredient->name, ...$ingredient->names] as $name) {
            $words = array_filter(
                explode(' ', (string) preg_replace('/[^a-z]+/', ' ', mb_strtolower(explode(',', $name)[0]))),
                static fn (string $w): bool => mb_strlen($w) > 2,
            );
            $last = [] === $words ? '' : $words[array_key_last($words)];
            // "the sugar" names powdered sugar when that is what is listed.
            foreach ([implode(' ', $words), $last] as $asked) {
                if (
                    '' !== $asked
                    && (str_contains($plain, ' '.$asked.' ')
                        || str_contains($plain, ' '.rtrim($asked, 's').' ')
                        || str_contains($plain, ' '.$asked.'s '))
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    private function bowl(IngredientLine $line, Process $process, string $place): array
    {
        $ingredient = $line->ingredient ?? throw new \LogicException('A bowl holds a thing of the larder.');
        $grams = $line->grams;
        $isSpice = $ingredient->pack->grams <= 60 || \in_array($ingredient->id, ['salt', 'baking-soda', 'baking-powder'], true);
        if (null === $grams) {
            $grams = $isSpice
                ? self::SPICE_GRAMS
                : (1 === preg_match('/\b(?:few|little|handful|garnish)\b/i', $line->named.' '.$line->note)
                    ? self::SPRINKLE_GRAMS
                    : self::BODY_GRAMS);
            $this->guesses[] = OpenPoint::guess(
                $place.'/grams',
                '{name}: no amount was told; {grams} g were supposed',
                name: $ingredient->name,
                grams: $grams,
            );
            $this->questions[] = OpenPoint::question(
                $place.'/grams',
                $isSpice ? 0.25 : ($ingredient->addedSugarShare() > 0 ? 1.0 : 0.9),
                '{name}: how much?',
                name: $ingredient->name,
            );
        }
        foreach ($line->guesses as $guess) {
            $this->guesses[] = OpenPoint::guess(
                $place,
                '{name}: {guess}',
                name: $ingredient->name,
                guess: strtr($guess->template, $guess->placeholders()),
            );
        }
        $this->crossCheck($line, $ingredient, $grams, $place);
        $bowl = ['ingredient' => $ingredient->id, 'grams' => round(max(0.01, $grams), 2)];
        if ('' !== $line->note) {
            $bowl['how'] = mb_substr($line->note, 0, 150);
        }
        if ($isSpice && $bowl['grams'] < 20) {
            $bowl['exponent'] = 0.85;
        }

        return $bowl;
    }

    /** "2 cups (300 g) sugar": does the one agree with the other? */
    private function crossCheck(IngredientLine $line, Ingredient $ingredient, float $grams, string $place): void
    {
        if (null === $line->unit || 1 !== preg_match('/(\d[\d.,\/ ½¼¾]*)\s*(g|gm|gms|grams?|kg|ml|l)\b/i', $line->note, $match)) {
            return;
        }
        $other = (new LineReader($this->larder, $this->cupMl))->read($match[0].' '.$ingredient->name)->grams;
        if (null === $other || $other <= 0 || $grams <= 0) {
            return;
        }
        if (max($other / $grams, $grams / $other) > self::AGREE) {
            $this->questions[] = OpenPoint::question(
                $place.'/grams',
                0.95,
                '{name}: {said} comes to {grams} g in this kitchen, but {other} g was told too. Which holds?',
                name: $ingredient->name,
                said: $line->quantity?->middle().' × '.$line->unit->value,
                grams: round($grams),
                other: round($other),
            );
        }
    }

    /**
     * @param array<string, mixed> $step
     * @param list<string>         $sources
     *
     * @return array<string, mixed>
     */
    private function vesselFireAndHands(array $step, Sentence $sentence, int $index, array $sources): array
    {
        unset($step['vessel'], $step['flame']);
        if (null !== $sentence->vessel) {
            $step['vessel'] = ['kind' => $sentence->vessel->value];
            $main = $sources[0] ?? null;
            $former = null === $main ? null : $this->byId($main);
            $formerVessel = $former['vessel'] ?? null;
            $kind = \is_array($formerVessel) ? $formerVessel['kind'] ?? null : null;
            $stays =
                \is_string($kind)
                && ($kind === $sentence->vessel->value
                    || (\in_array('vessel', $sentence->supposed, true)
                        && \in_array(
                            $kind,
                            array_map(static fn ($v): string => $v->value, ProcessGuide::of($sentence->process)->vessels),
                            true,
                        )));
            if ($stays) {
                $step['vessel'] = ['kind' => $kind, 'continues' => $main];
            } elseif (\in_array('vessel', $sentence->supposed, true)) {
                $this->guesses[] = OpenPoint::guess(
                    '/steps/'.$index.'/vessel/kind',
                    '"{title}": no vessel was told; a {kind} was supposed',
                    title: \is_string($step['title']) ? $step['title'] : '',
                    kind: $sentence->vessel->value,
                );
            }
        }
        if ('none' !== $sentence->flame->value) {
            if (null === $sentence->vessel || !$sentence->vessel->standsOnFire()) {
                $step['vessel'] = ['kind' => 'pan'];
            }
            $step['flame'] = $sentence->flame->value;
            if (\in_array('flame', $sentence->supposed, true)) {
                $this->guesses[] = OpenPoint::guess(
                    '/steps/'.$index.'/flame',
                    '"{title}": no flame was told; {flame} was supposed',
                    title: \is_string($step['title']) ? $step['title'] : '',
                    flame: $sentence->flame->value,
                );
            }
        }
        $isHotWork = \in_array($sentence->process, [Process::DeepFry, Process::Merge, Process::HotFat], true);
        $step['attention'] = [
            'kind' => $isHotWork ? AttentionKind::Constant->value : $sentence->attention->value,
            'skill' => 'none' === $sentence->flame->value ? 'any' : 'cook',
        ];
        if (Process::HotFat === $sentence->process) {
            $step['attention']['people'] = 2;
        }
        if (AttentionKind::Constant->value === $step['attention']['kind'] && 'none' !== $sentence->flame->value) {
            $sign = 1 === preg_match('/\b(?:till|until)\s+([^.,;]{4,80})/i', $sentence->text, $match) ? ucfirst(trim($match[1])) : null;
            if (null !== $sign) {
                $step['cues'] = [['kind' => 'done', 'sign' => $sign]];
            } else {
                $this->questions[] = OpenPoint::question(
                    '/steps/'.$index.'/cues',
                    0.5,
                    '"{title}": by what does one see that it is done?',
                    title: \is_string($step['title']) ? $step['title'] : '',
                );
            }
        }

        return $step;
    }

    /**
     * @param array<string, mixed> $step
     *
     * @return array<string, mixed>
     */
    private function timeAndTarget(array $step, Sentence $sentence, ProcessGuide $guide, int $index): array
    {
        unset($step['target']);
        $title = \is_string($step['title']) ? $step['title'] : '';
        $target = $this->target($sentence->target);
        if (null !== $target && (TargetKind::Releases !== $sentence->target->kind || Process::Pressure === $sentence->process)) {
            $step['target'] = $target;
        }
        $growth = $guide->growths[0];
        $isLaw =
            \in_array($growth, [Growth::WarmUp, Growth::BoilOff, Growth::Cooling], true) && null !== $target && isset($step['vessel']);
        if ($isLaw) {
            $step['time'] = ['grows' => $growth->value];
        } elseif (null !== $sentence->minutes) {
            [$from, $to] = $sentence->minutes;
            $likely = round(($from + $to) / 2, 2);
            $grows =
                Growth::Load === $growth
                    ? $growth
                    : (\in_array($growth, [Growth::Fixed, Growth::Mass, Growth::Roast], true)
                        ? $growth
                        : Growth::Fixed);
            $step['time'] = [
                ...$guide->time($grows),
                'minutes' => [round($from < $to ? $from : 0.8 * $from, 2), $likely, round($from < $to ? $to : 1.3 * $to, 2)],
            ];
        } else {
            $step['time'] = $guide->time(
                Growth::Piece === $growth || Growth::WarmUp === $growth || Growth::BoilOff === $growth || Growth::Cooling === $growth
                    ? Growth::Fixed
                    : $growth,
            );
            $this->guesses[] = OpenPoint::guess(
                '/steps/'.$index.'/time/minutes',
                '"{title}": no time was told; about {minutes} min were supposed',
                title: $title,
                minutes: $guide->minutes[1],
            );
            if (AttentionKind::Constant === $sentence->attention && 'none' !== $sentence->flame->value) {
                $this->questions[] = OpenPoint::question(
                    '/steps/'.$index.'/time/minutes',
                    0.45,
                    '"{title}": about how long does it take?',
                    title: $title,
                );
            }
        }
        if (
            Process::Syrup === $sentence->process
            && 1 !== preg_match('/string|thread|ball|crack|sticky|tacky|dissolv/i', $sentence->text)
        ) {
            $this->questions[] = OpenPoint::question(
                '/steps/'.$index.'/target',
                0.85,
                '"{title}": how far is the syrup cooked: sticky, one string, or further?',
                title: $title,
            );
        }

        return $step;
    }

    /** @return array<string, mixed>|null */
    private function target(Target $target): ?array
    {
        return match ($target->kind) {
            TargetKind::None => null,
            TargetKind::Stage => ['kind' => 'stage', 'stage' => $target->stage->value ?? 'tacky'],
            TargetKind::Releases => ['kind' => 'releases', 'value' => (int) $target->value],
            default => ['kind' => $target->kind->value, 'value' => round($target->value, 3)],
        };
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
            $this->questions[] = OpenPoint::question('/steps/0', 1.0, 'What is done with all this? No step was told.');
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
            $takes[] = $this->bowl($line, Process::MixIn, $place);
            $this->steps[$into]['takes'] = $takes;
            $title = $this->steps[$into]['title'] ?? '';
            $this->guesses[] = OpenPoint::guess(
                $place,
                '{name} is in the list, but no step names it; it was put into "{title}"',
                name: $line->ingredient->name ?? '',
                title: \is_string($title) ? $title : '',
            );
            if (!$asked) {
                $this->questions[] = OpenPoint::question($place, 0.6, '{name}: when does it go in?', name: $line->ingredient->name ?? '');
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
                    $this->steps[$index]['takes'] = [['ingredient' => 'water', 'grams' => self::BODY_GRAMS]];
                    $this->questions[] = OpenPoint::question(
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
                $this->questions[] = OpenPoint::question(
                    '/steps/'.(\count($this->steps) - 1).'/takes',
                    0.75,
                    'Where does "{title}" go? It was poured in at the end.',
                    title: \is_string($title) ? $title : $id,
                );
            }
        }
    }

    private function draft(ToldRecipe $told, string $slug): Draft
    {
        $name = '' === $told->name ? 'A told sweet' : $told->name;
        $draft = Draft::blank($slug, $name)->withHead(['summary' => $told->summary, 'origin' => 'As it was told']);

        return Draft::of([...$draft->document(), 'steps' => $this->steps])->withResultFound();
    }

    private function askAboutTheWhole(ToldRecipe $told): void
    {
        $this->guesses[] = OpenPoint::guess('/portion/grams', 'A portion was supposed to be 100 g');
        $this->guesses[] = OpenPoint::guess('/serving', 'Served warm, within two hours, was supposed');
        $this->questions[] = OpenPoint::question(
            '/portion/grams',
            '' === $told->yields ? 0.55 : 0.4,
            '' === $told->yields
                ? 'How large is a portion, and how many does this make?'
                : 'It makes "{yields}": how large is a portion of it?',
            yields: $told->yields,
        );
        foreach ($this->listed as [$line]) {
            if (SpokenUnit::Cup === $line->unit) {
                $this->questions[] = OpenPoint::question(
                    '',
                    0.35,
                    'Whose cup is it? This kitchen\'s, of {ml} ml, was taken.',
                    ml: $this->cupMl,
                );
                break;
            }
        }
    }

    /** The clause that says what is done, short; else what the process is called, and with what. */
    private function title(Sentence $sentence): string
    {
        $words = new ProcessWords();
        foreach (preg_split('/[,.;:(]|\b(?:for about|for \d|until|till)\b/i', $sentence->text) ?: [] as $clause) {
            $clause = (string) preg_replace(
                '/^\W*(?:(?:and|so|now|then|next|after that|meanwhile|first|finally|you|we|have to|need to|must|take|in another pot|in '.
                    'another pan)\b[ ,]*)+/i',
                '',
                trim($clause),
            );
            if (
                mb_strlen($clause) >= 4
                && 1 !== preg_match('/^(?:it|they|this) /i', $clause)
                && mb_strlen($clause) <= 56
                && $words->find($clause) === [$sentence->process, true]
            ) {
                return ucfirst($clause);
            }
        }
        $with = $sentence->amounts[0]->ingredient->name ?? '';

        return ProcessGuide::of($sentence->process)->label.('' === $with ? '' : ': '.mb_strtolower(explode(',', $with)[0]));
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
