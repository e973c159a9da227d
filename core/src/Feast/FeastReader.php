<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Portion\Group;
use FeastLadle\Recipe\RecipeShelf;

/** Reads a feast document against a kitchen and a shelf of recipes, reporting every fault with its JSON pointer. */
final readonly class FeastReader
{
    public const FORMAT = 'feast-ladle/feast';

    /** Days before the feast on which work may be put. */
    public const MOST_DAYS_BEFORE = 14;

    public function __construct(private Kitchen $kitchen, private RecipeShelf $recipes)
    {
    }

    /**
     * @param \DateTimeImmutable|null $now when given, a moment before it is a fault
     *
     * @throws FaultyDocument
     */
    public function read(string $json, ?\DateTimeImmutable $now = null): Feast
    {
        $faults = new Faults();

        return $this->fromNode(JsonText::decode($json, 'feast', $faults), $faults, $now);
    }

    /** @throws FaultyDocument */
    public function fromNode(Node $root, Faults $faults, ?\DateTimeImmutable $now = null): Feast
    {
        $root->onlyKeys([
            'format',
            'version',
            'name',
            'date',
            'timeZone',
            'plateCapGrams',
            'groups',
            'moments',
            'hands',
            'dishes',
            'boxes',
            'rules',
            'marginMinutes',
            'pins',
            'otherWork',
            'kitchen',
            'recipes',
        ]);
        $root->isOf(self::FORMAT, 1);
        $name = $root->at('name')->string(null, 120);
        $zone = $this->timeZone($root->at('timeZone'));
        $date = $this->date($root->at('date'));
        $groups = $this->groups(
            $root->at('groups'),
            array_map(static fn (Node $n): string => $n->at('id')->text(), $root->at('moments')->items(20)),
        );
        $moments = [];
        foreach ($root->at('moments')->items(20, 1) as $node) {
            $moments[] = $this->moment($node, $date, $zone, $now);
        }
        usort($moments, static fn (Moment $a, Moment $b): int => $a->at <=> $b->at);
        $shifts = [];
        foreach ($root->at('hands')->items(200) as $node) {
            $shifts[] = $this->shift($node, $date, $zone);
        }
        $dishes = (new MenuReader($this->kitchen, $this->recipes))->read($root->at('dishes'));
        $boxes = $this->boxes($root->at('boxes'), $dishes, $moments);
        $rules = [];
        foreach ($root->at('rules')->items(40) as $node) {
            $rules[] = $rule = $node->id();
            if ('' !== $rule && !isset($this->kitchen->rules->ingredients[$rule])) {
                $node->fault('This kitchen has no rule "{id}".', ['id' => mb_substr($rule, 0, 40)]);
            }
        }
        $cap = $root->has('plateCapGrams') ? $root->at('plateCapGrams')->number(10, 2000) : null;
        $pins = $this->pins($root->at('pins'), $date, $zone);
        $other = [];
        foreach ($root->at('otherWork')->items(100) as $node) {
            $other[] = $this->otherWork($node, $date, $zone);
        }
        $margin = $root->at('marginMinutes')->int(0, 240, 0);
        $faults->throwIfAny('feast');
        if ([] === $groups || [] === $moments) {
            throw FaultyDocument::because('feast', 'A feast needs guests and a moment.');
        }

        return new Feast($name, $zone, $cap, $groups, $moments, $shifts, $dishes, $boxes, $rules, $margin, $pins, $other, $date);
    }

    private function timeZone(Node $node): \DateTimeZone
    {
        $name = $node->string();
        try {
            return new \DateTimeZone('' === $name ? 'UTC' : $name);
        } catch (\Exception) {
            $node->fault('There is no time zone "{given}".', ['given' => mb_substr($name, 0, 40)]);

            return new \DateTimeZone('UTC');
        }
    }

    private function date(Node $node): string
    {
        $text = $node->string();
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $text);
        if (false === $date || $date->format('Y-m-d') !== $text) {
            $node->fault('A date is written year-month-day, as in 2031-11-15.');

            return '2031-11-15';
        }

        return $text;
    }

    /** A time of the clock on the feast's day, or so many days from it, in the feast's own zone. */
    private function moment(Node $node, string $date, \DateTimeZone $zone, ?\DateTimeImmutable $now): Moment
    {
        $node->object(['id', 'kind', 'name', 'day', 'time', 'bowls', 'servingMinutes', 'wishPercent']);
        $kind = $node->at('kind')->enum(MomentKind::class);
        $at = $this->instant($node->at('time'), $date, $node->at('day')->int(0, 3, 0), $zone);
        if (null !== $now && $at < $now) {
            $node->at('time')->fault('This moment, {moment}, is in the past.', ['moment' => $at->format('Y-m-d H:i')]);
        }

        return new Moment(
            $node->at('id')->id(),
            $kind,
            $node->at('name')->string(null, 60),
            $at,
            $node->at('bowls')->int(0, 1000, 0),
            $node->at('servingMinutes')->int(0, 600, Moment::USUAL_SERVING),
            $node->has('wishPercent') ? $node->at('wishPercent')->int(50, 99) / 100 : null,
        );
    }

    private function instant(Node $time, string $date, int $day, \DateTimeZone $zone): \DateTimeImmutable
    {
        $text = $time->string();
        if (1 !== preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $text)) {
            $time->fault('A time is written hours:minutes, as in 18:30.');
            $text = '12:00';
        }

        return new \DateTimeImmutable(\sprintf('%s %+d days %s', $date, $day, $text), $zone);
    }

    /**
     * @param list<string> $moments ids
     *
     * @return list<Group>
     */
    private function groups(Node $list, array $moments): array
    {
        $groups = [];
        foreach ($list->items(30, 1) as $node) {
            $node->object(['id', 'name', 'count', 'appetite', 'avoids', 'sweet', 'at']);
            $at = $node->has('at') ? $node->at('at')->string() : null;
            if (null !== $at && '' !== $at && !\in_array($at, $moments, true)) {
                $node->at('at')->fault('There is no moment "{id}".', ['id' => mb_substr($at, 0, 40)]);
            }
            $avoids = array_map(static fn (Node $n): string => mb_strtolower($n->string(null, 60)), $node->at('avoids')->items(30));
            $groups[] = new Group(
                $node->at('id')->id(),
                $node->at('name')->string(null, 60),
                $node->at('count')->int(1, Group::MOST_GUESTS),
                $node->at('appetite')->number(0.1, 3, 1.0),
                array_values(array_filter($avoids)),
                $node->at('sweet')->number(0.3, 2, 1.0),
                '' === $at ? null : $at,
            );
        }
        $guests = array_sum(array_map(static fn (Group $g): int => $g->count, $groups));
        if ($guests > Group::MOST_GUESTS) {
            $list->fault('The guests add up to {sum}; the most is {limit}.', ['sum' => $guests, 'limit' => Group::MOST_GUESTS]);
        }

        return $groups;
    }

    private function shift(Node $node, string $date, \DateTimeZone $zone): Shift
    {
        $node->object(['person', 'day', 'from', 'to']);
        $person = $node->at('person')->string();
        if ('' !== $person && !isset($this->kitchen->people[$person])) {
            $node->at('person')->fault('Nobody called "{id}" works in this kitchen.', ['id' => mb_substr($person, 0, 40)]);
        }
        $day = $node->at('day')->int(-self::MOST_DAYS_BEFORE, 3, 0);
        $from = $this->instant($node->at('from'), $date, $day, $zone);
        $to = $this->instant($node->at('to'), $date, $day, $zone);
        // A shift that ends "before" it starts goes past midnight.
        if ($to <= $from) {
            $to = $to->modify('+1 day');
        }

        return new Shift($person, $from, $to);
    }

    /**
     * @param list<Dish>   $dishes
     * @param list<Moment> $moments
     *
     * @return list<Box>
     */
    private function boxes(Node $list, array $dishes, array $moments): array
    {
        $boxes = [];
        $known = array_flip(array_map(static fn (Dish $d): string => $d->id, $dishes));
        $at = array_flip(array_map(static fn (Moment $m): string => $m->id, $moments));
        foreach ($list->items(20) as $node) {
            $node->object(['id', 'name', 'count', 'holds', 'packSeconds', 'at']);
            $holds = [];
            foreach ($node->at('holds')->fields(40) as $dish => $place) {
                if (!isset($known[$dish])) {
                    $place->fault('There is no dish "{id}" on the menu.', ['id' => mb_substr($dish, 0, 40)]);
                }
                $holds[$dish] = $place->number(0, 5000);
            }
            $moment = $node->at('at')->string();
            if ('' !== $moment && !isset($at[$moment])) {
                $node->at('at')->fault('There is no moment "{id}".', ['id' => mb_substr($moment, 0, 40)]);
            }
            $boxes[] = new Box(
                $node->at('id')->id(),
                $node->at('name')->string(null, 60),
                $node->at('count')->int(0, 20000),
                array_filter($holds),
                $node->at('packSeconds')->int(1, 3600, 60),
                $moment,
            );
        }

        return $boxes;
    }

    private function otherWork(Node $node, string $date, \DateTimeZone $zone): OtherWork
    {
        $node->object(['name', 'on', 'day', 'from', 'to']);
        $on = $node->at('on')->id();
        if (
            '' !== $on
            && !isset($this->kitchen->burners[$on])
            && !isset($this->kitchen->vessels[$on])
            && !isset($this->kitchen->people[$on])
        ) {
            $node->at('on')->fault('This kitchen has no fire, vessel or person "{id}".', ['id' => mb_substr($on, 0, 40)]);
        }
        $day = $node->at('day')->int(-self::MOST_DAYS_BEFORE, 3, 0);
        $from = $this->instant($node->at('from'), $date, $day, $zone);
        $to = $this->instant($node->at('to'), $date, $day, $zone);

        // What ends before it begins goes on past midnight.
        return new OtherWork(
            $node->at('name')->string(null, 60),
            $on,
            $from,
            $to <= $from ? $this->instant($node->at('to'), $date, $day + 1, $zone) : $to,
        );
    }

    /**
     * Steps held at a time. One whose step is no longer planned holds nothing, and is no fault: menus change.
     *
     * @return array<string, \DateTimeImmutable>
     */
    private function pins(Node $list, string $date, \DateTimeZone $zone): array
    {
        $pins = [];
        foreach ($list->items(200) as $node) {
            $node->object(['step', 'day', 'time']);
            $pins[$node->at('step')->string(null, 200)] = $this->instant(
                $node->at('time'),
                $date,
                $node->at('day')->int(-self::MOST_DAYS_BEFORE, 3, 0),
                $zone,
            );
        }

        return $pins;
    }
}
