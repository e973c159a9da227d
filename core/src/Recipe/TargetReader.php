<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;
use FeastLadle\Heat\Flame;
use FeastLadle\Schools\ChosenWay;
use FeastLadle\Schools\Lever;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Reads where a step ends, and whether its law, its process and its vessel can end there. */
final readonly class TargetReader
{
    public function __construct(private ChosenWay $way)
    {
    }

    public function read(Node $node, string $step): Target
    {
        if (!$node->exists()) {
            return Target::none();
        }
        $node->object(['kind', 'value', 'stage', 'need']);
        $kind = $node->at('kind')->enum(TargetKind::class);
        $dial = $this->way->factor($step, Lever::Target);

        return match ($kind) {
            TargetKind::None => Target::none(),
            TargetKind::Stage => Target::stage($node->at('stage')->enum(Stage::class)),
            TargetKind::VolumeTo => Target::of($kind, min(1.0, $dial * $node->at('value')->number(0.05, 1))),
            TargetKind::VolumeBy => Target::of($kind, min(0.95, $dial * $node->at('value')->number(0.01, 0.95))),
            TargetKind::WaterOff => Target::of($kind, min(0.95, $dial * $node->at('value')->number(0.001, 0.95))),
            TargetKind::Celsius => Target::of($kind, $node->at('value')->number(-5, 200)),
            TargetKind::Depth => Target::of($kind, $dial * $node->at('value')->number(2, 200)),
            TargetKind::Releases => Target::of($kind, (float) $node->at('value')->int(1, 20)),
            TargetKind::Cues => Target::cues('all' === $this->oneOf($node->at('need'), ['any', 'all'])),
        };
    }

    /** @param list<string> $words */
    private function oneOf(Node $node, array $words): string
    {
        $word = $node->string($words[0]);
        if (!\in_array($word, $words, true)) {
            $node->fault('Here must stand one of {known}, not {given}.', [
                'known' => implode(', ', $words),
                'given' => mb_substr($word, 0, 40),
            ]);
        }

        return $word;
    }

    public function check(Node $node, Step $step): void
    {
        $kind = $step->work->target->kind;
        $law = $step->work->time->growth->facts();
        if (!$law->endsBy($kind)) {
            $node->at('target')->fault($law->lacks);
        }
        if (
            Growth::Load === $step->work->time->growth
            && null === $step->work->time->loads
            && !ProcessGuide::of($step->process)->asks(Question::FryingFat)
        ) {
            $node->at('time')->fault('Loads need to say what one holds: pieces or grams.');
        }
        if (TargetKind::Cues === $kind && [] === array_filter($step->words->cues, static fn (Cue $c): bool => CueKind::Done === $c->kind)) {
            $node->at('target')->fault('It ends by its signs, but has no sign of kind "done".');
        }
        if (TargetKind::Releases === $kind && Process::Pressure !== $step->process) {
            $node->at('target')->fault('Only a pressure cooker lets off steam.');
        }
        if (TargetKind::Depth === $kind && VesselKind::Tray !== $step->vessel?->kind) {
            $node->at('target')->fault('A depth needs a tray.');
        }
        if ($law->flame && Flame::None === $step->work->flame) {
            $node->at('flame')->fault('A step timed by heat needs a flame.');
        }
        if ($law->vessel && null === $step->vessel) {
            $node->at('vessel')->fault('A step timed by cooling needs a vessel.');
        }
        if (ProcessGuide::of($step->process)->asks(Question::FryingFat)) {
            $depths = array_filter($step->takes, static fn (Take $t): bool => null !== $t->fatDepthMm);
            if (1 !== \count($depths)) {
                $node->at('takes')->fault('A deep-fry takes exactly one fat, given by its depth in mm.');
            }
            if (null === $step->gives->pieces) {
                $node->at('pieces')->fault('A deep-fry needs its pieces: grams and width in the fat.');
            }
        }
    }
}
