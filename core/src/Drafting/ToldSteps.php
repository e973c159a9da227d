<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\Take;
use FeastLadle\Recipe\Target;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Telling\ProcessWords;
use FeastLadle\Telling\ToldSentence;

/** A step of a told recipe: its title, vessel, fire, hands, time and end, as they were said or supposed. */
final readonly class ToldSteps
{
    public function __construct(private OpenPoints $open)
    {
    }

    /**
     * @param array<string, mixed> $step
     * @param string|null          $main   the step whose output goes on here
     * @param array<string, mixed> $former that step
     *
     * @return array<string, mixed>
     */
    public function vesselFireAndHands(array $step, ToldSentence $sentence, int $index, ?string $main, array $former): array
    {
        unset($step['vessel'], $step['flame']);
        if (null !== $sentence->vessel) {
            $step['vessel'] = ['kind' => $sentence->vessel->value];
            $formerVessel = $former['vessel'] ?? null;
            $kind = \is_array($formerVessel) ? $formerVessel['kind'] ?? null : null;
            $stays =
                \is_string($kind)
                && ($kind === $sentence->vessel->value
                    || (\in_array('vessel', $sentence->supposed, true)
                        && \in_array(
                            $kind,
                            array_map(static fn ($v): string => $v->value, ProcessGuide::of($sentence->process)->vessels),
                            true,
                        )));
            if ($stays) {
                $step['vessel'] = ['kind' => $kind, 'continues' => $main];
            } elseif (\in_array('vessel', $sentence->supposed, true)) {
                $this->open->guess(
                    '/steps/'.$index.'/vessel/kind',
                    '"{title}": no vessel was told; a {kind} was supposed',
                    title: \is_string($step['title']) ? $step['title'] : '',
                    kind: $sentence->vessel->value,
                );
            }
        }
        if ('none' !== $sentence->flame->value) {
            if (null === $sentence->vessel || !$sentence->vessel->standsOnFire()) {
                $step['vessel'] = ['kind' => 'pan'];
            }
            $step['flame'] = $sentence->flame->value;
            if (\in_array('flame', $sentence->supposed, true)) {
                $this->open->guess(
                    '/steps/'.$index.'/flame',
                    '"{title}": no flame was told; {flame} was supposed',
                    title: \is_string($step['title']) ? $step['title'] : '',
                    flame: $sentence->flame->value,
                );
            }
        }
        $isHotWork = \in_array($sentence->process, [Process::DeepFry, Process::Merge, Process::HotFat], true);
        $step['attention'] = [
            'kind' => $isHotWork ? AttentionKind::Constant->value : $sentence->attention->value,
            'skill' => 'none' === $sentence->flame->value ? 'any' : 'cook',
        ];
        if ($sentence->process->facts()->leastPeople > 1) {
            $step['attention']['people'] = $sentence->process->facts()->leastPeople;
        }
        if (AttentionKind::Constant->value === $step['attention']['kind'] && 'none' !== $sentence->flame->value) {
            $sign = 1 === preg_match('/\b(?:till|until)\s+([^.,;]{4,80})/i', $sentence->text, $match) ? ucfirst(trim($match[1])) : null;
            if (null !== $sign) {
                $step['cues'] = [['kind' => 'done', 'sign' => $sign]];
            } else {
                $this->open->ask(
                    '/steps/'.$index.'/cues',
                    0.5,
                    '"{title}": by what does one see that it is done?',
                    title: \is_string($step['title']) ? $step['title'] : '',
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
    public function timeAndTarget(array $step, ToldSentence $sentence, ProcessGuide $guide, int $index): array
    {
        unset($step['target']);
        $title = \is_string($step['title']) ? $step['title'] : '';
        $target = $this->target($sentence->target);
        if (null !== $target && (TargetKind::Releases !== $sentence->target->kind || Process::Pressure === $sentence->process)) {
            $step['target'] = $target;
        }
        $growth = $guide->growths[0];
        $isLaw =
            [] !== $growth->facts()->targets && null !== $target && isset($step['vessel']);
        if ($isLaw) {
            $step['time'] = ['grows' => $growth->value];
        } elseif (null !== $sentence->minutes) {
            [$from, $to] = $sentence->minutes;
            $likely = round(($from + $to) / 2, 2);
            $grows =
                Growth::Load === $growth
                    ? $growth
                    : (\in_array($growth, [Growth::Fixed, Growth::Mass, Growth::Roast], true)
                        ? $growth
                        : Growth::Fixed);
            $step['time'] = [
                ...$guide->time($grows),
                'minutes' => [round($from < $to ? $from : 0.8 * $from, 2), $likely, round($from < $to ? $to : 1.3 * $to, 2)],
            ];
        } else {
            $step['time'] = $guide->time(
                !$growth->facts()->minutes
                    ? Growth::Fixed
                    : $growth,
            );
            $this->open->guess(
                '/steps/'.$index.'/time/minutes',
                '"{title}": no time was told; about {minutes} min were supposed',
                title: $title,
                minutes: $guide->minutes[1],
            );
            if (AttentionKind::Constant === $sentence->attention && 'none' !== $sentence->flame->value) {
                $this->open->ask(
                    '/steps/'.$index.'/time/minutes',
                    0.45,
                    '"{title}": about how long does it take?',
                    title: $title,
                );
            }
        }
        if (
            Process::Syrup === $sentence->process
            && 1 !== preg_match('/string|thread|ball|crack|sticky|tacky|dissolv/i', $sentence->text)
        ) {
            $this->open->ask(
                '/steps/'.$index.'/target',
                Take::STRONG,
                '"{title}": how far is the syrup cooked: sticky, one string, or further?',
                title: $title,
            );
        }

        return $step;
    }

    /** @return array<string, mixed>|null */
    private function target(Target $target): ?array
    {
        return match ($target->kind) {
            TargetKind::None => null,
            TargetKind::Stage => ['kind' => 'stage', 'stage' => $target->stage->value ?? 'tacky'],
            TargetKind::Releases => ['kind' => 'releases', 'value' => (int) $target->value],
            default => ['kind' => $target->kind->value, 'value' => round($target->value, 3)],
        };
    }

    /** The clause that says what is done, short; else what the process is called, and with what. */
    public function title(ToldSentence $sentence): string
    {
        $words = new ProcessWords();
        foreach (preg_split('/[,.;:(]|\b(?:for about|for \d|until|till)\b/i', $sentence->text) ?: [] as $clause) {
            $clause = (string) preg_replace(
                '/^\W*(?:(?:and|so|now|then|next|after that|meanwhile|first|finally|you|we|have to|need to|must|take|in another pot|in '.
                    'another pan)\b[ ,]*)+/i',
                '',
                trim($clause),
            );
            if (
                mb_strlen($clause) >= 4
                && 1 !== preg_match('/^(?:it|they|this) /i', $clause)
                && mb_strlen($clause) <= 56
                && $words->find($clause) === [$sentence->process, true]
            ) {
                return ucfirst($clause);
            }
        }
        $with = $sentence->amounts[0]->ingredient->name ?? '';

        return ProcessGuide::of($sentence->process)->label.('' === $with ? '' : ': '.mb_strtolower(explode(',', $with)[0]));
    }
}
