<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\Take;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Telling\Contradictions;
use FeastLadle\Telling\Heard;
use FeastLadle\Telling\ToldStep;
use FeastLadle\Vessel\VesselKind;

/** A step of a told recipe: its title, vessel, fire, hands, time, end and signs, as they were said or supposed. */
final readonly class ToldSteps
{
    private const LONGEST_TITLE = 56;

    public function __construct(private OpenPoints $open)
    {
    }

    /**
     * @param list<array<string, mixed>> $takes
     * @param array<string, mixed>       $former the step whose result goes on here
     *
     * @return array<string, mixed>
     */
    public function document(Heard $heard, int $number, ToldStep $told, string $id, array $takes, array $former, int $index): array
    {
        $guide = ProcessGuide::of($told->process);
        $step = $guide->step($id);
        $fat = array_values(array_filter(
            \is_array($step['takes']) ? $step['takes'] : [],
            static fn (mixed $t): bool => \is_array($t) && isset($t['fatDepthMm']),
        ));
        $step['title'] = mb_substr($heard->title($number) ?? $this->title($told, $guide), 0, 90);
        $step['say'] = mb_substr($heard->say($number), 0, 900);
        $step['takes'] = $told->process->friesInFat() ? [...self::withoutFat($takes), ...$fat] : [...$takes, ...$fat];
        $step = $this->vesselAndFire($step, $told, $guide, $former, $index);
        $step = $this->handsAndSigns($step, $told, $guide, $index);

        return $this->timeAndTarget($step, $told, $guide, $index, $heard->say($number));
    }

    /**
     * Fat that is fried in stands to a depth, whatever was poured.
     *
     * @param list<array<string, mixed>> $takes
     *
     * @return list<array<string, mixed>>
     */
    private static function withoutFat(array $takes): array
    {
        return array_values(array_filter(
            $takes,
            static fn (array $t): bool => !\in_array(
                $t['ingredient'] ?? '',
                ['ghee', 'frying-oil', 'coconut-oil', 'sesame-oil', 'mustard-oil'],
                true,
            ),
        ));
    }

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $former
     *
     * @return array<string, mixed>
     */
    private function vesselAndFire(array $step, ToldStep $told, ProcessGuide $guide, array $former, int $index): array
    {
        unset($step['vessel'], $step['flame']);
        $title = \is_string($step['title']) ? $step['title'] : '';
        $flame = $told->flame->value ?? $guide->flame;
        $isSaid = null !== $told->vessel && \in_array($told->vessel, $guide->vessels, true);
        $kind = $isSaid ? $told->vessel : ($guide->vessels[0] ?? null);
        if (Process::MixIn === $told->process && !$isSaid) {
            $kind = VesselKind::Bowl;
        }
        if (null !== $kind) {
            $formerVessel = $former['vessel'] ?? null;
            $formerKind = \is_array($formerVessel) ? $formerVessel['kind'] ?? null : null;
            $step['vessel'] = ['kind' => $kind->value];
            $serves = array_map(static fn (VesselKind $v): string => $v->value, $guide->vessels);
            if (\is_string($formerKind) && ($formerKind === $kind->value || (!$isSaid && \in_array($formerKind, $serves, true)))) {
                $step['vessel'] = ['kind' => $formerKind, 'continues' => $former['id'] ?? null];
            } elseif (!$isSaid) {
                $this->open->guess(
                    '/steps/'.$index.'/vessel/kind',
                    '"{title}": no vessel was told; a {kind} was supposed',
                    title: $title,
                    kind: $kind->value,
                );
            }
        }
        if ('none' !== $flame && 'none' !== $guide->flame) {
            $vessel = $step['vessel'] ?? null;
            $now = \is_array($vessel) && \is_string($vessel['kind'] ?? null) ? VesselKind::from($vessel['kind']) : null;
            if (null === $now || !$now->standsOnFire()) {
                $step['vessel'] = ['kind' => 'pan'];
            }
            $step['flame'] = $flame;
            if (null === $told->flame) {
                $this->open->guess(
                    '/steps/'.$index.'/flame',
                    '"{title}": no flame was told; {flame} was supposed',
                    title: $title,
                    flame: $flame,
                );
            }
        }

        return $step;
    }

    /**
     * @param array<string, mixed> $step
     *
     * @return array<string, mixed>
     */
    private function handsAndSigns(array $step, ToldStep $told, ProcessGuide $guide, int $index): array
    {
        $isOnFire = isset($step['flame']);
        $isHotWork = \in_array($told->process, [Process::DeepFry, Process::ShallowFry, Process::Merge, Process::HotFat], true);
        $attention = $told->attention
            ?? ($told->isStirred && AttentionKind::None === $guide->attention ? AttentionKind::Watch : $guide->attention);
        // What takes hours nobody stands beside, off the fire.
        if (null === $told->attention && !$isOnFire && ($told->minutes[0] ?? 0) >= 60) {
            $attention = AttentionKind::None;
        }
        $step['attention'] = [
            'kind' => $isHotWork ? AttentionKind::Constant->value : $attention->value,
            'skill' => $isOnFire ? 'cook' : 'any',
        ];
        if ($told->process->facts()->leastPeople > 1) {
            $step['attention']['people'] = $told->process->facts()->leastPeople;
        }
        $cues = [];
        foreach (\array_slice($told->signs, 0, 12) as $sign) {
            $cue = ['kind' => $sign->kind->value, 'sign' => ucfirst(mb_substr(self::oneLine($sign->words), 0, 280))];
            $cues[] = '' === $sign->rescue ? $cue : [...$cue, 'rescue' => mb_substr(self::oneLine($sign->rescue), 0, 280)];
        }
        unset($step['cues']);
        if ([] !== $cues) {
            $step['cues'] = $cues;
        }
        if (AttentionKind::Constant->value === $step['attention']['kind'] && $isOnFire && [] === $cues) {
            $title = \is_string($step['title']) ? $step['title'] : '';
            $this->open->ask('/steps/'.$index.'/cues', 0.5, '"{title}": by what does one see that it is done?', title: $title);
        }

        return $step;
    }

    private static function oneLine(string $words): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $words));
    }

    /**
     * @param array<string, mixed> $step
     *
     * @return array<string, mixed>
     */
    private function timeAndTarget(array $step, ToldStep $told, ProcessGuide $guide, int $index, string $words): array
    {
        unset($step['target']);
        $title = \is_string($step['title']) ? $step['title'] : '';
        $target = $this->target($told, $words, $index, $title);
        if (null !== $target) {
            $step['target'] = $target;
        }
        $growth = $guide->growths[0];
        if ([] !== $growth->facts()->targets && null !== $target && isset($step['vessel'])) {
            $step['time'] = ['grows' => $growth->value];
        } elseif (null !== $told->minutes) {
            [$from, $to] = $told->minutes;
            $likely = round(($from + $to) / 2, 2);
            $grows = \in_array($growth, [Growth::Load, Growth::Fixed, Growth::Mass, Growth::Roast], true) ? $growth : Growth::Fixed;
            $step['time'] = [
                ...$guide->time($grows),
                'minutes' => [round($from < $to ? $from : 0.8 * $from, 2), $likely, round($from < $to ? $to : 1.3 * $to, 2)],
            ];
        } else {
            $step['time'] = $guide->time($growth->facts()->minutes ? $growth : Growth::Fixed);
            $this->open->guess(
                '/steps/'.$index.'/time/minutes',
                '"{title}": no time was told; about {minutes} min were supposed',
                title: $title,
                minutes: $guide->minutes[1],
            );
            if (AttentionKind::Constant === ($told->attention ?? $guide->attention) && isset($step['flame'])) {
                $this->open->ask('/steps/'.$index.'/time/minutes', 0.45, '"{title}": about how long does it take?', title: $title);
            }
        }

        return $step;
    }

    /** @return array<string, mixed>|null */
    private function target(ToldStep $told, string $words, int $index, string $title): ?array
    {
        if (null !== $told->releases && Process::Pressure === $told->process) {
            return ['kind' => TargetKind::Releases->value, 'value' => (int) $told->releases];
        }
        if (Process::Syrup === $told->process) {
            if (null === $told->stage && null === $told->celsius) {
                $this->open->ask(
                    '/steps/'.$index.'/target',
                    Take::STRONG,
                    '"{title}": how far is the syrup cooked: sticky, one string, or further?',
                    title: $title,
                );
            }

            return null !== $told->celsius && null === $told->stage
                ? ['kind' => TargetKind::Celsius->value, 'value' => round($told->celsius, 1)]
                : ['kind' => TargetKind::Stage->value, 'stage' => $told->stage->value ?? 'tacky'];
        }
        if (null !== $told->celsius && \in_array(TargetKind::Celsius, $told->process->facts()->targets, true)) {
            return ['kind' => TargetKind::Celsius->value, 'value' => round($told->celsius, 1)];
        }
        if (Process::Reduce === $told->process) {
            $share = Contradictions::share($words);
            if (null === $share) {
                $this->open->ask(
                    '/steps/'.$index.'/target',
                    0.8,
                    '"{title}": how much of it is left when it is boiled down?',
                    title: $title,
                );
            }

            return ['kind' => TargetKind::VolumeTo->value, 'value' => round($share ?? 0.5, 3)];
        }

        return match ($told->process) {
            Process::Boil => ['kind' => TargetKind::Celsius->value, 'value' => 99],
            Process::Chill => ['kind' => TargetKind::Celsius->value, 'value' => 8],
            Process::Cool => ['kind' => TargetKind::Celsius->value, 'value' => 40],
            Process::Set => ['kind' => TargetKind::Celsius->value, 'value' => 35],
            default => null,
        };
    }

    /** What the process is called, and with what. */
    private function title(ToldStep $told, ProcessGuide $guide): string
    {
        $with = $told->amounts[0]->thing->name ?? ($told->amounts[0]->named ?? '');

        return mb_substr($guide->label.('' === $with ? '' : ': '.mb_strtolower(explode(',', $with)[0])), 0, self::LONGEST_TITLE);
    }
}
