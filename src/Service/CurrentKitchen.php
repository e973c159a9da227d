<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenRecord;
use App\Repository\KitchenRepository;
use FeastLadle\Kitchen\KitchenReader;
use Symfony\Contracts\Service\ResetInterface;

/**
 * The kitchen that is worked in: that of the feast that is open, else the home kitchen. A household may cook in several; its recipe book,
 * its drafts and what it knows of its larder stay with the first, its home. Until there is sign-in there is one household.
 */
final class CurrentKitchen implements ResetInterface
{
    private ?KitchenRecord $entered = null;

    private ?\FeastLadle\Kitchen\Kitchen $equipment = null;

    public function __construct(private readonly KitchenRepository $kitchens, private readonly KitchenReader $reader)
    {
    }

    public function home(): KitchenRecord
    {
        return $this->kitchens->local() ?? throw new \LogicException('There is no kitchen yet. Run bin/console ladle:setup.');
    }

    public function get(): KitchenRecord
    {
        return $this->entered ?? $this->home();
    }

    public function enter(KitchenRecord $kitchen): void
    {
        $this->entered = $kitchen;
        $this->equipment = null;
    }

    public function equipment(): \FeastLadle\Kitchen\Kitchen
    {
        return $this->equipment ??= $this->reader->read($this->get()->getDocument());
    }

    public function reset(): void
    {
        $this->entered = null;
        $this->equipment = null;
    }
}
