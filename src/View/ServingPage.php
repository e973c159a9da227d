<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Day\Adjusting;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Heard;
use FeastLadle\Day\MomentNow;
use FeastLadle\Feast\Moment;
use FeastLadle\Feast\MomentKind;
use FeastLadle\Larder\Larder;

/** What is served now: how each tray goes, who is still to come, and what a pot lacks once it may be tasted. */
final readonly class ServingPage
{
    /** Trays are carried out so long before. */
    private const BEFORE = '+15 minutes';

    public function __construct(private Larder $larder)
    {
    }

    /** @return array<string, mixed> */
    public function of(DayState $state, Heard $heard): array
    {
        // Where they are now.
        $moments = array_map(static fn (MomentNow $m): Moment => $m->chance->moment, $state->moments);
        $serving = array_values(array_filter(
            $moments,
            static fn (Moment $m): bool => MomentKind::Sitting === $m->kind && $m->at <= $state->at->modify(self::BEFORE),
        ));
        $waits = array_filter(
            $moments,
            static fn (Moment $m): bool => MomentKind::Offering === $m->kind && !isset($heard->offered[$m->id]),
        );

        return [
            'serving' => $serving,
            'rows' => $this->rows($state),
            'adjust' => [] === $waits ? $this->adjust($state) : [],
        ];
    }

    /** @return list<array<string, mixed>> */
    private function rows(DayState $state): array
    {
        $rows = [];
        foreach ($state->portions as $portion) {
            $dish = $state->plan->quantities->dishes[$portion->dish]->dish;
            $digits = $portion->countsPieces ? 1 : 0;
            $rows[] = [
                'id' => $dish->id,
                'letter' => $dish->letter,
                'name' => $dish->recipe->name,
                'pieces' => $portion->countsPieces,
                'share' => (int) floor(100 * $portion->share()),
                'ladle' => $portion->ladle,
                'chance' => (int) floor(100 * ($portion->ladle->chance ?? 0.0)),
                'each' => round($portion->ladle->each ?? 0.0, $digits),
                'left' => floor(10 ** $digits * ($portion->ladle->eachFromNow ?? 0.0)) / 10 ** $digits,
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function adjust(DayState $state): array
    {
        $ways = [];
        $adjusting = new Adjusting($this->larder);
        foreach ($state->holds as $hold) {
            $dish = $hold->held->last->planned->dish->dish;
            foreach ($dish->isBase ? [] : $adjusting->of($hold->held->last->gives) as $what => [$thing, $grams]) {
                $ways[$dish->id.$what] = [
                    'dish' => $dish->id,
                    'name' => $dish->recipe->name,
                    'what' => $what,
                    'ingredient' => $thing,
                    'thing' => $this->larder->get($thing)->name,
                    'grams' => $grams,
                    'rounded' => (int) round($grams),
                ];
            }
        }

        return array_values($ways);
    }
}
