<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** Whether the last who come still get some, from what those before them took. */
final readonly class LastLadle
{
    /** How much one differs from another in what they take, as a share of it; kitchen estimate. */
    private const DIFFER = 0.5;

    /**
     * @param int                     $served      guests so far
     * @param int                     $toCome      who have not eaten yet
     * @param float                   $left        grams or pieces
     * @param float                   $each        was taken a head so far
     * @param float                   $eachFromNow that lasts for all who come
     * @param float                   $chance      that it lasts when they take as those before them
     * @param \DateTimeImmutable|null $spareBy     when a batch that stands ready to be cooked has to begin at the latest
     */
    private function __construct(
        public string $moment,
        public int $served,
        public int $toCome,
        public float $left,
        public float $each,
        public float $eachFromNow,
        public float $chance,
        public ?\DateTimeImmutable $spareBy,
    ) {
    }

    /**
     * Each takes about the mean of those before, so the rest together take toCome × mean; it is known as well as so many were seen.
     *
     * @param int      $served       guests so far, at least one
     * @param float    $gone         grams or pieces
     * @param float    $minutes      from the first who was served
     * @param int|null $batchMinutes a batch that nobody has begun takes
     */
    public static function of(
        string $moment,
        int $served,
        int $toCome,
        float $gone,
        float $left,
        \DateTimeImmutable $at,
        float $minutes,
        ?int $batchMinutes,
    ): self {
        $each = $gone / $served;
        $spread = self::DIFFER * $each * sqrt($toCome + $toCome ** 2 / $served);
        $spareMinutes = $each > 0 && $minutes > 0 ? $left / $each / ($served / $minutes) - ($batchMinutes ?? 0) : 0.0;

        return new self(
            $moment,
            $served,
            $toCome,
            $left,
            $each,
            0 === $toCome ? 0.0 : $left / $toCome,
            0.0 === $spread ? ($left >= $toCome * $each ? 1.0 : 0.0) : self::below(($left - $toCome * $each) / $spread),
            null === $batchMinutes ? null : $at->setTimestamp($at->getTimestamp() + (int) floor(60 * $spareMinutes)),
        );
    }

    /** Share of a normal distribution below so many deviations (Abramowitz and Stegun 26.2.17, to 7.5 × 10⁻⁸). */
    private static function below(float $deviations): float
    {
        $t = 1 / (1 + 0.2316419 * abs($deviations));
        $sum = $t * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));
        $above = (exp(-($deviations ** 2) / 2) / sqrt(2 * \M_PI)) * $sum;

        return $deviations >= 0 ? 1 - $above : $above;
    }
}
