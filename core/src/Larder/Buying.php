<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** How, where and when a thing is to be had. */
final readonly class Buying
{
    /**
     * @param list<int> $season   months in which it is to be had; empty: always
     * @param int       $leadDays days ahead it has to be asked for
     */
    public function __construct(public Pack $pack, public BuyingPlace $from, public array $season, public int $leadDays)
    {
    }
}
