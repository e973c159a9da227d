<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Schools\ChosenWay;
use FeastLadle\Schools\Lever;
use FeastLadle\Vessel\VesselKind;

/** Reads one step of a recipe document. References to other steps are checked by FlowCheck. */
final readonly class StepReader
{
    private const KEYS = [
        'id',
        'process',
        'title',
        'say',
        'takes',
        'vessel',
        'flame',
        'time',
        'attention',
        'target',
        'leaving',
        'outputs',
        'pieces',
        'marks',
        'cues',
        'ties',
        'keeping',
        'once',
        'may',
        'loses',
        'when',
        'variants',
    ];

    private OutputReader $outputs;

    public function __construct(private Larder $larder, private ChosenWay $way, private Swaps $swaps)
    {
        $this->outputs = new OutputReader($larder);
    }

    public function step(Node $node): Step
    {
        $node->object(self::KEYS);
        foreach ($node->at('variants')->items(20) as $variant) {
            $this->variant($variant, $node->at('id')->text());
        }
        $node = $this->way->varied($node);
        $id = $node->at('id')->id();
        $process = $node->at('process')->enum(Process::class);
        $flame = $node->at('flame')->enum(Flame::class, Flame::None);
        $vessel = $this->vessel($node->at('vessel'));
        if (Flame::None !== $flame && (null === $vessel || !$vessel->kind->standsOnFire())) {
            $node->at('flame')->fault('A step on a flame needs a pot or a pan.');
        }
        $takes = (new TakesReader($this->larder, $this->way, $this->swaps))->read($node->at('takes'), $id);
        $loses = $node->at('loses')->string('', 200);
        $step = new Step(
            $id,
            $process,
            $node->at('title')->string(null, 120),
            new StepWords($node->at('say')->string('', 1000), $this->cues($node->at('cues')), $this->marks($node->at('marks'))),
            $takes,
            $this->ties($node->at('ties')),
            $vessel,
            new StepWork(
                $flame,
                $this->time($node->at('time'), $id),
                $this->attention($node->at('attention')),
                (new TargetReader($this->way))->read($node->at('target'), $id),
                $node->at('once')->bool(false),
            ),
            new StepYield(
                $this->leaving($node->at('leaving')),
                $this->pieces($node->at('pieces')),
                OutputReader::keeping($node->at('keeping')),
                $this->outputs->read($node->at('outputs')),
            ),
            $node->at('may')->bool(false) ? $loses : null,
        );
        (new TargetReader($this->way))->check($node, $step);

        return $step;
    }

    /** What a variant holds must be sound, whether or not this way takes it: nobody finds a fault in a way that is never chosen. */
    private function variant(Node $variant, string $id): void
    {
        $variant->object(array_values(array_diff(self::KEYS, ['id', 'variants'])));
        if (!$variant->has('when')) {
            $variant->at('when')->fault('This field is missing.');
        }
        $readers = [
            'process' => static fn (Node $n): Process => $n->enum(Process::class),
            'title' => static fn (Node $n): string => $n->string(null, 120),
            'say' => static fn (Node $n): string => $n->string('', 1000),
            'takes' => fn (Node $n): array => (new TakesReader($this->larder, $this->way, new Swaps($this->larder, [])))->read($n, $id),
            'vessel' => $this->vessel(...),
            'flame' => static fn (Node $n): Flame => $n->enum(Flame::class),
            'time' => fn (Node $n): StepTime => $this->time($n, $id),
            'attention' => $this->attention(...),
            'target' => fn (Node $n): Target => (new TargetReader($this->way))->read($n, $id),
            'leaving' => $this->leaving(...),
            'outputs' => $this->outputs->read(...),
            'pieces' => $this->pieces(...),
            'marks' => $this->marks(...),
            'cues' => $this->cues(...),
            'ties' => $this->ties(...),
            'keeping' => OutputReader::keeping(...),
            'once' => static fn (Node $n): bool => $n->bool(false),
            'may' => static fn (Node $n): bool => $n->bool(false),
            'loses' => static fn (Node $n): string => $n->string('', 200),
        ];
        foreach ($readers as $key => $read) {
            if ($variant->has($key)) {
                $read($variant->at($key));
            }
        }
    }

    /** @return list<Mark> */
    private function marks(Node $list): array
    {
        $marks = [];
        foreach ($list->items(20) as $node) {
            $node->object(['minute', 'sign', 'do', 'when']);
            $mark = new Mark(
                $node->has('minute') ? $node->at('minute')->int(0, 1440) : null,
                $node->at('sign')->string('', 200),
                $node->at('do')->string(null, 200),
            );
            if (null === $mark->minute && '' === $mark->sign) {
                $node->fault('A mark needs a minute or a sign.');
            }
            if ($this->way->holds($node)) {
                $marks[] = $mark;
            }
        }

        return $marks;
    }

    private function vessel(Node $node): ?VesselUse
    {
        if (!$node->exists()) {
            return null;
        }
        $node->object(['kind', 'continues', 'mostGrams']);
        $kind = $node->at('kind')->enum(VesselKind::class);
        $most = $node->has('mostGrams') ? $node->at('mostGrams')->number(50, 1_000_000) : null;

        return $node->has('continues') ? VesselUse::continued($kind, $node->at('continues')->id(), $most) : VesselUse::fresh($kind, $most);
    }

    private function time(Node $node, string $step): StepTime
    {
        $node->object(['grows', 'minutes', 'power', 'secondsEach', 'medium', 'load', 'between']);
        $growth = $node->at('grows')->enum(Growth::class);
        $growth->facts()->faultUnused($node, $growth);
        $needsMinutes = $growth->facts()->minutes;
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

        $dial = $this->way->factor($step, Lever::Time);

        return new StepTime(
            $growth,
            $dial * $three[0],
            $dial * $three[1],
            $dial * $three[2],
            $node->at('power')->number(0, 2, 1.0),
            $dial * $seconds,
            $node->at('medium')->enum(CoolingMedium::class, CoolingMedium::Air),
            $this->loads($node),
        );
    }

    /** What a tool takes at a time; a deep-fry finds it from its pan. */
    private function loads(Node $time): ?Loads
    {
        $load = $time->at('load');
        if (!$load->exists()) {
            return $time->has('between') ? Loads::asManyAsFit($time->at('between')->number(0, 240)) : null;
        }
        $load->object(['pieces', 'grams']);
        $between = $time->at('between')->number(0, 240, 0.0);

        return $load->has('pieces')
            ? Loads::pieces($load->at('pieces')->number(1, 10000), $between)
            : Loads::grams($load->at('grams')->number(1, 1_000_000), $between);
    }

    private function attention(Node $node): Attention
    {
        $node->object(['kind', 'percent', 'lookEvery', 'people', 'skill', 'turns']);
        $kind = $node->at('kind')->enum(AttentionKind::class);
        $percent = match ($kind) {
            // Whoever stirs can still glance at one simmering pot beside it, but never hold a second spoon;
            // 100 are closed minutes, in which not even that is possible.
            AttentionKind::Constant => $node->at('percent')->int(51, 100, 75),
            AttentionKind::None => 0,
            AttentionKind::Watch => $node->at('percent')->int(1, 99, 30),
        };

        return new Attention(
            $kind,
            $percent,
            $node->at('lookEvery')->int(0, 240, 0),
            AttentionKind::None === $kind ? 0 : $node->at('people')->int(1, 10, 1),
            $node->at('skill')->enum(Skill::class, Skill::Cook),
            $node->at('turns')->int(0, 240, 0),
        );
    }

    private function leaving(Node $node): Leaving
    {
        if ($node->exists()) {
            $node->object(['waterShare', 'fatUptake', 'waste', 'what', 'isWater']);
            if ($node->has('isWater') && !$node->has('waste')) {
                $node->at('isWater')->fault('Say how much of it: "waste" is missing.');
            }
        }

        return new Leaving(
            $node->at('waterShare')->number(0, 0.95, 0.0),
            $node->at('fatUptake')->number(0, 0.5, 0.0),
            $node->at('waste')->number(0, 0.9, 0.0),
            $node->at('what')->string('', 80),
            $node->at('isWater')->bool(false),
        );
    }

    private function pieces(Node $node): ?PieceMaking
    {
        if (!$node->exists()) {
            return null;
        }
        if ($node->has('holeMm')) {
            $node->object(['holeMm', 'fallMm', 'tools', 'gramsPerMl']);

            return (new HoledTool(
                $node->at('holeMm')->number(1, 30),
                $node->at('fallMm')->number(0, 1000, 0.0),
                $node->at('tools')->int(1, 10, 1),
                $node->at('gramsPerMl')->number(0.3, 2, HoledTool::BATTER),
            ))->pieces();
        }
        $node->object(['grams', 'widthMm']);

        return new PieceMaking($node->at('grams')->number(0.5, 2000), $node->at('widthMm')->number(3, 500));
    }

    /** @return list<Cue> */
    private function cues(Node $node): array
    {
        $cues = [];
        foreach ($node->items(20) as $cue) {
            $cue->object(['kind', 'sign', 'rescue', 'tasting', 'when']);
            $read = new Cue(
                $cue->at('kind')->enum(CueKind::class),
                $cue->at('sign')->string(null, 300),
                $cue->at('rescue')->string('', 300),
                $cue->at('tasting')->bool(false),
            );
            if ($this->way->holds($cue)) {
                $cues[] = $read;
            }
        }

        return $cues;
    }

    /** @return list<Tie> */
    private function ties(Node $list): array
    {
        $ties = [];
        foreach ($list->items(20) as $place => $node) {
            $tie = $this->tie($node, $place);
            if ($this->way->holds($node)) {
                $ties[] = $tie;
            }
        }

        return $ties;
    }

    private function tie(Node $node, int $place): Tie
    {
        $node->object(['after', 'min', 'max', 'why', 'when']);
        $min = $node->at('min')->int(0, 20160, 0);
        $max = $node->has('max') ? $node->at('max')->int(0, 20160) : null;
        if (null !== $max && $max < $min) {
            $node->at('max')->fault('The longest gap, {max} min, is shorter than the shortest, {min} min.', ['max' => $max, 'min' => $min]);
        }

        return new Tie($node->at('after')->id(), $min, $max, $node->at('why')->string('', 200), $place);
    }
}
