<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Roast;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\SugarRise;
use FeastLadle\Vessel\FillLimits;

/**
 * The ledger of contents: follows a recipe step by step at a given size, and says what enters, leaves and stands in each
 * vessel. A recipe grown by k in n equal batches takes base × (k/n)^e in each; a step done once serves all n.
 */
final readonly class Ledger
{
    /** Of a reserve bowl about half goes in, until the log knows better. */
    public const RESERVE_USED = 0.5;

    /** @param array<string, StepFlow> $flows by step id */
    private function __construct(public array $flows, private string $lastStep, public int $batches)
    {
    }

    /**
     * @param float                 $factor how many times the recipe as written, over all batches
     * @param array<string, float>  $steam  how many times the recipe's own boil-away goes off in a step here, by step id; 1
     *                                      where nothing is said
     * @param array<string, Really> $really what happened in a step beside that, by step id
     */
    public static function follow(
        Recipe $recipe,
        Larder $larder,
        float $factor,
        int $batches,
        Climate $climate,
        array $steam = [],
        array $really = [],
    ): self {
        [$roomCelsius, $boilingCelsius] = [$climate->roomCelsius, $climate->boilingCelsius()];
        $flows = [];
        foreach ($recipe->steps as $step) {
            $times = $step->work->once ? $batches : 1;
            $taken = Contents::nothing();
            $bowls = [];
            $bases = [];
            $spare = 0.0;
            $boilsOff = 0.0;
            $pieces = Contents::nothing();
            foreach ($step->takes as $take) {
                if (null !== $take->fromStep) {
                    $source = $flows[$take->fromStep];
                    $perBatch =
                        $source->step->work->times($batches) / $step->work->times($batches);
                    $from = $source->given($take->output)->share($take->share * $perBatch);
                    $pieces = $from->pieces > 0 ? $pieces->plus($from, $larder) : $pieces;
                    $taken = $taken->plus($from, $larder);
                } elseif (null !== $take->base) {
                    $grams = (($take->grams * $factor) / $batches) * $times;
                    $taken = $taken->plus(self::fromBase($recipe, $take->base, $grams, $larder, $climate), $larder);
                    if ($recipe->buys($take->base)) {
                        $base = $recipe->bases[$take->base]->base;
                        $bowls[] = new Bowl((string) $base?->bought, $grams * ($base->ratio ?? 1.0), $take->how, manner: $take->manner);
                    } else {
                        $bases[$take->base] = ($bases[$take->base] ?? 0.0) + $grams;
                    }
                } elseif (null === $take->fatDepthMm && null !== $take->ingredient) {
                    $grown = ($factor / $batches) ** $take->exponent * $times;
                    $away = $take->boilsOff * ($steam[$step->id] ?? 1.0);
                    $grams = ($take->grams - $take->boilsOff) * $grown + $away;
                    $boilsOff += $away;
                    $taken = $taken->plus(
                        Contents::of($take->ingredient, $grams + self::RESERVE_USED * $take->reserve * $grown, $roomCelsius),
                        $larder,
                    );
                    $spare += (1 - self::RESERVE_USED) * $take->reserve * $grown * $larder->get($take->ingredient)->weights->potMl;
                    $bowls[] = new Bowl(
                        $take->ingredient,
                        $grams,
                        $take->how,
                        $take->reserve * $grown,
                        $take->grams,
                        $take->exponent,
                        $away,
                        $take->boilsOff,
                        $take->manner,
                    );
                }
            }
            $happened = $really[$step->id] ?? null;
            $taken = $happened?->in($taken, $roomCelsius, $larder) ?? $taken;
            $width = $step->gives->pieces?->widthMm;
            foreach ($step->sources() as $source) {
                $width ??= $flows[$source]->pieceWidthMm;
            }
            $soaked = Process::Soak === $step->process ? array_keys($taken->grams) : [];
            foreach ($step->sources() as $source) {
                $soaked = [...$soaked, ...$flows[$source]->soaked];
            }
            $wasSoft = [] !== array_filter($step->sources(), static fn (string $source): bool => $flows[$source]->isSoft);
            $flows[$step->id] = self::through(
                $step,
                $taken,
                $bowls,
                $bases,
                $spare,
                $boilsOff,
                $pieces,
                $wasSoft,
                $width,
                array_values(array_unique($soaked)),
                $larder,
                $roomCelsius,
                $boilingCelsius,
                $happened,
            );
        }

        return new self($flows, $recipe->lastStep, $batches);
    }

    /** Some of the output of a recipe that this one takes from, home-made or bought. */
    public static function fromBase(Recipe $recipe, string $slug, float $grams, Larder $larder, Climate $climate): Contents
    {
        $base = $recipe->bases[$slug];
        if ($recipe->buys($slug) && null !== $base->base?->bought) {
            return Contents::of($base->base->bought, $grams * $base->base->ratio, $climate->roomCelsius);
        }
        $made = self::follow($base, $larder, 1.0, 1, $climate)->flows[$base->lastStep]->gives;

        return $made
            ->share($grams / max(1e-9, $made->massGrams()))
            ->withCelsius($climate->roomCelsius)
            ->withPieces(0.0);
    }

    /**
     * @param list<Bowl>           $bowls
     * @param array<string, float> $bases
     * @param float                $spareMl  what may come on top from reserve bowls
     * @param float                $boilsOff grams of water that leave on this fire whatever the amount
     * @param Contents             $pieces   of all that is taken, what comes in pieces
     * @param bool                 $wasSoft  whether its grain was cooked soft before
     * @param float|null           $widthMm  how wide its pieces lie
     * @param list<string>         $soaked   what of it has lain in water
     */
    private static function through(
        Step $step,
        Contents $taken,
        array $bowls,
        array $bases,
        float $spareMl,
        float $boilsOff,
        Contents $pieces,
        bool $wasSoft,
        ?float $widthMm,
        array $soaked,
        Larder $larder,
        float $room,
        float $boiling,
        ?Really $really,
    ): StepFlow {
        $waterOff = max(
            0.0,
            min(
                $taken->waterGrams($larder),
                match ($step->work->target->kind) {
                    TargetKind::VolumeTo, TargetKind::VolumeBy => $taken->waterToVolumeShare(
                        $step->work->target->volumeShare() ?? 1.0,
                        $larder,
                    ),
                    TargetKind::WaterOff => $taken->massGrams() * $step->work->target->value,
                    TargetKind::Stage => null === $step->work->target->stage
                        ? 0.0
                        : $taken->waterGrams($larder) -
                            SugarRise::waterLeftGrams(
                                $taken->syrupSolidsGrams($larder),
                                $step->work->target->stage->aimRise() / $taken->riseFactor($larder),
                            ),
                    default => 0.0,
                },
            ),
        );
        $waterOff = max($waterOff, min($taken->waterGrams($larder), $taken->massGrams() * $step->gives->leaving->waterShare));
        $waterOff = max($waterOff, min($taken->waterGrams($larder), $boilsOff));
        $waterOff = $really?->waterOff($taken, $larder) ?? $waterOff;
        $wasteShare = $step->gives->leaving->waste;
        $poured = Process::Drain === $step->process ? max(0.0, $taken->waterGrams($larder) - $taken->heldWaterGrams($larder)) : 0.0;
        $gives = $taken->withWaterOff($waterOff + $poured);
        $pressed = $step->gives->leaving->isWater ? min($gives->waterGrams($larder), $wasteShare * $gives->massGrams()) : 0.0;
        $wasteShare = $step->gives->leaving->isWater ? 0.0 : $wasteShare;
        $waste = $poured + $pressed + $wasteShare * $gives->massGrams();
        $gives = $gives->withWaterOff($pressed)->share(1 - $wasteShare);
        $gives = $really?->out($gives, Flame::None !== $step->work->flame, $larder) ?? $gives;
        $drunk = 0.0;
        foreach ($step->takes as $take) {
            if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                $drunk = $taken->massGrams() * $step->gives->leaving->fatUptake;
                $gives = $gives->plus(Contents::of($take->ingredient, $drunk, $gives->celsius), $larder)->withPieces($taken->pieces);
            }
        }
        // A fry only says how wide its pieces lie; their number stays.
        if (null !== $step->gives->pieces && !$step->process->friesInFat()) {
            $gives = $gives->withPieces($gives->massGrams() / $step->gives->pieces->grams);
        }
        // What splits at the boil is led below it; in a crust or a stiff mass it no longer matters.
        $most = $step->process->facts()->isThin() ? $taken->splitsAbove($larder) ?? \INF : \INF;
        $peak = min($most, self::peakCelsius($step, $taken, $boiling));
        $end = match (true) {
            TargetKind::Celsius === $step->work->target->kind => min($most, $step->work->target->value),
            Flame::None !== $step->work->flame => $peak,
            $step->process->facts()->coolsToRoom => $room,
            default => $taken->celsius,
        };
        // During a fry only a load at a time is in the pan; the pot chooser adds fat and load.
        $atATime = $step->work->time->loads?->share($taken->massGrams(), max($taken->pieces, $gives->pieces)) ?? 1.0;
        $all = $taken->hotVolumeMl($larder, max($peak, $taken->celsius)) + $spareMl;
        $fullest = match ($step->process) {
            Process::DeepFry, Process::ShallowFry => 0.0,
            // The syrup stands there whole; only the pieces come by the load.
            Process::Dunk => $all - (1 - $atATime) * $pieces->volumeMl($larder),
            default => $atATime * $all,
        };
        $gives = $gives->withCelsius($end);
        $outputs = [];
        $apart = Parting::of(array_values($step->gives->outputs), $gives, $pieces, $larder);
        foreach ($step->gives->outputs as $output) {
            $part = $apart[$output->id] ?? $gives->share($output->share);
            $outputs[$output->id] = null === $output->as ? $part : Contents::of($output->as, $part->massGrams(), $end);
            $waste += $output->waste ? $part->massGrams() : 0.0;
        }

        $softens = !$wasSoft && $step->process->facts()->softens && $taken->holdsGrain($larder);

        return new StepFlow(
            $step,
            $taken,
            $gives,
            $waterOff,
            $drunk,
            $fullest,
            $bowls,
            $outputs,
            $bases,
            $waste,
            max($peak, $taken->celsius),
            $softens,
            $wasSoft || $softens || $step->process->facts()->cooksThrough,
            $widthMm,
            $soaked,
            $really,
        );
    }

    private static function peakCelsius(Step $step, Contents $taken, float $boiling): float
    {
        if (Flame::None === $step->work->flame) {
            return $taken->celsius;
        }
        if (TargetKind::Celsius === $step->work->target->kind) {
            return $step->work->target->value;
        }

        if (null !== $step->work->target->stage) {
            return $boiling + $step->work->target->stage->aimRise();
        }

        $facts = $step->process->facts();

        return match (true) {
            // A piece is brown outside; its inside is that of the law of frying.
            $facts->browns && $facts->cooksThrough => Frying::INSIDE_CELSIUS,
            $facts->browns => Roast::TO_CELSIUS,
            default => $boiling,
        };
    }

    public function flow(string $step): StepFlow
    {
        return $this->flows[$step];
    }

    /** Grams of the finished dish over all batches. */
    public function yieldGrams(): float
    {
        return $this->overAllBatches($this->flows[$this->lastStep]->gives->massGrams());
    }

    /** Pieces of the finished dish over all batches, not yet rounded down. */
    public function yieldPieces(): float
    {
        return $this->overAllBatches($this->flows[$this->lastStep]->gives->pieces);
    }

    private function overAllBatches(float $amount): float
    {
        return $amount * $this->flows[$this->lastStep]->step->work->times($this->batches);
    }

    /**
     * What it takes of other recipes, over all batches.
     *
     * @return array<string, float> grams by slug
     */
    public function bases(): array
    {
        $bases = [];
        foreach ($this->flows as $flow) {
            foreach ($flow->bases as $slug => $grams) {
                $bases[$slug] = ($bases[$slug] ?? 0.0) + $grams * $flow->step->work->times($this->batches);
            }
        }

        return $bases;
    }

    /** @return list<VesselRun> in flow order */
    public function runs(FillLimits $limits = new FillLimits()): array
    {
        /** @var array<string, non-empty-list<StepFlow>> $chains */
        $chains = [];
        /** @var array<string, string> $chainOf */
        $chainOf = [];
        foreach ($this->flows as $id => $flow) {
            if (null === $flow->step->vessel) {
                continue;
            }
            $first = null === $flow->step->vessel->continues ? $id : $chainOf[$flow->step->vessel->continues];
            $chainOf[$id] = $first;
            $chains[$first][] = $flow;
        }

        return array_values(array_map(static fn (array $flows): VesselRun => VesselRun::of($flows, $limits), $chains));
    }
}
