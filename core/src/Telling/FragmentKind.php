<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What a piece of a sentence is for. */
enum FragmentKind
{
    /** something is done */
    case Work;
    /** things, amounts, times, fires by themselves */
    case Bare;
    case Done;
    case OnTheWay;
    case Wrong;
    /** a warning: no step */
    case Caution;
    /** what others do, a memory, a claim: no step */
    case Aside;
    /** what may be taken instead */
    case Alternative;

    public function isSign(): bool
    {
        return self::Done === $this || self::OnTheWay === $this || self::Wrong === $this;
    }

    /** Whether what is named in it goes into a pot. */
    public function counts(): bool
    {
        return self::Work === $this || self::Bare === $this;
    }
}
