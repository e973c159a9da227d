<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** The words by which cooks tell what they do; a kitchen adds its own. */
final class Lexicon
{
    /** @var array<string, array{Action, VerbForm}>|null by words */
    private ?array $forms = null;

    /** @var array<string, list<string>>|null phrases by their first word, per list */
    private ?array $phrases = null;

    /** @var array<string, array<string, true>> words of a list */
    private array $members = [];

    /**
     * @param array<string, list<string>> $actions   verbs by action
     * @param array<string, string>       $irregular what a form is a form of
     * @param array<string, list<string>> $vessels   words by kind
     * @param array<string, list<string>> $fires     words by flame
     * @param array<string, list<string>> $lists     the other word lists, by name
     * @param array<string, string>       $own       ingredient ids by this kitchen's own words
     * @param array<string, Action>       $does      what is done by this kitchen's own words for it
     * @param list<string>                $nothing   words that say nothing in this kitchen
     */
    public function __construct(
        private readonly array $actions,
        private readonly array $irregular,
        public readonly array $vessels,
        public readonly array $fires,
        private readonly array $lists,
        public readonly array $own = [],
        private readonly array $does = [],
        private readonly array $nothing = [],
    ) {
    }

    /** @param array<string, string> $own ingredient ids by this kitchen's own words */
    public function with(array $own): self
    {
        return new self(
            $this->actions,
            $this->irregular,
            $this->vessels,
            $this->fires,
            $this->lists,
            [...$this->own, ...$own],
            $this->does,
            $this->nothing,
        );
    }

    /**
     * The same, as a kitchen corrected it.
     *
     * @param array<string, Action> $does    what is done, by its words
     * @param list<string>          $nothing words that say nothing
     */
    public function corrected(array $does, array $nothing): self
    {
        return new self($this->actions, $this->irregular, $this->vessels, $this->fires, $this->lists, $this->own, $does, $nothing);
    }

    /** Whether a word that says nothing in this kitchen stands here. */
    public function saysNothing(Text $text, int $i): bool
    {
        return [] !== $this->nothing && $text->longest($i, $this->nothing) > 0;
    }

    /** Whether this kitchen's own word for something that is done stands here: then it names no thing. */
    public function isOwnWork(Text $text, int $i): bool
    {
        return [] !== $this->does && $text->longest($i, array_map(strval(...), array_keys($this->does))) > 0;
    }

    /** How many tokens the longest phrase of a list takes up here; 0 where none stands here. */
    public function covers(string $list, Text $text, int $i): int
    {
        $this->phrases ??= [];
        $first = $text->at($i)->word ?? '';
        $key = $list.'/'.$first;
        if (!isset($this->phrases[$list])) {
            $this->phrases[$list] = [$list];
            foreach ($this->lists[$list] ?? throw new \LogicException('No list of words is called '.$list.'.') as $phrase) {
                $this->phrases[$list.'/'.explode(' ', $phrase)[0]][] = $phrase;
            }
        }

        return isset($this->phrases[$key]) ? $text->longest($i, $this->phrases[$key]) : 0;
    }

    public function isIn(string $list, string $word): bool
    {
        $this->members[$list] ??= array_fill_keys($this->lists[$list] ?? [], true);

        return isset($this->members[$list][$word]);
    }

    /** A word that never names a thing by itself. */
    public function isStopped(string $word): bool
    {
        return $this->isIn('stop', $word);
    }

    /** @return array{Action, VerbForm, int}|null what is done here, in which form, and the token behind it */
    public function verb(Text $text, int $i): ?array
    {
        $this->forms ??= $this->inflected();
        if ($this->saysNothing($text, $i)) {
            return null;
        }
        for ($length = 5; $length > 0; --$length) {
            $words = [];
            for ($k = 0; $k < $length; ++$k) {
                $token = $text->at($i + $k);
                if (null === $token || !$token->isWord()) {
                    continue 2;
                }
                $words[] = $token->word;
            }
            // "fold it over" is folding over.
            $bare = $length > 2 && \in_array($words[1], ['it', 'them', 'this'], true) ? [$words[0], ...\array_slice($words, 2)] : $words;
            $found = $this->forms[implode(' ', $words)] ?? $this->forms[implode(' ', $bare)] ?? null;
            if (null !== $found) {
                return [$found[0], $found[1], $i + $length];
            }
        }

        return null;
    }

    /** @return array<string, array{Action, VerbForm}> */
    private function inflected(): array
    {
        $forms = [];
        $irregular = [];
        foreach ($this->irregular as $form => $of) {
            $irregular[$of][] = $form;
        }
        $actions = [];
        foreach ($this->does as $verb => $action) {
            $actions[] = [$action, [(string) $verb]];
        }
        foreach ($this->actions as $action => $verbs) {
            $actions[] = [Action::from($action), $verbs];
        }
        // A kitchen's own come first: what is known already stays as it is.
        foreach ($actions as [$is, $verbs]) {
            foreach ($verbs as $verb) {
                [$first, $rest] = explode(' ', $verb, 2) + [1 => ''];
                $rest = '' === $rest ? '' : ' '.$rest;
                $known = [...self::regular($first)];
                foreach ($irregular[$first] ?? [] as $form) {
                    $known[$form] = str_ends_with($form, 'ing') ? VerbForm::Going : (str_ends_with($form, 's')
                        ? VerbForm::Does
                        : VerbForm::Done);
                }
                $known[$first] = VerbForm::Plain;
                foreach ($known as $form => $as) {
                    $forms[$form.$rest] ??= [$is, $as];
                }
                // "dry roast" is bent at its end.
                if ('' !== $rest && 1 === preg_match('/^(dry|deep|shallow|stir|pressure|pan|sun|air) (\w+)$/', $verb, $two)) {
                    foreach ([...self::regular($two[2]), ...array_fill_keys($irregular[$two[2]] ?? [], VerbForm::Done)] as $form => $as) {
                        $forms[$two[1].' '.$form] ??= [$is, str_ends_with($form, 'ing') ? VerbForm::Going : $as];
                    }
                }
            }
        }

        return $forms;
    }

    /** @return array<string, VerbForm> */
    private static function regular(string $verb): array
    {
        $doubles = 1 === preg_match('/^[^aeiou]*[aeiou][bdgklmnprt]$/', $verb) && !str_ends_with($verb, 'w') && !str_ends_with($verb, 'k');
        $stem = match (true) {
            str_ends_with($verb, 'e') => substr($verb, 0, -1),
            $doubles => $verb.$verb[-1],
            default => $verb,
        };
        $s = match (true) {
            1 === preg_match('/(?:s|sh|ch|x|z|o)$/', $verb) => $verb.'es',
            1 === preg_match('/[^aeiou]y$/', $verb) => substr($verb, 0, -1).'ies',
            default => $verb.'s',
        };
        $ed = 1 === preg_match('/[^aeiou]y$/', $verb) ? substr($verb, 0, -1).'ied' : $stem.'ed';

        return [$verb => VerbForm::Plain, $s => VerbForm::Does, $ed => VerbForm::Done, $stem.'ing' => VerbForm::Going];
    }
}
