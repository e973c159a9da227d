<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\FeastPlanRepository;
use Doctrine\ORM\Mapping as ORM;

/** The plan last computed for a feast, with the fingerprint of what it was computed from. */
#[ORM\Entity(repositoryClass: FeastPlanRepository::class, readOnly: true)]
class FeastPlan
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    #[ORM\Column(length: 64)]
    private string $fingerprint = '';

    #[ORM\Column(type: 'text')]
    private string $document = '';

    #[ORM\Column(type: 'datetime_utc_immutable')]
    private \DateTimeImmutable $computedAt;

    public function __construct(
        #[ORM\OneToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private FeastRecord $feast,
    ) {
        $this->computedAt = new \DateTimeImmutable('@0');
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getFeast(): FeastRecord
    {
        return $this->feast;
    }

    public function getFingerprint(): string
    {
        return $this->fingerprint;
    }

    public function getDocument(): string
    {
        return $this->document;
    }

    public function getComputedAt(): \DateTimeImmutable
    {
        return $this->computedAt;
    }
}
