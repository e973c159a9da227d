<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A recipe as it was written or told: its name, what it says goes in, what it says is done, before anything is supposed. */
final readonly class ToldRecipe
{
    private const BETWEEN = "\n\n";

    /**
     * @param list<string>       $ingredients lines of a list, when there is one
     * @param list<string>       $steps       sentences, in order
     * @param string             $yields      what it makes, as it was said; empty when it was not
     * @param array<int, string> $titles      what stands over a step, by its number, where something does
     */
    public function __construct(
        public string $name,
        public string $summary,
        public array $ingredients,
        public array $steps,
        public string $yields,
        public array $titles = [],
    ) {
    }

    /** What is to be done, as one text. */
    public function text(): string
    {
        return implode(self::BETWEEN, $this->steps);
    }

    /** @return int|null the titled step that this place of the text belongs to, in bytes from its beginning */
    public function titleAt(int $byte): ?int
    {
        $end = 0;
        foreach ($this->steps as $number => $step) {
            $end += \strlen($step) + \strlen(self::BETWEEN);
            if ($byte < $end) {
                return isset($this->titles[$number]) ? $number : null;
            }
        }

        return null;
    }
}
