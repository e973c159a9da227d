<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** How much of a person a step wants. */
enum AttentionKind: string
{
    /** Never leave it. */
    case Constant = 'constant';
    /** Look in every few minutes. */
    case Watch = 'watch';
    /** It needs nobody. */
    case None = 'none';
}
