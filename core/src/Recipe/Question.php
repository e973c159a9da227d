<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What is asked of a step besides its bowls, its time, its signs and its ties, which are asked of every one. */
enum Question: string
{
    case Vessel = 'vessel';
    case Flame = 'flame';
    case Target = 'target';
    case Pieces = 'pieces';
    case Load = 'load';
    case FryingFat = 'frying-fat';
    case Outputs = 'outputs';
    case Waste = 'waste';
    case Steam = 'steam';
    case Turns = 'turns';
    case Marks = 'marks';
}
