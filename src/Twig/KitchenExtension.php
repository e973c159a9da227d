<?php

declare(strict_types=1);

namespace App\Twig;

use FeastLadle\Document\Placeholders;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Modelling\Obstacle;
use Symfony\Contracts\Translation\TranslatorInterface;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;

/** Amounts and times as a kitchen writes them. */
final class KitchenExtension extends AbstractExtension
{
    public function __construct(private readonly TranslatorInterface $translator)
    {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('weight', AmountWriter::weight(...)),
            new TwigFilter('volume', AmountWriter::volume(...)),
            new TwigFilter('minutes', AmountWriter::duration(...)),
            new TwigFilter('obstacle', $this->obstacle(...)),
            new TwigFilter('placeholders', Placeholders::of(...)),
        ];
    }

    private function obstacle(Obstacle $obstacle): string
    {
        return $this->translator->trans($obstacle->template, $obstacle->placeholders());
    }
}
