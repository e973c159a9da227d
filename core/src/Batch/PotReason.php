<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

/** Why a vessel was chosen. */
enum PotReason: string
{
    case Smallest = 'the smallest that holds the fullest moment';
    case Widest = 'the widest base that fits: water leaves faster';
    case MostAtOnce = 'takes the most at once';
    case YourWish = 'your own choice';
    case Several = 'shared over several, as none holds it all';
}
