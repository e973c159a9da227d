<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** By what a step's time grows. */
enum Growth: string
{
    /** The same for any amount. */
    case Fixed = 'fixed';
    /** The sooner the warmer it is: minutes at 25 °C, for what soaks, rises or sours. */
    case Warmth = 'warmth';
    /** With the mass in the vessel, to a power. */
    case Mass = 'mass';
    /** Seconds for each piece, shared by the people at it. */
    case Piece = 'piece';
    /** Minutes for each panful. */
    case Load = 'load';
    /** Law: bring to a temperature on this fire in this pot. */
    case WarmUp = 'warm-up';
    /** Law: boil water off on this fire in this pot, warming up included. */
    case BoilOff = 'boil-off';
    /** Law: heat, dry and brown a load. */
    case Roast = 'roast';
    /** Law: cool to a temperature in this vessel. */
    case Cooling = 'cooling';

    public function facts(): GrowthFacts
    {
        return GrowthFacts::of($this);
    }
}
