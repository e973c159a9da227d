<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use App\Service\Rehearsal;
use FeastLadle\Day\Event;
use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\Replanned;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\SimulatedDay;
use FeastLadle\Solving\Plan;
use FeastLadle\Words\Sentence;

/** One minute of a rehearsal: the wall's board as it would stand, and what was said just before. */
final readonly class RehearsalPage
{
    /** So many of the last things said. */
    private const SAID = 6;

    public function __construct(private Rehearsal $rehearsal)
    {
    }

    /** @return array<string, mixed> what a frame shows */
    public function frame(OpenFeast $open, Plan $plan, SimulatedDay $day, int $minute): array
    {
        $now = $this->rehearsal->from($plan)->modify("+$minute minutes");
        $state = $this->rehearsal->at($open, $plan, $day, $now);
        $said = array_filter(array_map(
            static fn (Event $e): ?array => self::line($open, $plan, $e),
            array_reverse(Rehearsal::until($day, $now)),
        ));

        return [
            'now' => $now->setTimezone($open->feast->timeZone),
            'state' => $state,
            'board' => WallBoard::of($open, $state),
            'said' => \array_slice(array_values($said), 0, self::SAID),
        ];
    }

    /** @return array{steps: int, slips: int, plans: int} how often something was done, went wrong and was planned anew */
    public static function counts(SimulatedDay $day): array
    {
        $of = static fn (string $kind): int => \count(array_filter($day->events, static fn (Event $e): bool => $e->what instanceof $kind));

        return ['steps' => $of(StepDone::class), 'slips' => $of(Slipped::class), 'plans' => $of(Replanned::class)];
    }

    /** @return array{at: \DateTimeImmutable, by: string, words: Sentence, isTrouble: bool}|null */
    private static function line(OpenFeast $open, Plan $plan, Event $event): ?array
    {
        $what = $event->what;
        $title = static function (string $id) use ($plan): string {
            foreach ($plan->steps as $step) {
                if ($step->key->id() === $id) {
                    return $step->dish->dish->letter.' '.$step->step->title;
                }
            }

            return $id;
        };
        $words = match (true) {
            $what instanceof StepStarted => SaidWords::began($title($what->step)),
            $what instanceof StepDone => SaidWords::done($title($what->step)),
            $what instanceof Slipped => SaidWords::slipped($title($what->step), $what->slip),
            $what instanceof Answered => SaidWords::answered($what->proposal.$what->way, $what->taken),
            $what instanceof Replanned => SaidWords::planned($what->because),
            default => null,
        };

        return null === $words ? null : [
            'at' => $event->at->setTimezone($open->feast->timeZone),
            'by' => $open->kitchen->people[$event->by ?? '']->name ?? '',
            'words' => $words,
            'isTrouble' => $what instanceof Slipped || $what instanceof Replanned,
        ];
    }
}
