<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;
use FeastLadle\Vessel\VesselKind;

/**
 * What there is to say about a process when a recipe is written: what it is called, where it belongs, which questions it raises
 * and with which answers a new step begins.
 */
final readonly class ProcessGuide
{
    /**
     * @param list<VesselKind>           $vessels   that serve it, the usual first
     * @param string                     $flame     with which a new step begins
     * @param list<Growth>               $growths   ways to tell its time, the usual first
     * @param list<TargetKind>           $targets
     * @param list<Question>             $questions
     * @param array{float, float, float} $minutes
     */
    private function __construct(
        public Process $process,
        public string $label,
        public Stretch $stretch,
        public array $vessels,
        public string $flame,
        public array $growths,
        public AttentionKind $attention,
        public array $minutes,
        public array $targets = [],
        public array $questions = [],
    ) {
    }

    public static function of(Process $process): self
    {
        $facts = $process->facts();
        $questions = [] === $facts->vessels ? [] : [Question::Vessel];
        if (Flame::None !== $facts->flame) {
            $questions[] = Question::Flame;
        }
        if ([] !== $facts->targets) {
            $questions[] = Question::Target;
        }

        return new self(
            $process,
            $facts->label,
            $facts->stretch,
            $facts->vessels,
            $facts->flame->value,
            $facts->growths,
            $facts->attention,
            $facts->minutes,
            $facts->targets,
            [...$questions, ...$facts->questions, Question::Marks],
        );
    }

    public function asks(Question $question): bool
    {
        return \in_array($question, $this->questions, true);
    }

    /**
     * A new step of this process, as it stands in a recipe document.
     *
     * @return array<string, mixed>
     */
    public function step(string $id): array
    {
        $step = ['id' => $id, 'process' => $this->process->value, 'title' => $this->label, 'say' => '', 'takes' => []];
        if ([] !== $this->vessels) {
            $step['vessel'] = ['kind' => $this->vessels[0]->value];
        }
        if ('none' !== $this->flame) {
            $step['flame'] = $this->flame;
        }
        $step['time'] = $this->time($this->growths[0]);
        $step['attention'] = [
            'kind' => $this->attention->value,
            'skill' => 'none' === $this->flame && Stretch::Fire !== $this->stretch ? 'any' : 'cook',
        ];
        if (\in_array($this->growths[0], [Growth::WarmUp, Growth::Cooling, Growth::BoilOff], true)) {
            $step['target'] = match ($this->targets[0]) {
                TargetKind::Stage => ['kind' => 'stage', 'stage' => 'one-string'],
                TargetKind::VolumeTo => ['kind' => 'volume-to', 'value' => 0.5],
                default => [
                    'kind' => 'celsius',
                    'value' => match ($this->process) {
                        Process::Chill => 8,
                        Process::Cool, Process::Set => 35,
                        default => 99,
                    },
                ],
            };
        }
        if ($this->asks(Question::Pieces)) {
            $step['pieces'] = ['grams' => 25, 'widthMm' => 35];
        }
        if ($this->asks(Question::FryingFat)) {
            $step['takes'][] = ['ingredient' => 'ghee', 'fatDepthMm' => Process::ShallowFry === $this->process ? 8 : 50];
            $step['leaving'] = ['waterShare' => 0.1, 'fatUptake' => 0.08];
        }

        return $step;
    }

    /**
     * Time told another way, with usual numbers.
     *
     * @return array<string, mixed>
     */
    public function time(Growth $growth): array
    {
        $time = ['grows' => $growth->value];
        if (\in_array($growth, [Growth::Fixed, Growth::Warmth, Growth::Mass, Growth::Load, Growth::Roast], true)) {
            $time['minutes'] = $this->minutes;
        }
        if (Growth::Mass === $growth) {
            $time['power'] = 0.6;
        }
        if (Growth::Piece === $growth) {
            $time['secondsEach'] = 10;
        }
        if (Growth::Load === $growth && !$this->asks(Question::FryingFat)) {
            $time['load'] = Process::Grind === $this->process ? ['grams' => 300] : ['pieces' => 6];
        }

        return $time;
    }
}
