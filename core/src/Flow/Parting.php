<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Output;
use FeastLadle\Recipe\OutputKind;

/** What is lifted out and what stays behind: each gram of what there was is in one of them. */
final class Parting
{
    /** Shares from which a thing flows, and the weight of a cup of it below which it lies loose; kitchen estimates. */
    private const SUGAR = 0.8;
    private const WATER = 0.5;
    private const LIQUID_DENSITY = 0.95;

    /**
     * @param list<Output> $outputs one that is lifted out, and the rest
     * @param Contents     $all     what is there at the end of the step
     * @param Contents     $pieces  of what went in, that which came in pieces
     *
     * @return array<string, Contents> by id
     */
    public static function of(array $outputs, Contents $all, Contents $pieces, Larder $larder): array
    {
        $apart = [];
        $stays = $all;
        foreach ($outputs as $output) {
            if (!$output->kind->isLifted()) {
                continue;
            }
            $own = OutputKind::Pieces === $output->kind ? self::piecesIn($all, $pieces, $larder) : self::solidsIn($all, $larder);
            $rest = $all->minus($own);
            $drunk = min($rest->massGrams(), $output->drinks * $own->massGrams());
            $lifted = $own->plus($rest->share($drunk / max(1e-9, $rest->massGrams())), $larder)->withCelsius($all->celsius);
            $apart[$output->id] = $lifted;
            $stays = $all->minus($lifted)->withPieces(0.0);
        }
        foreach ($outputs as $output) {
            if (OutputKind::Rest === $output->kind) {
                $apart[$output->id] = $stays;
            }
        }

        return $apart;
    }

    /** The pieces as they are now: steam that left came out of the liquid first. */
    private static function piecesIn(Contents $all, Contents $pieces, Larder $larder): Contents
    {
        $liquid = max(0.0, $all->minus($pieces)->waterGrams($larder) + $all->waterOff - $pieces->waterOff);
        $lost = max(0.0, $all->waterOff - $pieces->waterOff - $liquid);

        return $pieces->withWaterOff($lost)->withCelsius($all->celsius);
    }

    private static function solidsIn(Contents $all, Larder $larder): Contents
    {
        $solid = $flowing = Contents::nothing();
        foreach ($all->grams as $id => $grams) {
            $part = Contents::of($id, $grams, $all->celsius);
            if (self::flows($larder->get($id))) {
                $flowing = $flowing->plus($part, $larder);
            } else {
                $solid = $solid->plus($part, $larder);
            }
        }
        $free = max(0.0, $flowing->waterGrams($larder) - $all->waterOff);
        // Steam comes from what flows; what is fried in fat loses its own water.
        $solid = $solid->withWaterOff(max(0.0, $all->waterOff - $flowing->waterGrams($larder)))->withCelsius($all->celsius);
        $held = min($free, max(0.0, $solid->canHoldWaterGrams($larder) - $solid->waterGrams($larder)));
        $wet = $flowing->withWaterOff($all->waterOff - $solid->waterOff);
        $absorbs = self::watery($wet, $larder);

        return $held <= 0.0 || $absorbs->massGrams() <= 0.0
            ? $solid->withPieces($all->pieces)
            : $solid->plus($absorbs->share(min(1.0, $held / max(1e-9, $absorbs->waterGrams($larder)))), $larder)->withPieces($all->pieces);
    }

    /** What of the flowing part grain drinks: all but the fat. */
    private static function watery(Contents $flowing, Larder $larder): Contents
    {
        $watery = Contents::nothing();
        foreach ($flowing->grams as $id => $grams) {
            if (!$larder->get($id)->composition->isFat()) {
                $watery = $watery->plus(Contents::of($id, $grams, $flowing->celsius), $larder);
            }
        }

        return $watery->withWaterOff($flowing->waterOff);
    }

    private static function flows(Ingredient $ingredient): bool
    {
        $of = $ingredient->composition;

        return $of->isFat()
            || $of->sugar >= self::SUGAR
            || ($of->water >= self::WATER && $ingredient->weights->bulkDensity >= self::LIQUID_DENSITY);
    }
}
