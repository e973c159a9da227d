<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\Plan;
use FeastLadle\Planning\PlannedStep;
use Sabre\VObject\Component\VCalendar;

/** The run sheet as iCalendar, of one person or of all; each step rings before it begins. */
final class PlanCalendar
{
    /** Minutes before a step at which the phone rings; hot work is announced earlier. */
    private const RINGS = 3;
    private const RINGS_HOT = 8;

    /** @param string|null $person id; null: every step */
    public function write(Feast $feast, Kitchen $kitchen, Plan $plan, ?string $person, int $id): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Feast Ladle//Run sheet//EN']);
        $calendar->add('X-WR-CALNAME', $feast->name.(null === $person ? '' : ', '.$kitchen->people[$person]->name));
        foreach ($plan->steps as $step) {
            if (null !== $person && !\in_array($person, $step->people, true)) {
                continue;
            }
            $utc = new \DateTimeZone('UTC');
            $event = $calendar->createComponent('VEVENT', [
                // The same step keeps its id, so that a later download moves it.
                'UID' => 'feast-'.$id.'-'.str_replace('/', '-', $step->key->id()).'@feast-ladle',
                'DTSTAMP' => $plan->origin->setTimezone($utc),
                'DTSTART' => $step->start->setTimezone($utc),
                'DTEND' => $step->end->setTimezone($utc),
                'SUMMARY' => $step->dish->dish->letter.' '.$step->step->title.WhichBatch::of($step),
                'DESCRIPTION' => $this->words($step, $kitchen),
            ], false);
            $calendar->add($event);
            if ([] !== $step->people) {
                $alarm = $calendar->createComponent('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $step->step->title, 'TRIGGER' => '-PT'.(null === $step->burner ? self::RINGS : self::RINGS_HOT).'M'], false);
                $event->add($alarm);
            }
        }

        return $calendar->serialize();
    }

    private function words(PlannedStep $step, Kitchen $kitchen): string
    {
        $lines = [implode(', ', array_filter([null === $step->burner ? '' : $kitchen->burners[$step->burner]->name, ...array_map(static fn (string $v): string => $kitchen->vessels[$v]->name, $step->vessels)]))];
        foreach ($step->bowls as $bowl) {
            $lines[] = $bowl->amount.' '.$bowl->ingredient->name;
        }
        foreach ($step->step->cues as $cue) {
            $lines[] = $cue->kind->value.': '.$cue->sign;
        }

        return implode("\n", array_filter($lines));
    }
}
