<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** One step of the flow. */
final readonly class Step
{
    /**
     * @param list<Take>  $takes          in the order in which they enter
     * @param list<Tie>   $ties
     * @param string|null $losesIfLeftOut what the sweet goes without when there is no time for it; null: it has to be done
     */
    public function __construct(
        public string $id,
        public Process $process,
        public string $title,
        public StepWords $words,
        public array $takes,
        public array $ties,
        public ?VesselUse $vessel,
        public StepWork $work,
        public StepYield $gives,
        public ?string $losesIfLeftOut = null,
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
            $this->words,
            $takes,
            $ties,
            $vessel,
            $this->work,
            $this->gives,
            $this->losesIfLeftOut,
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
