<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\BowlIn;
use FeastLadle\Day\Happening\CompanionLate;
use FeastLadle\Day\Happening\Corrected;
use FeastLadle\Day\Happening\DishChanged;
use FeastLadle\Day\Happening\Eaten;
use FeastLadle\Day\Happening\FeastChanged;
use FeastLadle\Day\Happening\GuestsChanged;
use FeastLadle\Day\Happening\Happening;
use FeastLadle\Day\Happening\Leftover;
use FeastLadle\Day\Happening\LeftoverFate;
use FeastLadle\Day\Happening\MarkPassed;
use FeastLadle\Day\Happening\MomentChanged;
use FeastLadle\Day\Happening\Move;
use FeastLadle\Day\Happening\Moved;
use FeastLadle\Day\Happening\Noted;
use FeastLadle\Day\Happening\Over;
use FeastLadle\Day\Happening\PartIn;
use FeastLadle\Day\Happening\PersonCame;
use FeastLadle\Day\Happening\PersonLate;
use FeastLadle\Day\Happening\PersonLeft;
use FeastLadle\Day\Happening\ReadyTicked;
use FeastLadle\Day\Happening\ReliefAsked;
use FeastLadle\Day\Happening\Replanned;
use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepGivenUp;
use FeastLadle\Day\Happening\StepNotDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\Happening\StopCause;
use FeastLadle\Day\Happening\Stopped;
use FeastLadle\Day\Happening\Tasted;
use FeastLadle\Day\Happening\ThingBack;
use FeastLadle\Day\Happening\ThingOut;
use FeastLadle\Day\Happening\TurnedInto;
use FeastLadle\Day\Happening\Verdict;
use FeastLadle\Day\Happening\VesselRead;
use FeastLadle\Day\Happening\Withdrawn;
use FeastLadle\Document\Node;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;

