<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Recipe\Process;

/** Something that was begun on its own: what is in it, where it stands, and by which words the telling comes back to it. */
final class Stream
{
    /** its last step */
    public ?int $last = null;

    /** @var list<string> ingredient ids that went in */
    public array $holds = [];

    public bool $isHot = false;

    /** its fire was put out, and it is still hot */
    public bool $isOff = false;

    public bool $isOpen = true;

    /** balls, slices, a dough: what cooks next beside it is another pot */
    public bool $isSolid = false;

    /** @param list<string> $names words by which it is named */
    public function __construct(public readonly int $id, public array $names = [])
    {
    }

    public function went(int $step, Process $process): void
    {
        $this->last = $step;
        $this->isOff = false;
        $this->isSolid = \in_array($process, [Process::Shape, Process::Cut, Process::Knead], true);
        $facts = $process->facts();
        array_push($this->names, ...$facts->becomes, ...match ($process) {
            Process::Shape => ['balls', 'rings', 'twists', 'discs', 'cakes', 'parcels'],
            Process::Rest, Process::Knead => ['batter', 'dough'],
            Process::Cut => ['slices', 'strips', 'triangles', 'coins', 'diamonds', 'cubes', 'fingers'],
            default => [],
        });
        $this->isHot = match ($process) {
            Process::Cool, Process::Chill, Process::Soak, Process::Rinse, Process::Drain, Process::Grind, Process::Knead, Process::Prepare,
            Process::Sieve, Process::Rest, Process::Dry, Process::Cut, Process::Shape => false,
            default => 'none' !== $facts->flame->value || $this->isHot,
        };
    }
}
