<?php

declare(strict_types=1);

namespace FeastLadle\Asking;

use FeastLadle\Drafting\OpenPoint;
use FeastLadle\Syrup\Stage;

/** Something that was never said, and between what it lies. */
final readonly class Unsaid
{
    /**
     * @param list<string> $places  JSON pointers of the numbers that follow from it
     * @param list<float>  $written what stands at each now
     * @param float        $least   times what stands there
     * @param list<float>  $either  one of these times what stands there, in place of a range
     * @param list<Stage>  $stages  one of these stages of a syrup, in place of a number
     * @param string       $unit    g, min, or empty for a share
     * @param list<string> $ends    how one says its lower and its upper end, where that is not a number of it
     */
    private function __construct(
        public OpenPoint $point,
        public array $places,
        public array $written,
        public float $least,
        public float $most,
        public array $either,
        public array $stages,
        public string $unit,
        public array $ends = [],
    ) {
    }

    /**
     * @param list<string> $places
     * @param list<float>  $written
     */
    public static function range(OpenPoint $point, array $places, array $written, float $least, float $most, string $unit): self
    {
        return new self($point, $places, $written, $least, $most, [], [], $unit);
    }

    /** The same, with words for its ends. */
    public function from(string $lower, string $upper): self
    {
        return new self(
            $this->point,
            $this->places,
            $this->written,
            $this->least,
            $this->most,
            $this->either,
            $this->stages,
            $this->unit,
            [$lower, $upper],
        );
    }

    /** @param non-empty-list<float> $either */
    public static function either(OpenPoint $point, string $place, float $written, array $either): self
    {
        return new self($point, [$place], [$written], min($either), max($either), $either, [], 'g');
    }

    /** @param non-empty-list<Stage> $stages */
    public static function stage(OpenPoint $point, string $place, array $stages): self
    {
        return new self($point, [$place], [0.0], 0.0, 0.0, [], $stages, '');
    }

    /** @return float|string what stands at a place when so much of the range is gone, 0 to 1 */
    public function value(int $place, float $at): float|string
    {
        if ([] !== $this->stages) {
            return $this->stages[self::pick($at, \count($this->stages))]->value;
        }
        if ([] !== $this->either) {
            return round($this->written[$place] * $this->either[self::pick($at, \count($this->either))], 2);
        }

        return round($this->written[$place] * ($this->least + $at * ($this->most - $this->least)), 3);
    }

    /** The lower or the upper end, as one says it. */
    public function told(bool $isUpper): string
    {
        if ([] !== $this->ends) {
            return $this->ends[$isUpper ? 1 : 0];
        }
        $value = $this->value(0, $isUpper ? 0.999 : 0.0);
        if (\is_string($value)) {
            return str_replace('-', ' ', $value);
        }

        return match ($this->unit) {
            '' => round(100 * $value).' %',
            default => ($value >= 100 ? round($value, -1) : ($value >= 10 ? round($value) : round($value, 1))).' '.$this->unit,
        };
    }

    private static function pick(float $at, int $count): int
    {
        return min($count - 1, (int) floor($at * $count));
    }
}
