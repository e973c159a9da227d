<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\CookEventRepository;
use Doctrine\ORM\Mapping as ORM;

/** Something that happened on the cooking day. Only ever added; the state of the day follows from all of them in order. */
#[ORM\Entity(repositoryClass: CookEventRepository::class, readOnly: true)]
#[ORM\UniqueConstraint(columns: ['feast_id', 'client_id'])]
class CookEvent
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    /** @param string $clientId made by the page; the same id twice is one event */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private FeastRecord $feast,
        #[ORM\Column(length: 60)]
        private string $clientId,
        #[ORM\Column(enumType: CookEventKind::class, length: 20)]
        private CookEventKind $kind,
        #[ORM\Column(length: 200)]
        private string $step,
        #[ORM\Column(type: 'datetime_utc_immutable')]
        private \DateTimeImmutable $at,
    ) {
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getFeast(): FeastRecord
    {
        return $this->feast;
    }

    public function getClientId(): string
    {
        return $this->clientId;
    }

    public function getKind(): CookEventKind
    {
        return $this->kind;
    }

    public function getStep(): string
    {
        return $this->step;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
