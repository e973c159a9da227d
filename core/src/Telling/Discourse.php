<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\VesselKind;

/**
 * Follows a telling from piece to piece: what goes into which pot, which pot "it" is, what was only named and goes in later, which time
 * and which sign belong to which step.
 */
final class Discourse
{
    /** How many sentences later what was added still belongs to the cooking that follows. */
    private const SOON = 2;

    /** What is in most pots names none of them. */
    private const COMMON = ['water', 'milk', 'sugar', 'ghee', 'salt', 'cardamom', 'frying-oil', 'saffron'];

    /** So small a share of what was listed is no amount of its own. */
    private const CRUMBS = 0.15;

    /** @var list<ToldStep> */
    public array $steps = [];

    /** @var list<ToldAmount> told before anything was done with them, and not yet used */
    public array $waiting = [];

    /** @var list<ToldAmount> everything told */
    public array $amounts = [];

    /** @var list<array{Fragment, string}> what is no step, with why */
    public array $setAside = [];

    /** @var list<ToldAmount> */
    public array $alternatives = [];

    public Streams $streams;

    /** @var list<ToldAmount> what was added and not yet cooked */
    private array $adding = [];

    private int $addedIn = -10;

    private bool $addedByVerb = false;

    /** @var array{int, int} tokens of what was added */
    private array $addedAt = [0, 0];

    private ?Flame $flame = null;

    private ?VesselKind $vessel = null;

    private ?AttentionKind $attention = null;

    /** @var list<ToldAmount> fat that was set to heat and waits for what is fried in it */
    private array $fat = [];

    private bool $isDeep = false;

    /** what was poured last was boiling */
    private bool $isScalded = false;

    /** @var array{float, float, int, int}|null a time said before the step it is of, and its tokens */
    private ?array $time = null;

    private int $section = 0;

    /** @var list<Stream> what is poured into the pot with the next step */
    private array $joining = [];

    private bool $isPoured = false;

    /** @var array<int, int> sentences by the token where an amount begins */
    private array $heardIn = [];

    public function __construct(private readonly Fragments $fragments)
    {
        $this->streams = new Streams();
    }

    /**
     * @param list<Fragment>   $pieces  of one sentence
     * @param list<ToldAmount> $amounts told in it
     */
    public function hear(Text $text, array $pieces, array $amounts): void
    {
        [$this->flame, $this->vessel, $this->attention, $this->time] = [null, null, null, null];
        $isApartBefore = false;
        // "A week outside, three in the fridge": how long it keeps is no work.
        if (isset($pieces[0]) && $this->isKeeping($text, $pieces[0])) {
            foreach ($pieces as $piece) {
                $this->setAside[] = [$piece, 'keeping'];
            }

            return;
        }
        foreach ($amounts as $amount) {
            $this->heardIn[$amount->first] = $pieces[0]->sentence ?? 0;
        }
        foreach ($pieces as $k => $piece) {
            $own = array_values(array_filter($amounts, static fn (ToldAmount $a): bool => $a->first >= $piece->first && $a->first < $piece->next));
            // "milk in another pot": the milk is what begins there.
            $isApartBehind = isset($pieces[$k + 1]) && $pieces[$k + 1]->has(SpanKind::Apart) && FragmentKind::Bare === $pieces[$k + 1]->kind
                && !$pieces[$k + 1]->has(SpanKind::Thing, SpanKind::Measure, SpanKind::Verb) && !$text->is($pieces[$k]->next, ',', ';', ':');
            if ($piece->has(SpanKind::Apart) && $isApartBefore) {
                $isApartBefore = false;
            } elseif ($piece->has(SpanKind::Apart) || $isApartBehind) {
                $this->flush($piece->sentence, false);
                $this->streams->beginsNext = true;
                $isApartBefore = $isApartBehind;
            }
            match (true) {
                $piece->kind->isSign() => $this->sign($text, $piece),
                FragmentKind::Work === $piece->kind => $this->work($text, $piece, $own, $this->signsBehind($text, $pieces, $k)),
                FragmentKind::Bare === $piece->kind => $this->bare($text, $piece, $own, $this->signsBehind($text, $pieces, $k)),
                default => $this->aside($text, $piece, $own),
            };
        }
        array_push($this->amounts, ...$amounts);
    }

    private function isKeeping(Text $text, Fragment $piece): bool
    {
        $words = $text->words($piece->first, $piece->next);

        return 1 === preg_match('/^\W*(?:\p{L}+\W+){0,4}(?:days?|weeks?|months?|years?)\b/iu', $words) && [] === $this->fragments->verbs($text, $piece->spans, $piece->first)
            && $piece->has(SpanKind::Count) && [] !== $this->steps
            || 1 === preg_match('/^\W*keep (?:it|them) (?:hot|warm|covered)/i', $words)
            || 1 === preg_match('/^\W*(?:it|they|this) (?:keeps?|lasts?|stays? good)\b/iu', $words);
    }

    /** What is left when the telling ends. */
    public function end(): void
    {
        $this->flush(\PHP_INT_MAX, false);
    }

