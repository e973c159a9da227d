<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\LayerLoad;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\SharedWork;

/** Minutes of hands, piece by piece. */
final class HandTime
{
    /** Minutes that hands need to put on, turn and take off all that lies on a griddle, however many fit. */
    public static function turning(StepFlow $flow, ?PotChoice $pot, ?TimeAccount $account): float
    {
        if (Process::Griddle !== $flow->step->process || null === $pot?->layer($flow)) {
            return 0.0;
        }
        $people = max(1, $flow->step->work->attention->people);
        $pieces = max($flow->taken->pieces, $flow->gives->pieces);
        $minutes = ($pieces * LayerLoad::TURNING_SECONDS) / $people / 60;
        $account?->say('Putting on, turning and taking off: {pieces} pieces × {seconds} s ÷ {people} at it = {minutes} min at least.', [
            'pieces' => floor($pieces + 1e-6),
            'seconds' => LayerLoad::TURNING_SECONDS,
            'people' => $people,
            'minutes' => round($minutes, 1),
        ]);

        return $minutes;
    }

    /** Seconds a piece, shared by those at it. */
    public static function byPiece(StepFlow $flow, ?TimeAccount $account): Minutes
    {
        $pieces = $flow->gives->pieces > 0 ? $flow->gives->pieces : $flow->taken->pieces;
        $people = max(1, $flow->step->work->attention->people);
        $likely = ($pieces * $flow->step->work->time->secondsEach) * SharedWork::share($people) / 60;
        $account?->say('{pieces} pieces × {seconds} s ÷ {people}^0.95 for those at it = {minutes} min.', [
            'pieces' => floor($pieces + 1e-6),
            'seconds' => $flow->step->work->time->secondsEach,
            'people' => $people,
            'minutes' => round($likely, 1),
        ]);

        return Minutes::of(0.8 * $likely, $likely, 1.4 * $likely);
    }
}
