<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Schools\ChosenWay;
use FeastLadle\Words\Unknown;

/**
 * A recipe as a flow of steps, in an order in which every step stands after those it takes from, read by one way of its
 * schools and dials.
 */
final readonly class Recipe
{
    /**
     * @param array<string, Step> $steps       by id, in flow order
     * @param string              $lastStep    the one whose output is the dish
     * @param Portion             $portion     a usual portion for a grown-up
     * @param int                 $keepMinutes how long the finished dish may wait for its guests
     * @param string              $origin      whose way it is
     * @param array<string, self> $bases       recipes it takes from, by slug
     * @param Base|null           $base        set when others take from it
     * @param list<Swap>          $swaps       what was replaced for a guest who does without
     * @param OtherWay|null       $otherWay    schools that were chosen by themselves, as what was replaced asks for them
     */
    public function __construct(
        public string $slug,
        public string $name,
        public string $summary,
        public ServingWay $serving,
        public Portion $portion,
        public int $keepMinutes,
        public array $steps,
        public string $lastStep,
        public ChosenWay $way,
        public string $origin = '',
        public array $bases = [],
        public ?Base $base = null,
        public array $swaps = [],
        public EatingWay $eaten = EatingWay::Spooned,
        public ?OtherWay $otherWay = null,
    ) {
    }

    /**
     * The same without steps that may be left out.
     *
     * @param list<string>        $ids
     * @param array<string, Step> $steps what is left, in flow order
     * @param array<string, self> $bases what is still taken from
     */
    public function leaving(array $ids, array $steps, array $bases): self
    {
        return $this->with($steps, $this->way->by($this->way->choices->leaving($ids)), $bases, $this->otherWay);
    }

    public function byOtherWay(OtherWay $otherWay): self
    {
        return $this->with($this->steps, $this->way, $this->bases, $otherWay);
    }

    /**
     * @param array<string, Step> $steps
     * @param array<string, self> $bases
     */
    private function with(array $steps, ChosenWay $way, array $bases, ?OtherWay $otherWay): self
    {
        return new self(
            $this->slug,
            $this->name,
            $this->summary,
            $this->serving,
            $this->portion,
            $this->keepMinutes,
            $steps,
            $this->lastStep,
            $way,
            $this->origin,
            $bases,
            $this->base,
            $this->swaps,
            $this->eaten,
            $otherWay,
        );
    }

    public function step(string $id): Step
    {
        return $this->steps[$id] ?? throw new Unknown(\sprintf('The recipe "%s" has no step "%s".', $this->slug, $id));
    }

    public function last(): Step
    {
        return $this->step($this->lastStep);
    }

    /**
     * Whether it is the same work as another reading of the recipe: same steps, minutes, hands, vessels and fires, whatever
     * goes into the bowls.
     */
    public function isWorkedLike(self $other): bool
    {
        $work = static fn (Step $s): array => [
            $s->process,
            $s->vessel,
            $s->work->flame,
            $s->work->time,
            $s->work->attention,
            $s->work->target->kind,
            $s->work->target->value,
            $s->ties,
            $s->gives->keeping,
            $s->work->once,
            $s->sources(),
        ];

        // @phpstan-ignore equal.notAllowed (values are compared, not objects)
        return array_map($work, $this->steps) == array_map($work, $other->steps);
    }

    /** How the finished dish is kept: as its last step says, or the one before it that says anything. */
    public function keptAs(): ?Keeping
    {
        $step = $this->last();
        for ($left = \count($this->steps); $left > 0; --$left) {
            $source = $step->takes[0]->fromStep ?? null;
            if (null !== $step->gives->keeping || null === $source || !isset($this->steps[$source])) {
                break;
            }
            $step = $this->steps[$source];
        }

        return $step->gives->keeping;
    }

    /** Whether a base that it takes is bought, not made. */
    public function buys(string $base): bool
    {
        return \in_array($base, $this->way->choices->bought, true) && null !== $this->bases[$base]->base?->bought;
    }
}
