<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Batch\PotChooser;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Timing\StepTimer;

/** What a kitchen brings to quantities: its pots, its way of measuring, its fires. */
final readonly class KitchenMeans
{
    private function __construct(public Kitchen $kitchen, public PotChooser $chooser, public AmountWriter $writer, public StepTimer $timer)
    {
    }

    public static function of(Kitchen $kitchen, Larder $larder): self
    {
        return new self($kitchen, new PotChooser($kitchen, $larder), $kitchen->measures->writer(), new StepTimer($kitchen, $larder));
    }
}
