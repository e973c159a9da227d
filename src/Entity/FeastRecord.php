<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\FeastRepository;
use Doctrine\ORM\Mapping as ORM;

/** A feast of a kitchen: its wishes as a document, and the plan last computed for them. */
#[ORM\Table(name: 'feast')]
#[ORM\Entity(repositoryClass: FeastRepository::class)]
class FeastRecord
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    /** Forms send back the version they were made for: of two people editing at once, the second is told, the first not overwritten. */
    #[ORM\Column(type: 'integer'), ORM\Version]
    private int $version = 1;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private KitchenRecord $kitchen,
        #[ORM\Column(length: 120)]
        private string $name,
        #[ORM\Column(type: 'text')]
        private string $document,
        #[ORM\Column(type: 'datetime_utc_immutable')]
        private \DateTimeImmutable $createdAt,
    ) {
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getVersion(): int
    {
        return $this->version;
    }

    public function getKitchen(): KitchenRecord
    {
        return $this->kitchen;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getDocument(): string
    {
        return $this->document;
    }

    public function getCreatedAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }

    public function change(string $name, string $document): void
    {
        $this->name = $name;
        $this->document = $document;
    }
}
