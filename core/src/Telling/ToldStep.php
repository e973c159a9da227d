<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** A step as it was told; what was not said is null. It is filled while the telling goes on. */
final class ToldStep
{
    /** @var list<ToldAmount> */
    public array $amounts = [];

    /** @var list<int> numbers of the steps whose result goes in, in order */
    public array $sources = [];

    /** @var array{float, float}|null least and most */
    public ?array $minutes = null;

    public ?Flame $flame = null;

    public ?VesselKind $vessel = null;

    public ?AttentionKind $attention = null;

    public ?Stage $stage = null;

    public ?float $celsius = null;

    public ?float $releases = null;

    /** @var list<ToldSign> */
    public array $signs = [];

    /** @var list<string> warnings, in the words of the telling */
    public array $cautions = [];

    /** whether it was told as stirring, in a pot that cooks */
    public bool $isStirred = false;

    /** @var array{int, int}|null tokens of its time */
    public ?array $timeAt = null;

    /**
     * @param int $stream   which thing begun on its own it belongs to
     * @param int $sentence of the telling
     * @param int $first    token where it begins
     * @param int $next     token behind it
     */
    public function __construct(public Process $process, public int $stream, public int $sentence, public int $first, public int $next)
    {
    }

    public function covers(int $first, int $next): void
    {
        $this->first = min($this->first, $first);
        $this->next = max($this->next, $next);
    }

    public function holds(string $thing): bool
    {
        foreach ($this->amounts as $amount) {
            if ($thing === $amount->thing?->id) {
                return true;
            }
        }

        return false;
    }
}
