<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

enum SolutionStatus: string
{
    case Feasible = 'feasible';
    /** Proven. */
    case Infeasible = 'infeasible';
    case Unknown = 'unknown';
}
