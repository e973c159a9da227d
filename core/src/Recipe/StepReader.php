<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Reads one step of a recipe document. References to other steps are checked by FlowCheck. */
final readonly class StepReader
{
    private const KEYS = ['id', 'process', 'title', 'say', 'takes', 'vessel', 'flame', 'time', 'attention', 'target', 'leaving', 'pieces', 'cues', 'ties', 'keeping', 'once'];

    public function __construct(private Larder $larder)
    {
    }

    public function step(Node $node): Step
    {
        $node->object(self::KEYS);
        $process = $node->at('process')->enum(Process::class);
        $flame = $node->at('flame')->enum(Flame::class, Flame::None);
        $vessel = $this->vessel($node->at('vessel'));
        if (Flame::None !== $flame && (null === $vessel || !$vessel->kind->standsOnFire())) {
            $node->at('flame')->fault('A step on a flame needs a pot or a pan.');
        }
        $step = new Step(
            $node->at('id')->id(),
            $process,
            $node->at('title')->string(null, 120),
            $node->at('say')->string('', 1000),
            array_map($this->take(...), $node->at('takes')->items(60)),
            $vessel,
            $flame,
            $this->time($node->at('time')),
            $this->attention($node->at('attention')),
            $this->target($node->at('target')),
            $this->leaving($node->at('leaving')),
            $this->pieces($node->at('pieces')),
            $this->cues($node->at('cues')),
            array_map($this->tie(...), $node->at('ties')->items(20)),
            $this->keeping($node->at('keeping')),
            $node->at('once')->bool(false),
        );
        $this->checkTarget($node, $step);

        return $step;
    }

    private function take(Node $node): Take
    {
        $node->object(['ingredient', 'grams', 'exponent', 'fatDepthMm', 'from', 'share', 'how']);
        $how = $node->at('how')->string('', 200);
        if ($node->has('from')) {
            if ($node->has('ingredient')) {
                $node->fault('A bowl holds either an ingredient or a step\'s output, not both.');
            }

            return Take::output($node->at('from')->id(), $node->at('share')->number(0.001, 1, 1.0), $how);
        }
        $ingredient = $node->at('ingredient')->id();
        if ('' !== $ingredient && !$this->larder->knows($ingredient)) {
            $node->at('ingredient')->fault('The larder holds no "{id}".', ['id' => $ingredient]);
        }
        if ($node->has('fatDepthMm')) {
            return Take::fatToDepth($ingredient, $node->at('fatDepthMm')->number(5, 300), $how);
        }

        return Take::ingredient($ingredient, $node->at('grams')->number(0.01, 100000), $node->at('exponent')->number(0.3, 1.2, 1.0), $how);
    }

    private function vessel(Node $node): ?VesselUse
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['kind', 'continues']);
        $kind = $node->at('kind')->enum(VesselKind::class);

        return $node->has('continues') ? VesselUse::continued($kind, $node->at('continues')->id()) : VesselUse::fresh($kind);
    }

    private function time(Node $node): StepTime
    {
        $node->object(['grows', 'minutes', 'power', 'secondsEach', 'medium']);
        $growth = $node->at('grows')->enum(Growth::class);
        $needsMinutes = !\in_array($growth, [Growth::WarmUp, Growth::BoilOff, Growth::Cooling, Growth::Piece], true);
        $minutes = $node->at('minutes');
        $three = [0.0, 0.0, 0.0];
        if ($minutes->exists() || $needsMinutes) {
            $items = $minutes->items(3, 3);
            foreach ($items as $i => $item) {
                $three[$i] = $item->number(0, 20160);
            }
            if ($three[0] > $three[1] || $three[1] > $three[2]) {
                $minutes->fault('The three minutes must rise: least, likely, most.');
            }
        }
        $seconds = $node->at('secondsEach')->number(0.1, 3600, Growth::Piece === $growth ? null : 0.0);

        return new StepTime($growth, $three[0], $three[1], $three[2], $node->at('power')->number(0, 2, 1.0), $seconds, $node->at('medium')->enum(CoolingMedium::class, CoolingMedium::Air));
    }

    private function attention(Node $node): Attention
    {
        $node->object(['kind', 'percent', 'lookEvery', 'people', 'skill']);
        $kind = $node->at('kind')->enum(AttentionKind::class);
        $percent = match ($kind) {
            // Whoever stirs can still glance at one simmering pot beside it, but never hold a second spoon;
            // 100 are closed minutes, in which not even that is possible.
            AttentionKind::Constant => $node->at('percent')->int(51, 100, 75),
            AttentionKind::None => 0,
            AttentionKind::Watch => $node->at('percent')->int(1, 99, 30),
        };

        return new Attention($kind, $percent, $node->at('lookEvery')->int(0, 240, 0), AttentionKind::None === $kind ? 0 : $node->at('people')->int(1, 10, 1), $node->at('skill')->enum(Skill::class, Skill::Cook));
    }

    private function target(Node $node): Target
    {
        if (!$node->exists()) {
            return Target::none();
        }
        $node->object(['kind', 'value', 'stage']);
        $kind = $node->at('kind')->enum(TargetKind::class);

        return match ($kind) {
            TargetKind::None => Target::none(),
            TargetKind::Stage => Target::stage($node->at('stage')->enum(Stage::class)),
            TargetKind::VolumeTo => Target::of($kind, $node->at('value')->number(0.05, 1)),
            TargetKind::WaterOff => Target::of($kind, $node->at('value')->number(0.001, 0.95)),
            TargetKind::Celsius => Target::of($kind, $node->at('value')->number(-5, 200)),
        };
    }

    private function checkTarget(Node $node, Step $step): void
    {
        $kind = $step->target->kind;
        $missing = match ($step->time->growth) {
            Growth::BoilOff => \in_array($kind, [TargetKind::VolumeTo, TargetKind::Stage, TargetKind::WaterOff], true) ? null : 'Boiling off needs a target: volume-to, stage or water-off.',
            Growth::Cooling => TargetKind::Celsius === $kind ? null : 'Cooling needs a target in °C.',
            Growth::WarmUp => TargetKind::Celsius === $kind ? null : 'Warming up needs a target in °C.',
            default => null,
        };
        if (null !== $missing) {
            $node->at('target')->fault($missing);
        }
        if (\in_array($step->time->growth, [Growth::WarmUp, Growth::BoilOff, Growth::Roast], true) && Flame::None === $step->flame) {
            $node->at('flame')->fault('A step timed by heat needs a flame.');
        }
        if (Growth::Cooling === $step->time->growth && null === $step->vessel) {
            $node->at('vessel')->fault('A step timed by cooling needs a vessel.');
        }
        if (Process::DeepFry === $step->process) {
            $depths = array_filter($step->takes, static fn (Take $t): bool => null !== $t->fatDepthMm);
            if (1 !== \count($depths)) {
                $node->at('takes')->fault('A deep-fry takes exactly one fat, given by its depth in mm.');
            }
            if (null === $step->pieces) {
                $node->at('pieces')->fault('A deep-fry needs its pieces: grams and width in the fat.');
            }
        }
    }

    private function leaving(Node $node): Leaving
    {
        if ($node->exists()) {
            $node->object(['waterShare', 'fatUptake']);
        }

        return new Leaving($node->at('waterShare')->number(0, 0.95, 0.0), $node->at('fatUptake')->number(0, 0.5, 0.0));
    }

    private function pieces(Node $node): ?PieceMaking
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['grams', 'widthMm']);

        return new PieceMaking($node->at('grams')->number(0.5, 2000), $node->at('widthMm')->number(3, 500));
    }

    /** @return list<Cue> */
    private function cues(Node $node): array
    {
        return array_map(static function (Node $cue): Cue {
            $cue->object(['kind', 'sign', 'rescue', 'tasting']);

            return new Cue($cue->at('kind')->enum(CueKind::class), $cue->at('sign')->string(null, 300), $cue->at('rescue')->string('', 300), $cue->at('tasting')->bool(false));
        }, $node->items(20));
    }

    private function tie(Node $node): Tie
    {
        $node->object(['after', 'min', 'max', 'why']);
        $min = $node->at('min')->int(0, 20160, 0);
        $max = $node->has('max') ? $node->at('max')->int(0, 20160) : null;
        if (null !== $max && $max < $min) {
            $node->at('max')->fault('The longest gap, {max} min, is shorter than the shortest, {min} min.', ['max' => $max, 'min' => $min]);
        }

        return new Tie($node->at('after')->id(), $min, $max, $node->at('why')->string('', 200));
    }

    private function keeping(Node $node): ?Keeping
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['minutes', 'place']);

        return new Keeping($node->at('minutes')->int(1, 100000), $node->at('place')->enum(KeepingPlace::class));
    }
}
