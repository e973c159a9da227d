<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What one of several outputs is of all that is there. */
enum OutputKind: string
{
    /** A share of everything alike. */
    case Share = 'share';
    /** What came in pieces, lifted out of what it was fried, dipped or cooked in. */
    case Pieces = 'pieces';
    /** All that does not flow, with the water that grain and pulse hold. */
    case Solids = 'solids';
    /** What stays when pieces or solids are out. */
    case Rest = 'rest';

    public function isLifted(): bool
    {
        return self::Pieces === $this || self::Solids === $this;
    }
}
