<?php

declare(strict_types=1);

namespace App\Service;

use Symfony\Component\HttpFoundation\Request;

/** What stands in the address of a bench: numbers within their limits, and the words of those that are not. */
final readonly class BenchValues
{
    /**
     * @param array<string, float>  $numbers
     * @param array<string, string> $refused what was typed, by name
     */
    private function __construct(public array $numbers, public array $refused)
    {
    }

    /** @param array<string, array{float|int, float|int, float|int|null}> $asked least, most, usual (null: may be left out) by name */
    public static function read(Request $request, array $asked): self
    {
        $numbers = [];
        $refused = [];
        foreach ($asked as $name => [$least, $most, $usual]) {
            $typed = trim(str_replace(',', '.', $request->query->getString($name)));
            if ('' === $typed) {
                if (null !== $usual) {
                    $numbers[$name] = (float) $usual;
                }
            } elseif (is_numeric($typed) && (float) $typed >= $least && (float) $typed <= $most) {
                $numbers[$name] = (float) $typed;
            } else {
                $refused[$name] = mb_substr($typed, 0, 40);
                $numbers[$name] = (float) ($usual ?? $least);
            }
        }

        return new self($numbers, $refused);
    }
}
