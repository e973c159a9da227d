<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Vessel\VesselKind;

/**
 * What there is to say about a process when a recipe is written: what it is called, where it belongs, which questions it raises
 * and with which answers a new step begins.
 */
final readonly class ProcessGuide
{
    private const PREPARE = [Growth::Mass, Growth::Fixed];
    private const BY_PIECE = [Growth::Piece, Growth::Mass, Growth::Fixed];
    private const BY_LOAD = [Growth::Load, Growth::Mass, Growth::Fixed];
    private const WAIT = [Growth::Fixed];
    private const ON_FIRE = [Growth::Fixed, Growth::Mass, Growth::WarmUp, Growth::BoilOff];

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
        [$label, $stretch, $vessels, $flame, $growths, $attention, $minutes, $targets, $more] = self::row($process);
        $questions = [] === $vessels ? [] : [Question::Vessel];
        if ('none' !== $flame) {
            $questions[] = Question::Flame;
        }
        if ([] !== $targets) {
            $questions[] = Question::Target;
        }

        return new self($process, $label, $stretch, $vessels, $flame, $growths, $attention, $minutes, $targets, [
            ...$questions,
            ...$more,
            Question::Marks,
        ]);
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
            $step['takes'][] = ['ingredient' => 'ghee', 'fatDepthMm' => 50];
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
        if (\in_array($growth, [Growth::Fixed, Growth::Mass, Growth::Load, Growth::Roast], true)) {
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

    /**
     * @return array{string, Stretch, list<VesselKind>, string, non-empty-list<Growth>, AttentionKind, array{float, float,
     *     float}, list<TargetKind>, list<Question>}
     */
    private static function row(Process $process): array
    {
        [$before, $fire, $after] = Stretch::cases();
        [$stir, $watch, $leave] = [AttentionKind::Constant, AttentionKind::Watch, AttentionKind::None];
        $bowl = [VesselKind::Bowl, VesselKind::Tray, VesselKind::Pot];
        $tray = [VesselKind::Tray, VesselKind::Bowl];
        $pot = [VesselKind::Pot, VesselKind::Pan];
        $pan = [VesselKind::Pan, VesselKind::Pot];
        $any = [VesselKind::Pan, VesselKind::Pot, VesselKind::Bowl, VesselKind::Tray];
        $boils = [TargetKind::VolumeTo, TargetKind::VolumeBy, TargetKind::WaterOff, TargetKind::Celsius, TargetKind::Cues];
        $warm = [TargetKind::Celsius, TargetKind::Cues];
        $cues = [TargetKind::Cues];

        return match ($process) {
            Process::Prepare => ['Peel, cut, grate', $before, $bowl, 'none', self::PREPARE, $stir, [5.0, 8.0, 12.0], [], [Question::Waste]],
            Process::Soak => ['Soak', $before, $bowl, 'none', self::WAIT, $leave, [60.0, 120.0, 240.0], [], []],
            Process::Drain => ['Drain', $before, $bowl, 'none', self::WAIT, $stir, [2.0, 3.0, 5.0], [], []],
            Process::Rinse => ['Rinse', $before, $bowl, 'none', self::WAIT, $stir, [2.0, 3.0, 5.0], [], []],
            Process::Sieve => ['Sieve', $before, $bowl, 'none', self::PREPARE, $stir, [2.0, 3.0, 5.0], [], [Question::Waste]],
            Process::Grind => ['Grind', $before, $bowl, 'none', self::BY_LOAD, $stir, [1.0, 2.0, 3.0], [], [Question::Load]],
            Process::Mash => [
                'Mash',
                $before,
                [...$bowl, VesselKind::Pan, VesselKind::Cooker],
                'none',
                self::PREPARE,
                $stir,
                [3.0, 5.0, 8.0],
                [],
                [],
            ],
            Process::Press => ['Press', $before, $bowl, 'none', self::PREPARE, $stir, [6.0, 9.0, 14.0], [], [Question::Outputs]],
            Process::Strain => [
                'Strain',
                $before,
                $bowl,
                'none',
                self::PREPARE,
                $stir,
                [3.0, 5.0, 8.0],
                [],
                [Question::Outputs, Question::Waste],
            ],
            Process::Knead => ['Knead', $before, $bowl, 'none', self::PREPARE, $stir, [6.0, 9.0, 14.0], [], []],
            Process::Rest => ['Rest', $before, [...$bowl, VesselKind::Pan], 'none', self::WAIT, $leave, [15.0, 30.0, 60.0], [], []],
            Process::Dry => ['Air-dry', $before, $tray, 'none', self::WAIT, $leave, [60.0, 120.0, 360.0], [], [Question::Steam]],
            Process::Roast => [
                'Roast in fat',
                $fire,
                $pan,
                'low',
                [Growth::Roast, Growth::Mass, Growth::Fixed],
                $stir,
                [8.0, 12.0, 18.0],
                $cues,
                [Question::Steam, Question::Turns],
            ],
            Process::Parch => [
                'Parch dry',
                $fire,
                $pan,
                'low',
                [Growth::Roast, Growth::Mass, Growth::Fixed],
                $stir,
                [4.0, 6.0, 9.0],
                $cues,
                [Question::Steam, Question::Waste],
            ],
            Process::Bloom => ['Bloom spice in fat', $fire, $pan, 'low', self::PREPARE, $stir, [0.5, 1.0, 2.0], [...$warm], []],
            Process::Infuse => ['Infuse', $fire, [VesselKind::Bowl, ...$pot], 'none', self::WAIT, $leave, [10.0, 20.0, 60.0], [], []],
            Process::FryGarnish => ['Fry garnish', $fire, $pan, 'low', self::PREPARE, $stir, [3.0, 5.0, 8.0], $cues, []],
            Process::Boil => [
                'Bring to the boil',
                $fire,
                $pot,
                'high',
                [Growth::WarmUp, Growth::Fixed, Growth::Mass],
                $watch,
                [6.0, 9.0, 14.0],
                $warm,
                [],
            ],
            Process::Simmer => ['Simmer', $fire, $pot, 'low', self::ON_FIRE, $watch, [10.0, 15.0, 25.0], $boils, [Question::Steam]],
            Process::Reduce => [
                'Reduce',
                $fire,
                $pot,
                'medium',
                [Growth::BoilOff, Growth::Fixed, Growth::Mass],
                $watch,
                [30.0, 45.0, 70.0],
                $boils,
                [],
            ],
            Process::Syrup => [
                'Cook a syrup',
                $fire,
                $pot,
                'medium',
                [Growth::BoilOff, Growth::WarmUp, Growth::Fixed],
                $watch,
                [8.0, 12.0, 18.0],
                [TargetKind::Stage, TargetKind::Celsius, TargetKind::Cues],
                [],
            ],
            Process::Pressure => [
                'Cook under pressure',
                $fire,
                [VesselKind::Cooker],
                'high',
                self::PREPARE,
                $watch,
                [14.0, 18.0, 25.0],
                [TargetKind::Releases, TargetKind::Cues],
                [],
            ],
            Process::Steam => [
                'Steam',
                $fire,
                [VesselKind::Steamer],
                'high',
                self::BY_LOAD,
                $watch,
                [8.0, 10.0, 14.0],
                $cues,
                [Question::Load],
            ],
            Process::DeepFry => [
                'Deep-fry',
                $fire,
                $pan,
                'medium',
                [Growth::Load],
                $stir,
                [4.0, 6.0, 8.0],
                $cues,
                [Question::FryingFat, Question::Pieces, Question::Steam],
            ],
            Process::Griddle => [
                'Cook on the griddle',
                $fire,
                [VesselKind::Griddle, VesselKind::Pan],
                'medium',
                self::BY_LOAD,
                $stir,
                [2.0, 3.0, 4.0],
                $cues,
                [Question::Load, Question::Steam],
            ],
            Process::Dunk => ['Dip in syrup', $after, $pot, 'none', self::BY_LOAD, $stir, [0.3, 0.5, 1.0], [], [Question::Load]],
            Process::Steep => ['Steep off the flame', $after, $pot, 'none', self::WAIT, $leave, [15.0, 20.0, 30.0], [], []],
            Process::Merge => ['Pour together hot', $fire, $pan, 'low', self::PREPARE, $stir, [2.0, 4.0, 7.0], $cues, []],
            Process::HotFat => [
                'Ladle hot fat in',
                $fire,
                $pan,
                'medium',
                self::PREPARE,
                $stir,
                [6.0, 9.0, 13.0],
                $cues,
                [Question::Steam],
            ],
            Process::StirToBall => [
                'Stir until it moves as one',
                $fire,
                $pan,
                'medium',
                self::PREPARE,
                $stir,
                [18.0, 25.0, 40.0],
                $cues,
                [Question::Steam, Question::Turns],
            ],
            Process::Test => ['Test', $fire, $any, 'none', self::WAIT, $stir, [1.0, 1.0, 2.0], [], []],
            Process::Cool => [
                'Cool',
                $after,
                [VesselKind::Tray, ...$pot],
                'none',
                [Growth::Cooling, Growth::Fixed],
                $leave,
                [20.0, 40.0, 90.0],
                $warm,
                [],
            ],
            Process::MixIn => ['Mix in', $after, $any, 'none', self::PREPARE, $stir, [2.0, 3.0, 5.0], $warm, []],
            Process::Chill => [
                'Chill',
                $after,
                [VesselKind::Bowl, VesselKind::Tray, VesselKind::Pot],
                'none',
                [Growth::Cooling, Growth::Fixed],
                $leave,
                [60.0, 120.0, 240.0],
                $warm,
                [],
            ],
            Process::Shape => ['Shape', $after, $tray, 'none', self::BY_PIECE, $stir, [5.0, 10.0, 15.0], [], [Question::Pieces]],
            Process::Set => [
                'Set in a tray',
                $after,
                [VesselKind::Tray],
                'none',
                [Growth::Cooling, Growth::Fixed],
                $leave,
                [30.0, 60.0, 120.0],
                [TargetKind::Celsius, TargetKind::Depth, TargetKind::Cues],
                [],
            ],
            Process::Score => ['Score', $after, [VesselKind::Tray], 'none', self::PREPARE, $stir, [1.0, 2.0, 3.0], [], []],
            Process::Cut => ['Cut', $after, [VesselKind::Tray], 'none', self::BY_PIECE, $stir, [3.0, 5.0, 8.0], [], [Question::Pieces]],
            Process::Part => ['Part', $after, [VesselKind::Tray], 'none', self::BY_PIECE, $stir, [3.0, 5.0, 8.0], [], [Question::Pieces]],
            Process::TurnOut => ['Turn out', $after, [VesselKind::Tray], 'none', self::WAIT, $stir, [1.0, 2.0, 3.0], [], []],
            Process::Garnish => ['Garnish', $after, $tray, 'none', self::PREPARE, $stir, [3.0, 5.0, 8.0], [], []],
            Process::Portion => ['Portion', $after, [...$bowl], 'none', self::PREPARE, $stir, [3.0, 5.0, 8.0], [], [Question::Waste]],
            Process::DishUp => ['Dish up', $after, [], 'none', self::PREPARE, $stir, [3.0, 5.0, 8.0], [], []],
        };
    }
}
