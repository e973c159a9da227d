<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Recipe\Skill;

final readonly class Person
{
    public function __construct(public string $id, public string $name, public Skill $skill)
    {
    }
}
