<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\Kitchen;
use App\Repository\KitchenRepository;
use FeastLadle\Kitchen\KitchenReader;

/** The kitchen that whoever is at the screen works in. Until there is sign-in, the one local kitchen. */
final class CurrentKitchen
{
    private ?\FeastLadle\Kitchen\Kitchen $equipment = null;

    public function __construct(private readonly KitchenRepository $kitchens, private readonly KitchenReader $reader)
    {
    }

    public function get(): Kitchen
    {
        return $this->kitchens->local() ?? throw new \LogicException('There is no kitchen yet. Run bin/console ladle:setup.');
    }

    public function equipment(): \FeastLadle\Kitchen\Kitchen
    {
        return $this->equipment ??= $this->reader->read($this->get()->getDocument());
    }

    /** After the kitchen was changed. */
    public function forget(): void
    {
        $this->equipment = null;
    }
}
