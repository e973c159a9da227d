<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** What a recipe said at one time. Never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\UniqueConstraint(columns: ['recipe_id', 'number'])]
class RecipeRevision
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'revisions'), ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private RecipeRecord $recipe,
        #[ORM\Column]
        private int $number,
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

    public function getRecipe(): RecipeRecord
    {
        return $this->recipe;
    }

    public function getNumber(): int
    {
        return $this->number;
    }

    public function getDocument(): string
    {
        return $this->document;
    }

    public function getCreatedAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }
}