/** Reads what an event says. What cannot be, and what is of another kitchen, is a fault at its place. */
final readonly class HappeningReader
{
    private const PLACES = ['warm', 'cold', 'room'];
    private const COLDEST = -30.0;
    private const HOTTEST = 400.0;
    private const MOST_MM = 3_000.0;
    private const MOST_NUMBER = 99;

    private EventFields $of;

    public function __construct(private Feast $feast, private Kitchen $kitchen, Larder $larder)
    {
        $this->of = new EventFields($feast, $kitchen, $larder);
    }

    public function read(Node $node, EventKind $kind): Happening
    {
        return match ($kind) {
            EventKind::Started => new StepStarted($this->of->step($node)),
            EventKind::Done => new StepDone(
                $this->of->step($node),
                $this->of->grams($node),
                $this->of->number($node, 'pieces', 0, 100_000),
                $this->of->share($node),
            ),
            EventKind::NotDone => new StepNotDone($this->of->step($node)),
            EventKind::GivenUp => new StepGivenUp($this->of->step($node)),
            EventKind::Mark => new MarkPassed($this->of->step($node), $node->at('mark')->int(1, self::MOST_NUMBER)),
            EventKind::Part => new PartIn(
                $this->of->step($node),
                $node->at('bowl')->int(1, self::MOST_NUMBER),
                $node->at('part')->int(1, self::MOST_NUMBER),
            ),
            EventKind::Ready => new ReadyTicked($this->of->step($node), $node->at('what')->string()),
            EventKind::Bowl => new BowlIn(
                $this->of->step($node),
                $node->at('bowl')->int(1, self::MOST_NUMBER),
                $this->of->grams($node),
                $node->at('reserve')->bool(false),
            ),
            EventKind::Leftover => $this->leftover($node),
            EventKind::Slipped => $this->slip($node),
            EventKind::Reading => $this->reading($node),
            EventKind::Tasted => new Tasted(
                $this->of->vessel($node, false),
                $this->of->dish($node, false),
                $node->at('verdict')->enum(Verdict::class),
            ),
            EventKind::Moved => $this->moved($node),
            EventKind::TurnedInto => new TurnedInto(
                $this->of->vessel($node, true) ?? '',
                $node->at('recipe')->id(),
                array_map(static fn (Node $o): string => $o->string(), $node->at('schools')->fields(20)),
            ),
            EventKind::Came => new PersonCame($this->of->person($node), ...$this->of->span($node)),
            EventKind::Left => new PersonLeft($this->of->person($node), ...$this->of->span($node)),
            EventKind::Late => new PersonLate($this->of->person($node), ...$this->of->span($node)),
            EventKind::Relief => new ReliefAsked(
                $this->of->step($node),
                $this->of->person($node),
                $node->has('taken') ? $node->at('taken')->bool(false) : null,
            ),
            EventKind::Out => new ThingOut($this->of->thing($node), ...$this->of->span($node)),
            EventKind::Back => new ThingBack($this->of->thing($node), ...[...$this->of->span($node), $node->at('bottle')->bool(false)]),
            EventKind::Guests => $this->guests($node),
            EventKind::Moment => $this->moment($node),
            EventKind::Companion => new CompanionLate($node->at('companion')->string(), $node->at('lateMinutes')->int(0, 1440)),
            EventKind::Dish => new DishChanged(
                $this->of->dish($node, true) ?? '',
                $this->of->number($node, 'portion', 0, 5000),
                $node->at('givenUp')->bool(false),
            ),
            EventKind::Changed => new FeastChanged($node->at('feast')->string()),
            EventKind::Eaten => new Eaten(
                $this->of->dish($node, true) ?? '',
                $this->of->momentId($node),
                $this->of->vessel($node, false),
                $node->has('served') ? $node->at('served')->int(0, 100_000) : null,
                $this->of->share($node),
                $node->at('refilled')->bool(false),
            ),
            EventKind::Corrected => new Corrected(
                $this->of->dish($node, false),
                $this->of->vessel($node, false),
                $this->of->ingredient($node, 'ingredient'),
                $this->of->grams($node),
                $this->measure($node),
                $this->of->number($node, 'celsius', self::COLDEST, self::HOTTEST),
            ),
            EventKind::Answered => new Answered(
                $node->has('proposal') ? $node->at('proposal')->string() : null,
                $node->has('way') ? $node->at('way')->string() : null,
                $node->at('taken')->bool(false),
            ),
            EventKind::Replanned => $this->replanned($node),
            EventKind::Stop => new Stopped(
                $node->at('what')->enum(StopCause::class),
                $this->of->vessel($node, false),
                $this->of->fire($node),
            ),
            EventKind::Over => new Over(
                $node->at('what')->enum(StopCause::class),
                $this->of->vessel($node, false),
                $this->of->fire($node),
            ),
            EventKind::Note => new Noted(
                $node->at('text')->string(null, 2000),
                $node->has('step') ? $this->of->step($node) : null,
                $this->of->dish($node, false),
                $this->of->vessel($node, false),
            ),
            EventKind::Withdrawn => new Withdrawn($node->at('event')->string(null, 60)),
        };
    }

    private function leftover(Node $node): Leftover
    {
        if (!$node->has('step') && !$node->has('vessel')) {
            $node->fault('Say the step or the vessel it is about.');
        }

        return new Leftover(
            $node->has('step') ? $this->of->step($node) : null,
            $this->of->vessel($node, false),
            $node->at('becomes')->enum(LeftoverFate::class),
        );
    }

    private function measure(Node $node): ?string
    {
        if (!$node->has('measure')) {
            return null;
        }
        $told = $node->at('measure')->string(null, 40);
        if (null === SpokenMeasure::ml($told, $this->kitchen)) {
            $node->at('measure')->fault('"{given}" is no measure: say spoons, ladles, cups or a dash.', ['given' => $told]);
        }

        return $told;
    }

    private function slip(Node $node): Slipped
    {
        $slip = $node->at('slip')->enum(SlipKind::class);
        $needs = match ($slip) {
            SlipKind::Forgotten => ['bowl'],
            SlipKind::Swapped => ['bowl', 'with'],
            SlipKind::OutOfOrder => ['bowl', 'before'],
            SlipKind::TooMuch, SlipKind::TooLittle => ['bowl', 'grams'],
            SlipKind::SomethingElse => ['ingredient', 'grams'],
            SlipKind::TooHot, SlipKind::TooCold => ['celsius'],
            SlipKind::Spilt, SlipKind::Dropped => ['share'],
            SlipKind::Foreign => ['what'],
            default => [],
        };
        foreach ($needs as $field) {
            if (!$node->has($field)) {
                $node->at($field)->fault('This field is missing.');
            }
        }
        if (SlipKind::WentPast === $slip && !$node->has('celsius') && !$node->has('stage') && !$node->has('share')) {
            $node->fault('Say how far it went: °C, stage or share.');
        }
        $near = array_map(fn (Node $v): string => $this->of->known($v, $this->kitchen->vessels), $node->at('near')->items(50));

        return new Slipped(
            $this->of->step($node),
            $slip,
            $node->has('since') ? Instants::of($node->at('since'), $this->feast->timeZone) : null,
            $node->has('bowl') ? $node->at('bowl')->int(1, self::MOST_NUMBER) : null,
            $this->of->ingredient($node, SlipKind::Swapped === $slip ? 'with' : 'ingredient'),
            $node->has('before') ? $node->at('before')->int(1, self::MOST_NUMBER) : null,
            $this->of->grams($node),
            $this->of->number($node, 'celsius', self::COLDEST, self::HOTTEST),
            $this->of->stage($node),
            $this->of->share($node),
            $node->has('what') ? $node->at('what')->string() : null,
            $near,
        );
    }

    private function reading(Node $node): VesselRead
    {
        $measured = array_filter(
            ['celsius', 'grams', 'mm', 'stage', 'shade', 'sample'],
            static fn (string $field): bool => $node->has($field),
        );
        if ([] === $measured) {
            $node->fault('A reading says °C, grams, mm, stage, shade or a sample.');
        }
        $sample = $node->at('sample');

        return new VesselRead(
            $this->of->vessel($node, true) ?? '',
            $this->of->number($node, 'celsius', self::COLDEST, self::HOTTEST),
            $this->of->grams($node),
            $node->at('gross')->bool(false),
            $this->of->number($node, 'mm', 0, self::MOST_MM),
            $this->of->stage($node),
            $node->has('shade') ? $node->at('shade')->int(1, 5) : null,
            $node->has('sample') && $sample->object(['ml', 'grams']) ? $sample->at('ml')->number(1, 10_000) : null,
            $node->has('sample') ? $sample->at('grams')->number(1, 20_000) : null,
        );
    }

    private function moved(Node $node): Moved
    {
        $to = $node->has('to') ? $node->at('to')->string() : null;
        if (
            null !== $to
            && !\in_array($to, self::PLACES, true)
            && !isset($this->kitchen->burners[$to])
            && !isset($this->kitchen->vessels[$to])
        ) {
            $node->at('to')->fault('"{given}" is no fire, vessel or place of this kitchen.', ['given' => $to]);
        }

        return new Moved(
            $this->of->vessel($node, false),
            $this->of->dish($node, false),
            $this->of->share($node) ?? 1.0,
            $to,
            $this->of->oneOf($node, 'flame', ['none', 'low', 'medium', 'high']),
            $this->of->oneOf($node, 'lid', ['on', 'ajar', 'off']),
        );
    }

    private function guests(Node $node): GuestsChanged
    {
        $group = $node->at('group')->string();
        if (!\in_array($group, array_map(static fn ($g): string => $g->id, $this->feast->groups), true)) {
            $node->at('group')->fault('There is no group "{given}" at this feast.', ['given' => $group]);
        }

        return new GuestsChanged($group, $node->at('count')->int(0, 100_000), $node->has('moment') ? $this->of->momentId($node) : null);
    }

    private function moment(Node $node): MomentChanged
    {
        $instant = fn (string $field): ?\DateTimeImmutable => $node->has($field)
            ? Instants::of($node->at($field), $this->feast->timeZone)
            : null;
        $time = $node->has('time') ? $node->at('time')->string() : null;
        if (null !== $time && 1 !== preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $time)) {
            $node->at('time')->fault('"{given}" is no time of day.', ['given' => $time]);
        }

        return new MomentChanged(
            $this->of->momentId($node),
            $node->has('day') ? $node->at('day')->int(-30, 30) : null,
            $time,
            $node->at('open')->bool(false),
            $instant('notBefore'),
            $instant('likely'),
            $instant('latest'),
            $node->at('offered')->bool(false),
        );
    }

    private function replanned(Node $node): Replanned
    {
        $moves = [];
        foreach ($node->at('moves')->items(2000) as $move) {
            $move->object(['step', 'start', 'end', 'person', 'fire']);
            $moves[] = new Move(
                $this->of->step($move),
                Instants::of($move->at('start'), $this->feast->timeZone),
                Instants::of($move->at('end'), $this->feast->timeZone),
                array_map(fn (Node $p): string => $this->of->known($p, $this->kitchen->people), $move->at('person')->items(50)),
                $this->of->fire($move),
            );
        }

        return new Replanned($node->at('fingerprint')->string(), $moves, $node->at('because')->string('', 2000));
    }
}
