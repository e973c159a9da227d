<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\DishOutcomeRepository;
use Doctrine\ORM\Mapping as ORM;

/** What became of a dish: made, left over, a note for next time. */
#[ORM\Entity(repositoryClass: DishOutcomeRepository::class)]
#[ORM\UniqueConstraint(columns: ['feast_id', 'dish'])]
class DishOutcome
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    /** Grams, or pieces for a dish that is counted. */
    #[ORM\Column(nullable: true)]
    private ?float $made = null;

    #[ORM\Column(nullable: true)]
    private ?float $leftOver = null;

    #[ORM\Column(length: 1000)]
    private string $note = '';

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private FeastRecord $feast,
        #[ORM\Column(length: 80)]
        private string $dish,
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

    public function getDish(): string
    {
        return $this->dish;
    }

    public function getMade(): ?float
    {
        return $this->made;
    }

    public function setMade(?float $made): void
    {
        $this->made = $made;
    }

    public function getLeftOver(): ?float
    {
        return $this->leftOver;
    }

    public function setLeftOver(?float $leftOver): void
    {
        $this->leftOver = $leftOver;
    }

    public function getNote(): string
    {
        return $this->note;
    }

    public function setNote(?string $note): void
    {
        $this->note = $note ?? '';
    }
}
