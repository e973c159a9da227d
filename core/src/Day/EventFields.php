<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Document\Node;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Syrup\Stage;

/** The fields that events share: ids of this feast and kitchen, amounts within their limits. A fault stands at its field. */
final readonly class EventFields
{
    private const MOST_GRAMS = 1_000_000.0;
    private const CARAMEL = 'caramel';

    public function __construct(private Feast $feast, private Kitchen $kitchen, private Larder $larder)
    {
    }

    public function step(Node $node): string
    {
        $step = $node->at('step')->string(null, 120);
        if ('' !== $step && 1 !== preg_match('~^(job/[\w.-]+|[\w.-]+/(\d{1,3}|w\d{1,3})/[\w.-]+)$~D', $step)) {
            $node->at('step')->fault('"{given}" is no step; it is written dish/batch/step or job/id.', ['given' => $step]);
        }

        return $step;
    }

    public function person(Node $node): string
    {
        return $this->known($node->at('person'), $this->kitchen->people);
    }

    public function thing(Node $node): string
    {
        return $this->known($node->at('thing'), $this->kitchen->burners + $this->kitchen->vessels + $this->kitchen->tools);
    }

    public function fire(Node $node): ?string
    {
        return $node->has('fire') ? $this->known($node->at('fire'), $this->kitchen->burners) : null;
    }

    public function vessel(Node $node, bool $needed): ?string
    {
        return $needed || $node->has('vessel') ? $this->known($node->at('vessel'), $this->kitchen->vessels) : null;
    }

    public function dish(Node $node, bool $needed): ?string
    {
        if (!$needed && !$node->has('dish')) {
            return null;
        }
        $ids = array_map(static fn ($d): string => $d->id, $this->feast->dishes);

        return $this->known($node->at('dish'), array_fill_keys($ids, true));
    }

    public function momentId(Node $node): string
    {
        $ids = array_map(static fn ($m): string => $m->id, $this->feast->moments);

        return $this->known($node->at('moment'), array_fill_keys($ids, true));
    }

    public function ingredient(Node $node, string $field): ?string
    {
        if (!$node->has($field)) {
            return null;
        }
        $id = $node->at($field)->string();
        if (!$this->larder->knows($id)) {
            $node->at($field)->fault('The larder holds no "{id}".', ['id' => $id]);
        }

        return $id;
    }

    /** @param array<string, mixed> $known by id */
    public function known(Node $node, array $known): string
    {
        $id = $node->string();
        if ('' !== $id && !isset($known[$id])) {
            $node->fault('There is no "{given}" here.', ['given' => $id]);
        }

        return $id;
    }

    /** @return array{?\DateTimeImmutable, ?\DateTimeImmutable} from, until */
    public function span(Node $node): array
    {
        $from = $node->has('from') ? Instants::of($node->at('from'), $this->feast->timeZone) : null;
        $until = $node->has('until') ? Instants::of($node->at('until'), $this->feast->timeZone) : null;
        if (null !== $from && null !== $until && $until <= $from) {
            $node->at('until')->fault('It ends before it begins.');
        }

        return [$from, $until];
    }

    public function grams(Node $node): ?float
    {
        return $this->number($node, 'grams', 0, self::MOST_GRAMS);
    }

    public function share(Node $node): ?float
    {
        return $this->number($node, 'share', 0, 1);
    }

    public function number(Node $node, string $field, float $least, float $most): ?float
    {
        return $node->has($field) ? $node->at($field)->number($least, $most) : null;
    }

    public function stage(Node $node): ?string
    {
        if (!$node->has('stage')) {
            return null;
        }
        $stage = $node->at('stage')->string();
        if (self::CARAMEL !== $stage && null === Stage::tryFrom($stage)) {
            $node->at('stage')->fault('Here must stand one of {known}, not {given}.', [
                'known' => implode(', ', [...array_map(static fn (Stage $s): string => $s->value, Stage::cases()), self::CARAMEL]),
                'given' => $stage,
            ]);
        }

        return $stage;
    }

    /** @param list<string> $known */
    public function oneOf(Node $node, string $field, array $known): ?string
    {
        $given = $node->has($field) ? $node->at($field)->string() : null;
        if (null !== $given && !\in_array($given, $known, true)) {
            $node->at($field)->fault('Here must stand one of {known}, not {given}.', [
                'known' => implode(', ', $known),
                'given' => $given,
            ]);
        }

        return $given;
    }
}
