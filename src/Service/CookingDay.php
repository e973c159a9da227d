<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\DayEvent;
use App\Entity\FeastRecord;
use App\Repository\DayEventRepository;
use FeastLadle\Cards\BowlKey;
use FeastLadle\Day\DayLog;
use FeastLadle\Day\Event;
use FeastLadle\Day\EventKind;
use FeastLadle\Day\LogReader;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Larder;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** What was said on the day: taken in once, kept as it was said, and read back. */
final readonly class CookingDay
{
    /** A clock that is so far ahead is taken to be right. */
    private const SECONDS_AHEAD = 60;

    public function __construct(
        private DayEventRepository $events,
        private ClockInterface $clock,
        private Larder $larder,
    ) {
    }

    /** @return array<string, \DateTimeImmutable> when a step was done or a bowl stood ready, by its key */
    public function done(FeastRecord $feast): array
    {
        $done = [];
        foreach ($this->said($feast) as $event) {
            match ($event->getKind()) {
                EventKind::Done => self::isPartOnly($event) ? null : $done[$event->getSubject()] ??= $event->getAt(),
                EventKind::Ready => BowlKey::isOne($event->getSubject()) ? $done[$event->getSubject()] ??= $event->getAt() : null,
                EventKind::NotDone => $done = array_diff_key($done, [$event->getSubject() => true]),
                default => null,
            };
        }

        return $done;
    }

    /** @return list<DayEvent> that counts, in the order in which it happened */
    private function said(FeastRecord $feast): array
    {
        $log = $this->events->log($feast);

        $takenBack = self::takenBack($log);

        return array_values(array_filter($log, static fn (DayEvent $e): bool => !isset($takenBack[$e->getClientId()])));
    }

    /** All that was said, as the core reads it. What speaks of a person or group that is there no longer is left out. */
    public function log(OpenFeast $open): DayLog
    {
        $reader = new LogReader($open->feast, $open->kitchen, $this->larder);
        $events = [];
        foreach ($this->events->log($open->record) as $kept) {
            try {
                /** @var array<string, mixed> $said */
                $said = json_decode($kept->getBody(), true, 64, \JSON_THROW_ON_ERROR);
                // When it was heard stands beside what was said.
                $arrived = null === $kept->getArrived() ? [] : ['arrived' => $kept->getArrived()->format(\DATE_ATOM)];
                $events[] = $reader->readEvent(self::text([...$said, ...$arrived]));
            } catch (FaultyDocument) {
                continue;
            }
        }

        return DayLog::of($events);
    }

    public function version(FeastRecord $feast): int
    {
        return $this->events->version($feast);
    }

    /** The same for a feast by its number, in one query; null where there is no such feast. */
    public function versionOf(int $feast): ?int
    {
        return $this->events->versionOf($feast);
    }

    /**
     * A step or a bowl ticked, or its tick taken back: the same client id again, from a double click or a second try, changes nothing.
     *
     * @param string $key id of a step, or of a bowl
     *
     * @throws ConflictHttpException when the id was used for something else: that is told, never taken for the same
     */
    public function tick(FeastRecord $feast, string $key, bool $isDone, string $clientId, ?string $by = null): void
    {
        if (!BowlKey::isOne($key)) {
            $this->keep($feast, ['kind' => ($isDone ? EventKind::Done : EventKind::NotDone)->value, 'step' => $key], $clientId, $key, $by);

            return;
        }
        $cut = (int) strrpos($key, '/');
        $ready = ['kind' => EventKind::Ready->value, 'step' => substr($key, 0, $cut), 'what' => 'bowl '.substr($key, $cut + 1)];
        if ($isDone) {
            $this->keep($feast, $ready, $clientId, $key, $by);

            return;
        }
        foreach ($this->said($feast) as $event) {
            if ($event->getSubject() === $key && EventKind::Ready === $event->getKind()) {
                $id = $event->getClientId();
                $this->keep($feast, ['kind' => EventKind::Withdrawn->value, 'event' => $id], $clientId, $id, $by);
            }
        }
    }

    /**
     * An event as a phone sends it.
     *
     * @param array<string, mixed> $said
     *
     * @throws FaultyDocument        with the place of every fault: nothing is kept
     * @throws ConflictHttpException as above
     */
    public function take(OpenFeast $open, array $said): Event
    {
        $now = $this->clock->now();
        $event = $this->read($open, $said);
        if ($event->at->getTimestamp() > $now->getTimestamp() + self::SECONDS_AHEAD) {
            throw FaultyDocument::because('event', 'Its time lies ahead: set the clock of this phone.');
        }
        if ($event->at > $now) {
            $said = ['at' => $now->setTimezone($open->feast->timeZone)->format(\DATE_ATOM)] + $said;
            $event = $this->read($open, $said);
        }
        // When it was heard is noted here.
        $body = array_diff_key($said, ['arrived' => true]);
        ksort($body);
        $subject = $body['step'] ?? $body['event'] ?? $body['what'] ?? '';
        $this->add(
            $open->record,
            $event->id,
            EventKind::from(\is_string($body['kind']) ? $body['kind'] : ''),
            \is_string($subject) ? $subject : '',
            $event->by,
            $event->at,
            self::text($body),
        );

        return $event;
    }

    /** @param array<string, mixed> $said */
    private function read(OpenFeast $open, array $said): Event
    {
        return (new LogReader($open->feast, $open->kitchen, $this->larder))->readEvent(self::text($said));
    }

    /** @param array<string, string> $said */
    private function keep(FeastRecord $feast, array $said, string $clientId, string $subject, ?string $by): void
    {
        $now = $this->clock->now();
        $body = array_filter(
            ['id' => $clientId, 'at' => $now->format(\DATE_ATOM), 'by' => $by, ...$said],
            static fn (?string $v): bool => null !== $v,
        );
        ksort($body);
        $this->add($feast, $clientId, EventKind::from($said['kind']), $subject, $by, $now, self::text($body));
    }

    private function add(
        FeastRecord $feast,
        string $id,
        EventKind $kind,
        string $subject,
        ?string $by,
        \DateTimeImmutable $at,
        string $body,
    ): void {
        if ($this->events->add(new DayEvent($feast, $id, $kind, $subject, $by, $at, $this->clock->now(), $body))) {
            return;
        }
        $known = $this->events->known($feast, $id);
        if (null === $known || self::withoutTime($known->getBody()) !== self::withoutTime($body)) {
            throw new ConflictHttpException('This was not taken in: its id stands for something else already. Load the page again.');
        }
    }

    /** @param array<string, mixed> $said */
    private static function text(array $said): string
    {
        return json_encode($said, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION);
    }

    /** A second try may come under another minute of our own clock. */
    private static function withoutTime(string $body): mixed
    {
        $said = json_decode($body, true, 64, \JSON_THROW_ON_ERROR);

        return \is_array($said) ? array_diff_key($said, ['at' => true]) : $said;
    }

    private static function isPartOnly(DayEvent $event): bool
    {
        if (!str_contains($event->getBody(), '"share"')) {
            return false;
        }
        $said = json_decode($event->getBody(), true, 64, \JSON_THROW_ON_ERROR);

        return \is_array($said) && ($said['share'] ?? 1) < 1;
    }

    /**
     * A withdrawal may be withdrawn itself: the last word is read first.
     *
     * @param list<DayEvent> $log
     *
     * @return array<string, true> by client id
     */
    public static function takenBack(array $log): array
    {
        $takenBack = [];
        foreach (array_reverse($log) as $event) {
            if (EventKind::Withdrawn === $event->getKind() && !isset($takenBack[$event->getClientId()])) {
                $takenBack[$event->getSubject()] = true;
            }
        }

        return $takenBack;
    }
}
