<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Noted;
use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;

/** Reads a day's log; every fault with its place. */
final readonly class LogReader
{
    private const FORMAT = 'feast-ladle/day-log';
    private const VERSION = 1;

    /** A day of a great kitchen has some thousands. */
    private const MOST_EVENTS = 20_000;

    private const HEAD = ['id', 'at', 'by', 'kind', 'arrived', 'plan', 'about'];

    private HappeningReader $happenings;

    public function __construct(private Feast $feast, private Kitchen $kitchen, Larder $larder)
    {
        $this->happenings = new HappeningReader($feast, $kitchen, $larder);
    }

    /** @throws FaultyDocument with the place of every fault */
    public function read(string $json): DayLog
    {
        $faults = new Faults();
        $root = JsonText::decode($json, 'day log', $faults);
        $root->isOf(self::FORMAT, self::VERSION);
        $root->onlyKeys(['format', 'version', 'plan', 'events']);
        $events = $places = [];
        foreach ($root->at('events')->items(self::MOST_EVENTS) as $node) {
            $event = $this->event($node);
            $known = $places[$event->id] ?? $event;
            if ($known->content !== $event->content) {
                $node->at('id')->fault('"{id}" stands for another event already.', ['id' => $event->id]);
            }
            $places[$event->id] = $known;
            $events[] = $event;
        }
        $faults->throwIfAny('day log');

        return DayLog::of($events);
    }

    /**
     * One event by itself, as a phone sends it.
     *
     * @throws FaultyDocument
     */
    public function readEvent(string $json): Event
    {
        $faults = new Faults();
        $event = $this->event(JsonText::decode($json, 'event', $faults));
        $faults->throwIfAny('event');

        return $event;
    }

    private function event(Node $node): Event
    {
        $id = $node->at('id')->string(null, 60);
        $kind = $this->kind($node->at('kind'));
        if (null !== $kind) {
            $node->object([...self::HEAD, ...$kind->fields()]);
        }
        $by = $node->has('by') ? $node->at('by')->string() : null;
        if (null !== $by && !isset($this->kitchen->people[$by])) {
            $node->at('by')->fault('Nobody called "{given}" works in this kitchen.', ['given' => $by]);
        }
        $at = Instants::of($node->at('at'), $this->feast->timeZone);
        if ($node->has('arrived')) {
            $arrived = Instants::of($node->at('arrived'), $this->feast->timeZone);
        }
        $said = [];
        foreach ($node->fields() as $key => $field) {
            // When it was heard is not what it says.
            if ('arrived' !== $key) {
                $said[$key] = $field->json();
            }
        }
        ksort($said);

        return new Event(
            $id,
            $at,
            $by,
            $arrived ?? null,
            $node->has('plan') ? $node->at('plan')->string() : null,
            $node->at('about')->bool(false),
            // Of an unknown kind nothing is read; its fault refuses the whole.
            null === $kind ? new Noted('', null, null, null) : $this->happenings->read($node, $kind),
            json_encode($said, \JSON_THROW_ON_ERROR),
        );
    }

    private function kind(Node $node): ?EventKind
    {
        $given = $node->string();
        $kind = EventKind::tryFrom($given);
        if (null === $kind && '' !== $given) {
            $node->fault('There is no kind of event "{given}"; there are: {known}.', [
                'given' => $given,
                'known' => implode(', ', array_map(static fn (EventKind $k): string => $k->value, EventKind::cases())),
            ]);
        }

        return $kind;
    }
}
