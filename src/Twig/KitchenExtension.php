<?php

declare(strict_types=1);

namespace App\Twig;

use App\Service\Speaker;
use FeastLadle\Measure\AmountWriter;
use Symfony\Component\Uid\Uuid;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** Amounts and times as a kitchen writes them, and what the core says in the reader's language. */
final class KitchenExtension extends AbstractExtension
{
    public function __construct(private readonly Speaker $speaker)
    {
    }

    public function getFunctions(): array
    {
        // In the order of time, so that of two taps in one second the later counts.
        return [new TwigFunction('fresh_id', static fn (): string => Uuid::v7()->toRfc4122())];
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('weight', fn (float $x): string => $this->speaker->say(AmountWriter::weight($x))),
            new TwigFilter('volume', fn (float $x): string => $this->speaker->say(AmountWriter::volume($x))),
            new TwigFilter('minutes', fn (float $x): string => $this->speaker->say(AmountWriter::duration($x))),
            new TwigFilter(
                'day',
                fn (
                    \DateTimeInterface|string $at,
                    string $pattern,
                    \DateTimeZone $zone = new \DateTimeZone('UTC'),
                ): string => $this->speaker->at(\is_string($at) ? new \DateTimeImmutable($at, $zone) : $at, $pattern, $zone),
            ),
            new TwigFilter('say', $this->speaker->say(...)),
        ];
    }
}
