<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

/** All laws by name. */
final class LawBook
{
    /** @return array<string, Law> */
    public static function all(): array
    {
        $laws = [];
        foreach (
            [
                ...AmountLaws::all(),
                ...VesselLaws::all(),
                ...HeatLaws::all(),
                ...CoolingAndFryingLaws::all(),
                ...SyrupLaws::all(),
                ...TrayAndHoldingLaws::all(),
                ...KitchenWorkLaws::all(),
            ] as $law
        ) {
            $laws[$law->name] = $law;
        }

        return $laws;
    }
}
