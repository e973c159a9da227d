<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\KitchenWordRepository;
use Doctrine\ORM\Mapping as ORM;

/** A word as this kitchen uses it: what is done when it is said, or that it says nothing. */
#[ORM\Entity(repositoryClass: KitchenWordRepository::class)]
#[ORM\UniqueConstraint(columns: ['kitchen_id', 'word'])]
class KitchenWord
{
    /** Instead of an action: the word says nothing. */
    public const NOTHING = '';

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType, property.onlyWritten (Doctrine sets it)
    private ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private KitchenRecord $kitchen,
        #[ORM\Column(length: 60)]
        private string $word,
        #[ORM\Column(length: 20)]
        private string $action,
    ) {
    }

    public function getKitchen(): KitchenRecord
    {
        return $this->kitchen;
    }

    public function getWord(): string
    {
        return $this->word;
    }

    public function getAction(): string
    {
        return $this->action;
    }

    public function becomes(string $action): void
    {
        $this->action = $action;
    }
}
