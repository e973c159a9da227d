<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** What an event may be called in a file. */
enum EventKind: string
{
    case Started = 'started';
    case Done = 'done';
    case NotDone = 'not-done';
    case GivenUp = 'given-up';
    case Mark = 'mark';
    case Part = 'part';
    case Ready = 'ready';
    case Bowl = 'bowl';
    case Leftover = 'leftover';
    case Slipped = 'slipped';
    case Reading = 'reading';
    case Tasted = 'tasted';
    case Moved = 'moved';
    case TurnedInto = 'turned-into';
    case Came = 'came';
    case Left = 'left';
    case Late = 'late';
    case Relief = 'relief';
    case Out = 'out';
    case Back = 'back';
    case Guests = 'guests';
    case Moment = 'moment';
    case Companion = 'companion';
    case Dish = 'dish';
    case Changed = 'changed';
    case Eaten = 'eaten';
    case Corrected = 'corrected';
    case Answered = 'answered';
    case Replanned = 'replanned';
    case Stop = 'stop';
    case Over = 'over';
    case Note = 'note';
    case Withdrawn = 'withdrawn';

    /** @return list<string> the fields of a kind, beside those of every event */
    public function fields(): array
    {
        return match ($this) {
            self::Started, self::NotDone, self::GivenUp => ['step'],
            self::Done => ['step', 'grams', 'pieces', 'share'],
            self::Mark => ['step', 'mark'],
            self::Part => ['step', 'bowl', 'part'],
            self::Ready => ['step', 'what'],
            self::Bowl => ['step', 'bowl', 'grams', 'reserve'],
            self::Leftover => ['step', 'vessel', 'becomes'],
            self::Slipped => [
                'step',
                'slip',
                'since',
                'bowl',
                'with',
                'ingredient',
                'before',
                'grams',
                'celsius',
                'stage',
                'share',
                'what',
                'near',
            ],
            self::Reading => ['vessel', 'celsius', 'grams', 'gross', 'mm', 'stage', 'shade', 'sample'],
            self::Tasted => ['vessel', 'dish', 'verdict'],
            self::Moved => ['vessel', 'dish', 'share', 'to', 'flame', 'lid'],
            self::TurnedInto => ['vessel', 'recipe', 'schools'],
            self::Came, self::Left, self::Late => ['person', 'from', 'until'],
            self::Relief => ['step', 'person', 'taken'],
            self::Out => ['thing', 'from', 'until'],
            self::Back => ['thing', 'from', 'until', 'bottle'],
            self::Guests => ['group', 'count', 'moment'],
            self::Moment => ['moment', 'day', 'time', 'open', 'notBefore', 'likely', 'latest', 'offered'],
            self::Companion => ['companion', 'lateMinutes'],
            self::Dish => ['dish', 'portion', 'givenUp'],
            self::Changed => ['feast'],
            self::Eaten => ['dish', 'moment', 'vessel', 'served', 'share', 'refilled'],
            self::Corrected => ['dish', 'vessel', 'ingredient', 'grams', 'measure', 'celsius'],
            self::Answered => ['proposal', 'way', 'taken'],
            self::Replanned => ['fingerprint', 'moves', 'because'],
            self::Stop, self::Over => ['what', 'vessel', 'fire'],
            self::Note => ['text', 'step', 'dish', 'vessel'],
            self::Withdrawn => ['event'],
        };
    }
}
