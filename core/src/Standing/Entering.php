<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Flow\Contents;
use FeastLadle\Recipe\Take;
use FeastLadle\Words\Sentence;

/** One thing that goes into a round of a step. */
final readonly class Entering
{
    /**
     * @param Contents          $what    grams of this round, as warm as it enters; of a reserve all that stands by
     * @param StandingStep|null $from    the round of another step that it comes from
     * @param Sentence|null     $amount  as it is measured; null where it is not
     * @param bool              $reserve stands by; half of it is reckoned with
     * @param bool              $topUp   fat that makes up for what the pieces drink
     */
    public function __construct(
        public Take $take,
        public Contents $what,
        public ?StandingStep $from = null,
        public ?Sentence $amount = null,
        public bool $reserve = false,
        public bool $topUp = false,
    ) {
    }
}