    /** @param list<Fragment> $pieces */
    private function signsBehind(Text $text, array $pieces, int $k): string
    {
        $words = '';
        for ($n = $k + 1; $n < \count($pieces) && FragmentKind::Work !== $pieces[$n]->kind; ++$n) {
            if (FragmentKind::Done === $pieces[$n]->kind) {
                $words .= ' '.$text->words($pieces[$n]->first, $pieces[$n]->next);
            }
        }

        return $words;
    }

    private function sign(Text $text, Fragment $piece): void
    {
        $opener = $piece->spans[0] ?? null;
        $first = null !== $opener && $opener->is(SpanKind::Until, SpanKind::Ready) && !$piece->isLead ? $opener->next : $piece->first;
        $kind = match ($piece->kind) {
            FragmentKind::Wrong => CueKind::Wrong,
            FragmentKind::OnTheWay => CueKind::OnTheWay,
            default => CueKind::Done,
        };
        // "When it boils": what was set on the fire has boiled.
        $boils = $piece->of(SpanKind::Verb);
        if ($piece->isLead && null !== $boils && $boils->isDone(Action::Boil) && VerbForm::Does === $boils->form && $this->streams->beginsNext && [] !== $this->waiting) {
            $liquid = array_values(array_filter($this->waiting, static fn (ToldAmount $a): bool => \in_array($a->key(), ['water', 'milk', 'saffron'], true)));
            if ([] !== $liquid) {
                $this->waiting = array_values(array_filter($this->waiting, static fn (ToldAmount $a): bool => !\in_array($a, $liquid, true)));
                $this->step($text, $piece, Process::Boil, $liquid, '');
            }
        }
        // A sign behind what was only added belongs to a step of its own.
        if (CueKind::Done === $kind && !$piece->isLead && [] !== $this->adding && $this->addedIn === $piece->sentence) {
            $this->flush($piece->sentence, false);
        }
        $last = $this->lastStep();
        if (CueKind::Done === $kind && !$piece->isLead && [] !== $this->waiting && (null === $last || $this->streams->beginsNext) && SpanKind::Until === $opener?->kind) {
            $last = $this->step($text, $piece, Process::MixIn, $this->waiting, '');
            $this->waiting = [];
        }
        if (null === $last) {
            $this->setAside[] = [$piece, 'before'];

            return;
        }
        $before = [] === $last->signs ? null : $last->signs[\count($last->signs) - 1];
        $words = trim($text->words($first, $piece->next));
        if (null !== $before && $before->kind === $kind && FragmentKind::Wrong === $piece->kind && $before->next >= $piece->first - 2) {
            // "if it runs" and "another spoon of flour" are one.
            array_pop($last->signs);
            $last->signs[] = new ToldSign($kind, $before->words, trim($before->rescue.' '.$words), $before->first, $piece->next);
        } elseif (null !== $before && $before->kind === $kind && $before->next >= $piece->first - 2 && null === $opener) {
            array_pop($last->signs);
            $last->signs[] = new ToldSign($kind, $before->words.', '.$words, $before->rescue, $before->first, $piece->next);
        } elseif ('' !== $words) {
            $last->signs[] = new ToldSign($kind, $words, '', $first, $piece->next);
        }
        if (CueKind::Done === $kind && $last->isStirred && Process::Simmer === $last->process && ProcessOf::isBall($words)) {
            $last->process = Process::StirToBall;
        }
        $this->targets($piece, $last);
        $time = $piece->of(SpanKind::Time);
        if (null !== $time && CueKind::Done === $kind && null === $last->minutes && $last->sentence === $piece->sentence) {
            $this->lasts($text, $last, $time);
        }
    }

    /** @param list<ToldAmount> $own */
    private function aside(Text $text, Fragment $piece, array $own): void
    {
        if (FragmentKind::Alternative === $piece->kind) {
            array_push($this->alternatives, ...$own);
            $this->setAside[] = [$piece, 'alternative'];

            return;
        }
        if (FragmentKind::Caution === $piece->kind) {
            $last = $this->lastStep();
            if (null !== $last) {
                $last->cautions[] = $text->words($piece->first, $piece->next);
            }
            // "do not leave it" is how it is watched.
            if ($piece->has(SpanKind::Constant) && null !== $last && null === $last->attention) {
                $last->attention = AttentionKind::Constant;
            }
            $this->setAside[] = [$piece, 'caution'];

            return;
        }
        $this->setAside[] = [$piece, 'aside'];
    }

