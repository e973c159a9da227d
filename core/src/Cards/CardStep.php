<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Batch\SteamWater;
use FeastLadle\Recipe\Step;

/** The bowls that enter at one step, and what must stand ready before it. */
final readonly class CardStep
{
    /**
     * @param list<CardBowl>  $bowls
     * @param SteamWater|null $steamWater under the rack, where it steams
     */
    public function __construct(public Step $step, public array $bowls, public ?Ready $ready, public ?SteamWater $steamWater = null)
    {
    }
}
