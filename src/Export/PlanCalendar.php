<?php

declare(strict_types=1);

namespace App\Export;

use App\Service\Speaker;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;
use Sabre\VObject\Component\VCalendar;

/** The run sheet as iCalendar, of one person or of all; each step rings before it begins. */
final class PlanCalendar
{
    /** Minutes before a step at which the phone rings; hot work is announced earlier. */
    private const RINGS = 3;
    private const RINGS_HOT = 8;

    public function __construct(private readonly Speaker $speaker)
    {
    }

    /** @param string|null $person id; null: every step */
    public function write(Feast $feast, Kitchen $kitchen, Plan $plan, ?string $person, int $id): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Feast Ladle//Run sheet//EN']);
        $calendar->add('X-WR-CALNAME', $feast->name.(null === $person ? '' : ', '.$kitchen->people[$person]->name));
        foreach ($plan->steps as $step) {
            if (null !== $person && !\in_array($person, $step->people, true)) {
                continue;
            }
            // The same step keeps its id, so that a later download moves it.
            $this->add(
                $calendar,
                'feast-'.$id.'-'.str_replace('/', '-', $step->key->id()),
                $plan,
                $step->start,
                $step->end,
                $step->dish->dish->letter.' '.$this->speaker->say(WhichBatch::of($step)),
                $this->words($step, $kitchen),
                [] === $step->people ? null : (null === $step->burner ? self::RINGS : self::RINGS_HOT),
            );
        }

        foreach ($plan->jobs as $n => $job) {
            if (null === $person || \in_array($person, $job->people, true)) {
                $this->add(
                    $calendar,
                    'feast-'.$id.'-job-'.$n,
                    $plan,
                    $job->start,
                    $job->end,
                    $this->speaker->say(WhichBatch::job($job)),
                    null === $job->burner ? '' : $kitchen->burners[$job->burner]->name,
                    $job->planned ? self::RINGS : null,
                );
            }
        }

        return $calendar->serialize();
    }

    /** @param int|null $rings minutes before at which the phone rings; null: it stays quiet */
    private function add(
        VCalendar $calendar,
        string $uid,
        Plan $plan,
        \DateTimeImmutable $start,
        \DateTimeImmutable $end,
        string $summary,
        string $description,
        ?int $rings,
    ): void {
        $utc = new \DateTimeZone('UTC');
        $event = $calendar->createComponent(
            'VEVENT',
            [
                'UID' => $uid.'@feast-ladle',
                'DTSTAMP' => $plan->origin->setTimezone($utc),
                'DTSTART' => $start->setTimezone($utc),
                'DTEND' => $end->setTimezone($utc),
                'SUMMARY' => $summary,
                'DESCRIPTION' => $description,
            ],
            false,
        );
        $calendar->add($event);
        if (null !== $rings) {
            $event->add(
                $calendar->createComponent(
                    'VALARM',
                    ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $summary, 'TRIGGER' => '-PT'.$rings.'M'],
                    false,
                ),
            );
        }
    }

    private function words(PlannedStep $step, Kitchen $kitchen): string
    {
        $lines = [
            implode(
                ', ',
                array_filter([
                    null === $step->burner ? '' : $kitchen->burners[$step->burner]->name,
                    ...array_map(static fn (string $v): string => $kitchen->vessels[$v]->name, $step->vessels),
                ]),
            ),
        ];
        if ($step->lid) {
            $lines[] = $this->speaker->say(new Sentence('Lid on until it is hot.'));
        }
        foreach ($step->bowls as $bowl) {
            $lines[] = $this->speaker->say(
                new Sentence('{amount} {thing}', ['amount' => $bowl->amount, 'thing' => $bowl->ingredient->name]),
            );
        }
        foreach ($step->step->words->cues as $cue) {
            $sign = ['sign' => $cue->sign];
            $lines[] = $this->speaker->say(
                match ($cue->kind) {
                    CueKind::OnTheWay => new Sentence('on the way: {sign}', $sign),
                    CueKind::Done => new Sentence('done: {sign}', $sign),
                    CueKind::Wrong => new Sentence('wrong: {sign}', $sign),
                },
            );
        }

        return implode("\n", array_filter($lines));
    }
}