    /** @param list<ToldAmount> $own */
    private function bare(Text $text, Fragment $piece, array $own, string $signs): void
    {
        $words = $text->words($piece->first, $piece->next);
        $isLabel = $piece->has(SpanKind::Thing) || [] !== $own
            || 1 === preg_match('/\b(?:filling|stuffing|dough|syrup|batter|coating|topping|base|nuts|sauce|garnish|shells?|crust|drops|coils|rings|pulp|fruit|milk|flour|spices)\b/i', $words);
        if ($piece->isLabel && $isLabel && !$piece->has(SpanKind::Measure, SpanKind::Time)) {
            $this->label($piece, $words, $own);
            if ([] === $own) {
                return;
            }
        }
        $this->manner($text, $piece);
        if (1 === preg_match('/\b(?:fridge|refrigerator)\b/i', $words)) {
            $this->step($text, $piece, Process::Chill, [], $words);
        } elseif (1 === preg_match('/\b(?:on top|over it|over them|on it|on them|over the top)\b/i', $words) && [] !== $own) {
            $this->flush($piece->sentence, false);
            $this->step($text, $piece, Process::Garnish, $own, $words);
            $own = [];
        } elseif (
            null !== $piece->of(SpanKind::Vessel)
            && VesselKind::Tray === $piece->of(SpanKind::Vessel)->vessel
            && 1 === preg_match('/\b(?:onto|into|on to)\b/i', $words)
        ) {
            $this->step($text, $piece, Process::Set, [], $words);
        }
        if (1 === preg_match('/\b(?:for|into|to) a (?:\p{L}+ )?dough\b/iu', $words) && [] !== $this->waiting) {
            $this->list($this->known($own));
            $this->step($text, $piece, Process::Knead, $this->waiting, '');
            $this->waiting = [];
            $own = [];
        }
        if ($piece->has(SpanKind::Stage) && !$this->isSyrupNow()) {
            $this->add($text, $piece, $own);
            $own = [];
            $this->step($text, $piece, Process::Syrup, $this->takeSweet(), $words);
        }
        $time = $this->timeOf($text, $piece);
        // "the dough needs its two hours of rest": said of what was done
        if (null !== $time && 1 === preg_match('/\bof (?:rest|soaking|cooling|standing)\b/i', $words)) {
            return;
        }
        if (null !== $time) {
            $this->bareTime($text, $piece, $time, $own, $words.' '.$signs);

            return;
        }
        $this->add($text, $piece, $own);
        $last = $this->lastStep();
        if (null !== $last && $last->sentence === $piece->sentence) {
            $this->targets($piece, $last);
            $this->mannerTo($last);
        }
    }

    /**
     * A time by itself: of what was just added, of the step before it, or of the same again.
     *
     * @param list<ToldAmount> $own
     */
    private function bareTime(Text $text, Fragment $piece, Span $time, array $own, string $words): void
    {
        $this->add($text, $piece, $own);
        $last = $this->lastStep();
        if ([] !== $this->adding && $piece->sentence - $this->addedIn <= 1 && null !== $last && $this->streams->current()->isHot) {
            $step = $this->step($text, $piece, $this->goesOn($words), [], $words);
            $this->lasts($text, $step, $time);
            $this->mannerTo($step);

            return;
        }
        if (null === $last) {
            $this->time = [$time->from ?? 0.0, $time->to ?? 0.0, $time->first, $time->next];

            return;
        }
        if (null === $last->minutes) {
            $this->lasts($text, $last, $time);
            $this->mannerTo($last);

            return;
        }
        $isMore = null !== $this->flame || null !== $this->attention || null !== $this->vessel;
        if (($isMore && $last->sentence !== $piece->sentence && $this->streams->current()->isHot) || 1 === preg_match('/\b(?:more|another|further|again)\b/i', $text->words(max(0, $piece->first), $piece->next))) {
            $step = $this->step($text, $piece, $this->streams->current()->isHot ? $this->goesOn($words) : $last->process, [], $words);
            $step->isStirred = true;
            $this->lasts($text, $step, $time);
            $this->mannerTo($step);
        }
        $this->mannerTo($last);
    }

    /** The cooking that goes on in the pot when more is said of it. */
    private function goesOn(string $words): Process
    {
        return ProcessOf::cooking(Action::Stir, [], $words, $this->streams->current(), $this->pan(), false) ?? Process::Simmer;
    }

    /** @param list<ToldAmount> $own */
    private function label(Fragment $piece, string $words, array $own): void
    {
        $this->flush($piece->sentence, false);
        $this->section = \count($this->steps);
        $this->streams->beginsNext = true;
        $this->streams->label = array_values(array_filter(
            preg_split('/[^\p{L}]+/u', mb_strtolower($words)) ?: [],
            static fn (string $w): bool => mb_strlen($w) > 3 && !\in_array($w, ['the', 'next', 'first', 'then', 'with', 'for'], true),
        ));
    }

