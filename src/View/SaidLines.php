<?php

declare(strict_types=1);

namespace App\View;

use App\Entity\DayEvent;
use App\Repository\DayEventRepository;
use App\Service\CookingDay;
use App\Service\OpenFeast;
use App\Service\Speaker;
use FeastLadle\Day\EventKind;
use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Solving\Plan;
use FeastLadle\Words\Sentence;

/**
 * What was said on the day by whom, in the kitchen's words.
 *
 * @phpstan-type Line array{id: string, at: \DateTimeImmutable, by: string|null, words: Sentence, withdrawn: bool, undoable: bool}
 */
final readonly class SaidLines
{
    public function __construct(private DayEventRepository $events, private Speaker $speaker)
    {
    }

    /** @return list<Line> in the order in which it happened */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $log = $this->events->log($open->record);
        $takenBack = CookingDay::takenBack($log);
        $titles = [];
        foreach ($plan->steps as $step) {
            $titles[$step->key->id()] = $step->dish->dish->letter.' '.$step->step->title;
        }

        $names = self::names($open);

        return array_map(fn (DayEvent $e): array => [
            'id' => $e->getClientId(),
            'at' => $e->getAt(),
            'by' => null === $e->getBy() ? null : $open->kitchen->people[$e->getBy()]->name ?? $e->getBy(),
            'words' => $this->words($e, $titles, $names),
            'withdrawn' => isset($takenBack[$e->getClientId()]),
            'undoable' => !\in_array($e->getKind(), [EventKind::Withdrawn, EventKind::Stop, EventKind::Over], true),
        ], $log);
    }

    /** The log as docs/formats/day-log.md has it. */
    public function json(OpenFeast $open): string
    {
        return json_encode([
            'format' => 'feast-ladle/day-log',
            'version' => 1,
            'events' => array_map(
                static fn (DayEvent $e): mixed => json_decode($e->getBody(), true, 64, \JSON_THROW_ON_ERROR),
                $this->events->log($open->record),
            ),
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return list<list<string|int|float|null>> */
    public function rows(OpenFeast $open, Plan $plan): array
    {
        $rows = [['at', 'by', 'kind', 'subject', 'said', 'withdrawn', 'arrived', 'id']];
        $lines = $this->of($open, $plan);
        foreach ($this->events->log($open->record) as $k => $event) {
            $zone = $open->feast->timeZone;
            $rows[] = [
                $event->getAt()->setTimezone($zone)->format(\DATE_ATOM),
                $event->getBy(),
                $event->getKind()->value,
                $event->getSubject(),
                $this->speaker->say($lines[$k]['words']),
                $lines[$k]['withdrawn'] ? 1 : 0,
                $event->getArrived()?->setTimezone($zone)->format(\DATE_ATOM),
                $event->getClientId(),
            ];
        }

        return $rows;
    }

    /** @return array<string, string> what people call whatever an event may be about, by field and id */
    private static function names(OpenFeast $open): array
    {
        $names = [];
        foreach ([...$open->kitchen->burners, ...$open->kitchen->vessels, ...$open->kitchen->tools] as $thing) {
            $names['thing '.$thing->id] = $names['vessel '.$thing->id] = $thing->name;
        }
        foreach ($open->kitchen->people as $person) {
            $names['person '.$person->id] = $person->name;
        }
        foreach ($open->feast->moments as $moment) {
            $names['moment '.$moment->id] = $moment->name;
        }
        foreach ($open->feast->groups as $group) {
            $names['group '.$group->id] = $group->name;
        }
        foreach ($open->feast->dishes as $dish) {
            $names['dish '.$dish->id] = $dish->recipe->name;
        }

        return $names;
    }

    /**
     * @param array<string, string> $titles by step
     * @param array<string, string> $names  by field and id
     */
    private function words(DayEvent $event, array $titles, array $names): Sentence
    {
        $said = json_decode($event->getBody(), true, 64, \JSON_THROW_ON_ERROR);
        $said = \is_array($said) ? array_filter($said, \is_scalar(...)) : [];
        $text = static fn (string $field): string => (string) ($said[$field] ?? '');
        $name = static fn (string $field): string => $names[$field.' '.$text($field)] ?? $text($field);
        $step = $titles[$text('step')] ?? $text('step');

        return match ($event->getKind()) {
            EventKind::Started => SaidWords::began($step),
            EventKind::Done => SaidWords::done($step),
            EventKind::NotDone => new Sentence('not done after all: {step}', ['step' => $step]),
            EventKind::GivenUp => new Sentence('given up: {step}', ['step' => $step]),
            EventKind::Ready => new Sentence('ready for {step}: {what}', ['step' => $step, 'what' => $text('what')]),
            EventKind::Slipped => SaidWords::slipped($step, SlipKind::tryFrom($text('slip'))),
            EventKind::Replanned => SaidWords::planned($text('because')),
            EventKind::Answered => SaidWords::answered($text('proposal').$text('way'), true === ($said['taken'] ?? null)),
            EventKind::Withdrawn => new Sentence('took something back'),
            EventKind::Stop => new Sentence('stop: {what}', ['what' => $text('what')]),
            EventKind::Over => new Sentence('over: {what}', ['what' => $text('what')]),
            EventKind::Left => new Sentence('left: {who}', ['who' => $name('person')]),
            EventKind::Came => new Sentence('came: {who}', ['who' => $name('person')]),
            EventKind::Note => new Sentence('note: {text}', ['text' => $text('text')]),
            EventKind::Reading => new Sentence('measured in {vessel}', ['vessel' => $name('vessel')]),
            EventKind::Bowl, EventKind::Part => '' === $text('grams')
                ? new Sentence('bowl {n} went in: {step}', ['n' => $text('bowl'), 'step' => $step])
                : new Sentence('bowl {n} went in, {grams} g of it: {step}', [
                    'n' => $text('bowl'),
                    'grams' => $text('grams'),
                    'step' => $step,
                ]),
            EventKind::Mark => new Sentence('mark {n} passed: {step}', ['n' => $text('mark'), 'step' => $step]),
            EventKind::Guests => new Sentence('{n} come: {who}', ['n' => $text('count'), 'who' => $name('group')]),
            EventKind::Moment => match (true) {
                '' !== $text('offered') => new Sentence('offered: {what}', ['what' => $name('moment')]),
                '' !== $text('time') => new Sentence('{what} is at {time} now', ['what' => $name('moment'), 'time' => $text('time')]),
                default => new Sentence('{what} is open', ['what' => $name('moment')]),
            },
            EventKind::Dish => '' === $text('givenUp')
                ? new Sentence('another portion of {what}', ['what' => $name('dish')])
                : new Sentence('given up: {step}', ['step' => $name('dish')]),
            EventKind::Out => new Sentence('out of use: {what}', ['what' => $name('thing')]),
            EventKind::Back => new Sentence('back in use: {what}', ['what' => $name('thing')]),
            EventKind::Eaten => new Sentence('served {n}: {what}', ['n' => $text('served'), 'what' => $name('dish')]),
            EventKind::Corrected => new Sentence('{grams} g stirred in: {what}', ['grams' => $text('grams'), 'what' => $name('dish')]),
            EventKind::Relief => new Sentence('the spoon for {who}: {step}', ['who' => $name('person'), 'step' => $step]),
            default => new Sentence('{kind}: {what}', ['kind' => $event->getKind()->value, 'what' => $event->getSubject()]),
        };
    }
}
