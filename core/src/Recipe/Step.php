<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;

/** One step of the flow. */
final readonly class Step
{
    /**
     * @param list<Take>            $takes   in the order in which they enter
     * @param list<Cue>             $cues
     * @param list<Tie>             $ties
     * @param bool                  $once    done once for the whole dish, however many batches it is cooked in
     * @param array<string, Output> $outputs by id; empty when it gives one thing
     * @param list<Mark>            $marks   what is to be done inside it
     * @param bool                  $may     it can be left out when there is no time
     * @param string                $loses   what the sweet goes without then
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
        public array $outputs = [],
        public array $marks = [],
        public bool $may = false,
        public string $loses = '',
    ) {
    }

    /**
     * @param list<Take> $takes
     * @param list<Tie>  $ties
     */
    public function with(array $takes, array $ties, ?VesselUse $vessel): self
    {
        return new self(
            $this->id,
            $this->process,
            $this->title,
            $this->say,
            $takes,
            $vessel,
            $this->flame,
            $this->time,
            $this->attention,
            $this->target,
            $this->leaving,
            $this->pieces,
            $this->cues,
            $ties,
            $this->keeping,
            $this->once,
            $this->outputs,
            $this->marks,
            $this->may,
            $this->loses,
        );
    }

    /** @return list<string> ids of the steps whose output this one takes, each once */
    public function sources(): array
    {
        $sources = [];
        foreach ($this->takes as $take) {
            if (null !== $take->fromStep && !\in_array($take->fromStep, $sources, true)) {
                $sources[] = $take->fromStep;
            }
        }

        return $sources;
    }

    /** @return list<string> slugs of the bases it takes */
    public function bases(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (Take $t): ?string => $t->base, $this->takes))));
    }

    /** The fat a deep-fry stands in, or null. */
    public function fryingFat(): ?Take
    {
        foreach ($this->takes as $take) {
            if (null !== $take->fatDepthMm) {
                return $take;
            }
        }

        return null;
    }
}
