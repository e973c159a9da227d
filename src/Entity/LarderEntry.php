<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\LarderEntryRepository;
use Doctrine\ORM\Mapping as ORM;

/** A thing of the larder as this kitchen knows it: a correction of one that ships, or one of its own. */
#[ORM\Entity(repositoryClass: LarderEntryRepository::class)]
#[ORM\UniqueConstraint(columns: ['kitchen_id', 'ingredient'])]
class LarderEntry
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType, property.onlyWritten (Doctrine sets it)
    private ?int $id = null;

    #[ORM\Column(type: 'integer', options: ['default' => 1]), ORM\Version]
    private int $version = 1;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private KitchenRecord $kitchen,
        #[ORM\Column(length: 80)]
        private string $ingredient,
        #[ORM\Column(type: 'text')]
        private string $document,
    ) {
    }

    public function getVersion(): int
    {
        return $this->version;
    }

    public function getKitchen(): KitchenRecord
    {
        return $this->kitchen;
    }

    public function getIngredient(): string
    {
        return $this->ingredient;
    }

    public function getDocument(): string
    {
        return $this->document;
    }

    public function change(string $document): void
    {
        $this->document = $document;
    }
}
