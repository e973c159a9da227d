<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Slips\SlipAnswer;
use FeastLadle\Day\Slips\Way;
use FeastLadle\Day\Slips\WayKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Solving\PlannedStep;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What goes wrong on a simulated day, and which way on its cooks take. The same run, step and seed meet the same fate. */
final readonly class SlipDraws
{
    private const BY_HAND = [Process::Knead, Process::Shape, Process::StirToBall];

    /** Whatever else may happen, so often something falls down. */
    private const DROPPED_OF_100 = 5;

    public function __construct(private SlipRate $rate, private int $seed)
    {
    }

    public function of(int $run, PlannedStep $step): ?Slipped
    {
        if (0 === $this->rate->of100()) {
            return null;
        }
        $random = new Randomizer(new Mt19937(crc32("{$this->seed}/$run/{$step->activity}/slip")));
        if ($random->getInt(1, 100) > $this->rate->of100()) {
            return null;
        }
        $id = $step->key->id();
        if ($random->getInt(1, 100) <= self::DROPPED_OF_100) {
            return new Slipped($id, SlipKind::Dropped, null, share: 0.3);
        }
        $bowls = [];
        foreach ($step->step->takes as $take) {
            if (null !== $take->ingredient) {
                $bowls[] = $take->place + 1;
            }
        }
        $may = [[SlipKind::Skipped, []]];
        if ([] !== $bowls) {
            $bowl = $bowls[$random->getInt(0, \count($bowls) - 1)];
            $may[] = [SlipKind::Forgotten, ['bowl' => $bowl]];
            $may[] = [SlipKind::TooLittle, ['bowl' => $bowl, 'grams' => 0.0]];
        }
        if (null !== $step->burner) {
            $may[] = [SlipKind::Caught, []];
            $may[] = [SlipKind::Spilt, ['share' => 0.1]];
        }
        if (TargetKind::Stage === $step->step->work->target->kind) {
            $may[] = [SlipKind::WentPast, ['celsius' => 100.0 + ($step->step->work->target->stage?->aimRise() ?? 2.0) + 3.0]];
        }
        if (\in_array($step->step->process, Process::IN_HOT_FAT, true)) {
            $may[] = [SlipKind::TooHot, ['celsius' => 205.0]];
        }
        if (\in_array($step->step->process, self::BY_HAND, true)) {
            $may[] = [SlipKind::TooWet, []];
            $may[] = [SlipKind::TooDry, []];
        }
        [$kind, $with] = $may[$random->getInt(0, \count($may) - 1)];

        return new Slipped($id, $kind, null, ...$with);
    }

    /** The way of least harm that is not to throw it away. */
    public static function taken(SlipAnswer $answer): ?Way
    {
        foreach ($answer->ways as $way) {
            if (WayKind::Discard !== $way->kind) {
                return $way;
            }
        }

        return null;
    }
}
