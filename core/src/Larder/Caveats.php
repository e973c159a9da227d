<?php

declare(strict_types=1);

namespace FeastLadle\Larder;

/** For whom a thing is not, and what can hurt in it, whatever is done with it. */
final readonly class Caveats
{
    /**
     * @param list<string> $allergens
     * @param list<Danger> $hazards
     */
    public function __construct(public array $allergens, public Origin $diet, public array $hazards)
    {
    }
}