    /**
     * @param list<ToldAmount> $own
     * @param string           $signs words of the signs behind it
     */
    private function work(Text $text, Fragment $piece, array $own, string $signs): void
    {
        $words = $text->words($piece->first, $piece->next);
        $this->manner($text, $piece);
        $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
        $verbs = $this->fragments->verbs($text, $piece->spans, $piece->first);
        $done = null;
        $taken = [];
        foreach ($verbs as $verb) {
            $action = $verb->action ?? Action::Add;
            // "you take a cup of semolina and roast it"
            $isIt = 1 === preg_match('/\b(?:it|them|these)\b/i', $words);
            if ($isIt && null === $this->streams->current()->last && [] !== $own && !\in_array($action, [Action::Add, Action::Off], true)) {
                $taken = $this->takeHere($piece->sentence);
                $taken = [] === $taken ? $this->takeHere($piece->sentence - 1, 2) : $taken;
            }
            // "fifteen cashews and some raisins, fry them"
            if ([] === $ids && \in_array($action, [Action::Fry, Action::Roast, Action::Parch], true) && 1 === preg_match('/\b(?:it|them|these)\b/i', $words)) {
                $taken = $this->takeHere($piece->sentence);
                $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $taken)));
            }
            // "sugar, sieved": what was named last.
            if (VerbForm::Done === $verb->form && [] === $own) {
                $own = $this->namedLast($piece->sentence);
                $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
            }
            $process = $this->process($action, $ids, $words.' '.$signs, $piece);
            if (null !== $process && $process !== $done?->process) {
                $own = [...$taken, ...$own];
                $done = $this->step($text, $piece, $process, $own, $words);
                $done->isStirred = $done->isStirred || Action::Stir === $action;
                [$own, $taken] = [[], []];
            } elseif (null !== $done && \in_array($action, [Action::Stir], true)) {
                $done->attention ??= AttentionKind::Watch;
            } elseif (null === $process) {
                $this->weak($text, $piece, $action, $own, $words);
                if (Action::Stir === $action && null !== $done) {
                    $done->attention ??= AttentionKind::Watch;
                }
                $own = \in_array($action, [Action::Melt, Action::Simmer], true) && [] !== $this->fat ? [] : $own;
                $own = \in_array($action, [Action::Test, Action::Serve], true) ? [] : $own;
            }
        }
        if (null === $done && [] !== $own) {
            $this->add($text, $piece, $own);
        }
        $time = $this->timeOf($text, $piece) ?? $this->timeSaidBefore();
        if (null !== $time) {
            if (null !== $done) {
                $this->lasts($text, $done, $time);
            } else {
                $this->bareTime($text, $piece, $time, [], $words.' '.$signs);
            }
        }
        if (null !== $done) {
            $this->targets($piece, $done);
            $this->mannerTo($done);
        }
    }

    /** @return list<ToldAmount> what was told in this sentence and is in no pot yet, taken for the step that follows */
    private function takeHere(int $sentence, int $most = 9): array
    {
        $isHere = fn (ToldAmount $a): bool => $a->first >= 0 && ($this->heardIn[$a->first] ?? -1) === $sentence;
        $here = [...array_filter($this->adding, $isHere), ...array_filter($this->waiting, $isHere)];
        if (\count($here) > $most) {
            return [];
        }
        $this->adding = array_values(array_filter($this->adding, static fn (ToldAmount $a): bool => !$isHere($a)));
        $this->waiting = array_values(array_filter($this->waiting, static fn (ToldAmount $a): bool => !$isHere($a)));

        return $here;
    }

    /** @return list<ToldAmount> what was named last in this sentence and is in no pot yet, taken back */
    private function namedLast(int $sentence): array
    {
        if ([] !== $this->adding && $this->addedIn === $sentence) {
            return [array_pop($this->adding)];
        }
        $last = array_pop($this->waiting);

        return null === $last ? [] : [$last];
    }

    /** @param list<string> $ids */
    private function process(Action $action, array $ids, string $words, Fragment $piece): ?Process
    {
        $stream = $this->streams->current();
        $hasMore = $piece->has(SpanKind::Time) || 1 === preg_match('/\S/', $words) && $this->hasSign($words);
        switch ($action) {
            case Action::Stir:
                $isTold = null !== $piece->of(SpanKind::Time) || $this->hasSign($words);

                return $isTold && ($stream->isHot || [] !== $this->adding || (null === $stream->last && [] !== $this->waiting)) ? ProcessOf::cooking($action, $ids, $words, $stream, $this->pan(), false) : null;
            case Action::Leave:
                if (!$piece->has(SpanKind::Time) && !$hasMore) {
                    return null;
                }

                if (null === $stream->last) {
                    return [] === $this->waiting ? null : ($this->isScalded ? Process::Steep : Process::Rest);
                }

                return ProcessOf::waiting($this->steps[$stream->last]->process, $stream->isHot, $piece->has(SpanKind::FlameOff));
            case Action::Add:
                return $this->adds($ids, $words, $stream);
            case Action::Garnish:
                if ([] !== $ids && [] === array_filter($ids, static fn (string $id): bool => !ProcessOf::isFat($id))) {
                    return null;
                }

                return [] === $ids && !$this->namesOther($words, $ids) ? null : Process::Garnish;
            case Action::Set:
                return $piece->has(SpanKind::Fire) || 1 === preg_match('/\b(?:flame|fire|stove)\b/i', $words) ? null : Process::Set;
            default:
                if ([] === $ids && \in_array($action, [Action::Melt, Action::Boil, Action::Simmer], true) && [] !== $this->adding
                    && [] !== array_intersect(array_map(static fn (ToldAmount $a): string => $a->key(), $this->adding), ProcessOf::SWEET)
                    && [] === array_diff(array_map(static fn (ToldAmount $a): string => $a->key(), $this->adding), ProcessOf::SWEET, ProcessOf::SEASONING)
                    && [] === array_intersect($stream->holds, ['milk', 'semolina', ...ProcessOf::SWEET]) && Action::Melt === $action) {
                    // "jaggery 400 g, water four spoons. Melt": a syrup beside what stands.
                    array_push($this->waiting, ...$this->adding);
                    $this->adding = [];
                    $this->streams->beginsNext = true;
                }
                $here = [] === $ids && (null === $stream->last || $this->streams->beginsNext)
                    ? array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $this->waiting)))
                    : $ids;

                return ProcessOf::cooking($action, $here, $words, $stream, $this->pan(), $piece->has(SpanKind::Stage) || 1 === preg_match('/\b(?:string|syrup|tacky|ball)\b/i', $words));
        }
    }

    /**
     * Pouring, tipping, putting: what it means depends on what, where, and how hot.
     *
     * @param list<string> $ids
     */
    private function adds(array $ids, string $words, Stream $stream): ?Process
    {
        $last = null === $stream->last ? null : $this->steps[$stream->last]->process;
        $isLiquid = [] !== array_intersect($ids, ['water', 'milk', 'coconut-milk', 'cream', 'coconut-milk-first', 'coconut-milk-thin']);
        $this->isScalded = $isLiquid && 1 === preg_match('/\b(?:boiling|hot)\b/i', $words);

        return match (true) {
            1 === preg_match('/\b(?:fridge|refrigerator)\b/i', $words) => Process::Chill,
            1 === preg_match('/\b(?:in|into) the cooker\b|\bwhistle/i', $words) => Process::Pressure,
            !$isLiquid && 1 === preg_match('/\b(?:on top|over the top|over them)\b/i', $words) => Process::Garnish,
            1 === preg_match('/\b(?:tray|plate|thali|slab|moulds?)\b/i', $words)
                && 1 === preg_match('/\b(?:in|into|on|onto)\b/i', $words) => Process::Set,
            (Process::DeepFry === $last || Process::Shape === $last || Process::FryGarnish === $last) && 1 === preg_match('/\b(?:into|in) (?:the )?(?:\w+ )?syrup\b/i', $words) => Process::Dunk,
            1 === preg_match('/\b(?:boiling|hot)\b/i', $words)
                && (Process::Roast === $last || $this->isRoastedBeside())
                && 1 === preg_match('/\b(?:pour|tip|add|in|over)\b/i', $words) => Process::Merge,
            Process::Boil === $last && 1 === preg_match('/\bpour\b.*\b(?:over|in|into)\b|\bpours\b/i', $words) && $this->isRoastedBeside() => Process::Merge,
            default => null,
        };
    }

    private function isRoastedBeside(): bool
    {
        foreach ($this->streams->open() as $stream) {
            if (null !== $stream->last && Process::Roast === $this->steps[$stream->last]->process) {
                return true;
            }
        }

        return false;
    }

    /** @return array{bool, bool} whether fat stands hot in the pan, and deep enough to fry in */
    private function pan(): array
    {
        return [[] !== $this->fat, $this->isDeep];
    }

    /** @param list<string> $ids */
    private function namesOther(string $words, array $ids): bool
    {
        return [] !== $this->streams->named($words, $ids, false);
    }

    private function hasSign(string $words): bool
    {
        return 1 === preg_match('/\b(?:until|till|so that|so thick|so soft|as soon as)\b/i', $words);
    }

    /** @param list<ToldAmount> $own */
    private function weak(Text $text, Fragment $piece, Action $action, array $own, string $words): void
    {
        $stream = $this->streams->current();
        $fats = array_filter($own, static fn (ToldAmount $a): bool => null !== $a->thing && ProcessOf::isFat($a->thing->id));
        if (Action::Off === $action || $piece->has(SpanKind::FlameOff)) {
            $stream->isHot = $stream->isHot && !$piece->has(SpanKind::FlameOff);
        }
        // "add the syrup to it", said of the syrup that was just cooked: it goes into what stands beside it.
        if (Action::Add === $action && null !== $stream->last && 1 === preg_match('/\b(?:add|pour|put|tip|mix|stir|goes|go|turn|fold|throw)/i', $words)) {
            $this->poursInto($stream, $own, $words);
        }
        // Fat that is heated waits for what is fried in it.
        if (\in_array($action, [Action::Simmer, Action::Melt], true) && [] !== $fats && \count($fats) === \count($own)) {
            $this->heatFat(array_values($fats), $piece->has(SpanKind::Length) || 1 === preg_match('/\boil\b/i', $words));
        }
    }

    /** @param list<ToldAmount> $own */
    private function add(Text $text, Fragment $piece, array $own): void
    {
        if ([] === $own) {
            return;
        }
        $last = $this->lastStep();
        // "roll it out, with rice flour for dusting", "on the griddle, ghee as you like"
        if (
            null !== $last
            && $last->sentence === $piece->sentence
            && FragmentKind::Bare === $piece->kind
            && [] === $this->adding
            && ($text->is($piece->first, 'with', 'in', 'using') || [] === array_filter($own, static fn (ToldAmount $a): bool => !ProcessOf::isFat($a->thing->id ?? '')))
        ) {
            array_push($last->amounts, ...$this->known($own));

            return;
        }
        $ids = array_map(static fn (ToldAmount $a): string => $a->key(), $own);
        // "Next the jaggery with two spoons of water": a syrup begins.
        if ([] !== array_intersect($ids, ProcessOf::SWEET) && \in_array('water', $ids, true) && 2 === \count($ids)) {
            $this->flush($piece->sentence, false);
            $this->streams->beginsNext = true;
            $this->step($text, $piece, Process::Syrup, $own, '');

            return;
        }
        $fats = array_filter($own, static fn (ToldAmount $a): bool => null !== $a->thing && ProcessOf::isFat($a->thing->id));
        $isPrelude = \count($fats) === \count($own) && $piece->has(SpanKind::Length, SpanKind::Vessel);
        if ($isPrelude) {
            $this->heatFat($own, $piece->has(SpanKind::Length));

            return;
        }
        // Told before anything was done: a list. Later: it goes into the pot.
        if (\count($this->steps) === $this->section || null === $this->streams->current()->last || $this->streams->beginsNext) {
            $this->list($own);

            return;
        }
        $own = $this->known($this->toldLater($own));
        if ([] === $own) {
            return;
        }
        if ([] === $this->adding) {
            $this->addedAt = [$piece->first, $piece->next];
        }
        $this->addedByVerb = ($this->addedByVerb && [] !== $this->adding) || FragmentKind::Work === $piece->kind;
        array_push($this->adding, ...$own);
        $this->addedIn = $piece->sentence;
        $this->addedAt = [min($this->addedAt[0], $piece->first), max($this->addedAt[1], $piece->next)];
    }

    /**
     * "You roast the peanuts first. A pound of peanuts, ...": the amount of what went in before.
     *
     * @param list<ToldAmount> $own
     *
     * @return list<ToldAmount> the others
     */
    private function toldLater(array $own): array
    {
        $last = $this->lastStep();
        foreach ($own as $k => $amount) {
            foreach ($last->amounts ?? [] as $n => $known) {
                if ($known->key() === $amount->key() && !$known->isTold && null !== $last) {
                    if ($amount->isTold) {
                        $last->amounts[$n] = $amount;
                    }
                    unset($own[$k]);
                    break;
                }
            }
        }

        return array_values($own);
    }

    /** @param list<ToldAmount> $own */
    private function poursInto(Stream $stream, array $own, string $words): void
    {
        $ids = array_map(static fn (ToldAmount $a): string => $a->key(), array_filter($own, static fn (ToldAmount $a): bool => !$a->isTold));
        $isNamed = [] !== array_intersect($ids, array_diff($stream->holds, ['water', 'ghee', 'salt', 'cardamom']));
        foreach ($stream->names as $name) {
            $isNamed = $isNamed || 1 === preg_match('/\bthe (?:\p{L}+ )?'.preg_quote($name, '/').'\b/iu', $words);
        }
        $others = array_filter($this->streams->open(), static fn (Stream $s): bool => $s->id !== $stream->id);
        if (!$isNamed || [] === $others) {
            return;
        }
        usort($others, static fn (Stream $a, Stream $b): int => $b->last <=> $a->last);
        $this->joining[] = $stream;
        $this->streams->goOnWith($others[0]);
        if ([] === $this->adding) {
            // Nothing else has to be poured for it to be a step.
            $this->isPoured = true;
        }
    }

    /** @param list<ToldAmount> $own what is only named gives way to its amount */
    private function list(array $own): void
    {
        foreach ($own as $amount) {
            foreach ($this->waiting as $n => $known) {
                if ($known->key() === $amount->key() && (!$known->isTold || !$amount->isTold)) {
                    $amount = $amount->isTold ? $amount : $known;
                    unset($this->waiting[$n]);
                }
            }
            $this->waiting = [...array_values($this->waiting), $amount];
        }
    }

    /** @param list<ToldAmount> $fat */
    private function heatFat(array $fat, bool $isDeep): void
    {
        array_push($this->fat, ...$this->known($fat));
        $this->isDeep = $isDeep;
    }

    /** @return list<ToldAmount> what was listed for a syrup */
    private function takeSweet(): array
    {
        $sweet = $rest = [];
        if ([] !== array_intersect(array_map(static fn (ToldAmount $a): string => $a->key(), $this->adding), ProcessOf::SWEET)) {
            array_push($this->waiting, ...$this->adding);
            $this->adding = [];
            $this->streams->beginsNext = $this->streams->beginsNext || [] !== array_diff($this->streams->current()->holds, ProcessOf::SWEET, ProcessOf::SEASONING);
        }
        foreach ($this->waiting as $amount) {
            if (\in_array($amount->key(), [...ProcessOf::SWEET, ...ProcessOf::SEASONING], true)) {
                $sweet[] = $amount;
            } else {
                $rest[] = $amount;
            }
        }
        $this->waiting = $rest;

        return $sweet;
    }

    /** What was added becomes a step of its own, where no cooking followed soon. */
    private function flush(int $sentence, bool $isCooking): void
    {
        if (([] === $this->adding && !$this->isPoured) || ($isCooking && $sentence - $this->addedIn <= self::SOON)) {
            return;
        }
        $adding = $this->adding;
        $this->adding = [];
        if (null === $this->streams->current()->last) {
            array_push($this->waiting, ...$adding);

            return;
        }
        $after = $this->steps[$this->streams->current()->last]->process;
        $isOnTop = \in_array($after, [Process::Cut, Process::Set, Process::Score, Process::Shape, Process::Chill, Process::Portion, Process::TurnOut, Process::Griddle, Process::Dunk,
            Process::DeepFry, Process::Steam], true) && [] === array_filter($adding, static fn (ToldAmount $a): bool => \in_array($a->key(), ['water', 'milk', 'sugar'], true));
        $step = new ToldStep($isOnTop ? Process::Garnish : Process::MixIn, $this->streams->current()->id, $this->addedIn, $this->addedAt[0], $this->addedAt[1]);
        $this->keep($step, $adding, []);
    }

    /**
     * @param list<ToldAmount> $own
     */
    private function step(Text $text, Fragment $piece, Process $process, array $own, string $words): ToldStep
    {
        $isCooking = 'none' !== $process->facts()->flame->value || \in_array($process, [Process::Knead, Process::Grind, Process::Mash], true);
        $isCooking = $isCooking && !\in_array($process, [Process::FryGarnish, Process::Syrup, Process::DeepFry, Process::Griddle, Process::Parch], true);
        $everything = 1 === preg_match('/\b(?:everything|all together|all of it|them all|the two|both)\b/i', $words);
        $ids = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->thing?->id, $own)));
        $isIt = 1 === preg_match('/\b(?:it|them|this|these|the mixture|everything)\b/i', $words)
            && ([] === $own || 1 === preg_match('/^\W*(?:\w+\W+){0,3}?(?:it|them|this|these|the mixture|everything)\b/i', $words));
        $own = $this->known($own);
        // Nuts and saffron are seen to beside the pot, and the telling goes on with the pot.
        $isAside = \in_array($process, [Process::FryGarnish, Process::Infuse], true);
        $main = $this->streams->current();
        if ($this->streams->isOwn($process, $ids, $isIt)) {
            $isNew = null !== $this->streams->current()->last || [] === $this->streams->all || $this->streams->beginsNext;
            if ($isNew) {
                if ($isAside && $this->addedIn < $piece->sentence) {
                    $this->flush($piece->sentence, false);
                } elseif ($isAside) {
                    $kept = $this->adding;
                    $this->adding = [];
                } elseif (!$this->addedByVerb) {
                    // What was only named waits until it is said where it goes.
                    $this->list($this->adding);
                    $this->adding = [];
                }
                $this->flush($piece->sentence, false);
                if ($this->streams->beginsNext || null !== $this->streams->current()->last) {
                    $this->streams->begin();
                }
            }
        } else {
            $this->flush($piece->sentence, $isCooking);
        }
        $stream = $this->streams->current();
        $last = null === $stream->last ? null : $this->steps[$stream->last];
        // "peel and grate them", "roll and fill": one work.
        if (
            null !== $last
            && $last->process === $process
            && $stream->last === array_key_last($this->steps)
            && \in_array($process, [Process::Prepare, Process::Shape, Process::Set, Process::Syrup, Process::MixIn, Process::Garnish, Process::Chill, Process::Soak,
                Process::Grind, Process::Strain, Process::Drain, Process::Rinse, Process::DeepFry, Process::Merge], true)
            && ($last->sentence === $piece->sentence || null === $this->timeOf($text, $piece) || null === $last->minutes)
        ) {
            $last->covers($piece->first, $piece->next);
            array_push($last->amounts, ...$own);

            return $last;
        }
        if ([] === $own && [] === $this->adding && null === $last && [] !== $this->waiting) {
            $own = $this->waiting;
            $this->waiting = [];
        }
        $again = array_values(array_filter(array_map(static fn (ToldAmount $a): ?string => $a->isTold ? null : $a->thing?->id, $own)));
        $named = $this->streams->named($words, $again, $everything);
        if (Process::Merge === $process) {
            array_push($named, ...array_filter(
                $this->streams->open(),
                fn (Stream $s): bool => $s->id !== $stream->id && null !== $s->last && Process::Roast === $this->steps[$s->last]->process,
            ));
        }
        $step = new ToldStep($process, $stream->id, $piece->sentence, $piece->first, $piece->next);
        $own = [...$this->adding, ...$own];
        if (\in_array($process, [Process::Roast, Process::FryGarnish, Process::DeepFry, Process::Bloom, Process::Griddle, Process::Simmer, Process::StirToBall], true)) {
            $own = [...$this->fat, ...$own];
            $this->fat = [];
        }
        if ([] !== $this->adding) {
            $step->covers($this->addedAt[0], $this->addedAt[1]);
        }
        $this->adding = [];
        $this->keep($step, $own, $named);
        $this->mannerTo($step);
        if ($isAside && null !== $main->last && $main->id !== $stream->id) {
            $this->streams->goOnWith($main);
        }
        $this->adding = $kept ?? [];

        return $step;
    }

    /**
     * @param list<ToldAmount> $own
     * @param list<Stream>     $named
     */
    private function keep(ToldStep $step, array $own, array $named): void
    {
        $stream = $this->streams->current();
        if (null !== $stream->last) {
            $step->sources[] = $stream->last;
        }
        $named = [...$this->joining, ...$named];
        [$this->joining, $this->isPoured] = [[], false];
        foreach ($named as $other) {
            if (\in_array($other->last, $step->sources, true)) {
                continue;
            }
            if (null !== $other->last && $other->id !== $stream->id) {
                $step->sources[] = $other->last;
                $other->isOpen = false;
                array_push($stream->holds, ...$other->holds);
                array_push($stream->names, ...$other->names);
            }
        }
        if (Process::Merge === $step->process) {
            // What was roasted stands there; the other is poured over it.
            usort($step->sources, fn (int $a, int $b): int => (Process::Roast === $this->steps[$a]->process ? 0 : 1) <=> (Process::Roast === $this->steps[$b]->process ? 0 : 1));
        }
        foreach ($own as $amount) {
            $isIn = !$amount->isTold && null !== $amount->thing && \in_array($amount->thing->id, $stream->holds, true);
            if (!$isIn) {
                $step->amounts[] = $amount;
            }
            if (null !== $amount->thing) {
                $stream->holds[] = $amount->thing->id;
            }
            if (!\in_array($amount->thing->id ?? '', self::COMMON, true)) {
                $stream->names[] = mb_strtolower($amount->named);
            }
        }
        $stream->holds = array_values(array_unique($stream->holds));
        $this->steps[] = $step;
        $stream->went(\count($this->steps) - 1, $step->process);
    }

    /**
     * Things that are named without an amount get the one that was listed for them.
     *
     * @param list<ToldAmount> $own
     *
     * @return list<ToldAmount>
     */
    private function known(array $own): array
    {
        foreach ($own as $k => $amount) {
            if ($amount->isTold) {
                $this->useUp($amount);
                continue;
            }
            foreach ($this->adding as $n => $added) {
                if ($added->key() === $amount->key() && $added->isTold) {
                    $own[$k] = $added;
                    unset($this->adding[$n]);
                    $this->adding = array_values($this->adding);
                    continue 2;
                }
            }
            foreach ($this->waiting as $n => $listed) {
                $isIt = null !== $listed->thing && null !== $amount->thing && ($listed->thing->id === $amount->thing->id
                    || 1 === preg_match('/\b'.preg_quote($amount->named, '/').'$/iu', $listed->named));
                if ($isIt) {
                    $own[$k] = $listed;
                    unset($this->waiting[$n]);
                    $this->waiting = array_values($this->waiting);
                    break;
                }
            }
        }

        return $own;
    }

    /** What is told again where it goes in is a part of what was listed, or all of it. */
    private function useUp(ToldAmount $amount): void
    {
        foreach ($this->waiting as $n => $listed) {
            if ($listed === $amount || $listed->key() !== $amount->key()) {
                continue;
            }
            $left = null === $listed->grams || null === $amount->grams ? 0.0 : $listed->grams - $amount->grams;
            if (null === $listed->grams || $left <= self::CRUMBS * $listed->grams) {
                unset($this->waiting[$n]);
                $this->waiting = array_values($this->waiting);
            } else {
                $this->waiting[$n] = $listed->less($amount->grams ?? 0.0);
            }

            return;
        }
    }

    private function lastStep(): ?ToldStep
    {
        return [] === $this->steps ? null : $this->steps[\count($this->steps) - 1];
    }

    private function isSyrupNow(): bool
    {
        $last = $this->streams->current()->last;

        return null !== $last && \in_array($this->steps[$last]->process, [Process::Syrup], true) && !$this->streams->beginsNext;
    }

    /** The time of a piece that says how long, not when: "after", "within" and "every" say when. */
    private function timeOf(Text $text, Fragment $piece): ?Span
    {
        foreach ($piece->spans as $span) {
            if ($span->is(SpanKind::Time) && !$text->is($span->first - 1, 'within', 'every', 'each', 'than', 'last', 'half')
                && (!$text->is($span->first - 1, 'in') || $text->is($piece->first, 'it', 'they'))) {
                $last = $this->lastStep();
                $isAfter = $text->is($span->first - 1, 'after');
                if (!$isAfter || (null !== $last && null === $last->minutes && \in_array($last->process, [Process::Set, Process::Cool, Process::Chill, Process::Steam], true))) {
                    return $span;
                }
            }
        }

        return null;
    }

    private function timeSaidBefore(): ?Span
    {
        $time = $this->time;
        $this->time = null;

        return null === $time ? null : new Span(SpanKind::Time, $time[2], $time[3], $time[0], $time[1]);
    }

    private function lasts(Text $text, ToldStep $step, Span $time): void
    {
        $sides = $text->is($time->next, 'each', 'a', 'per', 'on', 'every') && $text->is($time->next + 1, 'side', 'each', 'every') ? 2 : 1;
        $step->minutes ??= [$sides * ($time->from ?? 0.0), $sides * ($time->to ?? $time->from ?? 0.0)];
        $step->timeAt ??= [$time->first, $time->next];
    }

    private function targets(Fragment $piece, ToldStep $step): void
    {
        foreach ($piece->spans as $span) {
            match ($span->kind) {
                SpanKind::Stage => $step->stage ??= $span->stage,
                SpanKind::Celsius => $step->celsius ??= $span->from,
                SpanKind::Releases => $step->releases ??= $span->from,
                default => null,
            };
        }
    }

    /** Fire, vessel and hands of a piece are those of the next step of its sentence. */
    private function manner(Text $text, Fragment $piece): void
    {
        foreach ($piece->spans as $span) {
            match ($span->kind) {
                SpanKind::Fire => $this->flame = $span->flame,
                SpanKind::FlameOff => $this->flame = Flame::None,
                SpanKind::Constant => $this->attention = AttentionKind::Constant,
                SpanKind::Watch => $this->attention = AttentionKind::Watch,
                SpanKind::Vessel => $this->vessel = $span->vessel,
                default => null,
            };
        }
    }

    private function mannerTo(ToldStep $step): void
    {
        $step->flame ??= $this->flame;
        $step->vessel ??= $this->vessel;
        $step->attention ??= $this->attention;
    }
}
