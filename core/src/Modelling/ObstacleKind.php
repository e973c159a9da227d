<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

/** What binds where something cannot be, or cannot be in time. */
enum ObstacleKind: string
{
    case Window = 'window';
    case Fire = 'fire';
    case Vessel = 'vessel';
    case Hands = 'hands';
    case Clock = 'clock';
    case Stage = 'stage';
    case Heat = 'heat';
    case Tool = 'tool';
    case Space = 'space';
}
