<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;

/** One step of the flow. */
final readonly class Step
{
    /**
     * @param list<Take> $takes in the order in which they enter
     * @param list<Cue>  $cues
     * @param list<Tie>  $ties
     * @param bool       $once  done once for the whole dish, however many batches it is cooked in
     */
    public function __construct(
        public string $id,
        public Process $process,
        public string $title,
        public string $say,
        public array $takes,
        public ?VesselUse $vessel,
        public Flame $flame,
        public StepTime $time,
        public Attention $attention,
        public Target $target,
        public Leaving $leaving,
        public ?PieceMaking $pieces,
        public array $cues,
        public array $ties,
        public ?Keeping $keeping,
        public bool $once,
    ) {
    }

    /** @return list<string> ids of the steps whose output this one takes */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->takes as $take) {
            if (null !== $take->fromStep) {
                $sources[] = $take->fromStep;
            }
        }

        return $sources;
    }
}
