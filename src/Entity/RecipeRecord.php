<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\RecipeRepository;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A recipe of a kitchen's book; what it says is in its revisions. */
#[ORM\Table(name: 'recipe')]
#[ORM\Entity(repositoryClass: RecipeRepository::class)]
#[ORM\UniqueConstraint(columns: ['kitchen_id', 'slug'])]
class RecipeRecord
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    /** @var Collection<int, RecipeRevision> */
    #[ORM\OneToMany(targetEntity: RecipeRevision::class, mappedBy: 'recipe', cascade: ['persist'])]
    #[ORM\OrderBy(['number' => 'ASC'])]
    private Collection $revisions;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private KitchenRecord $kitchen,
        #[ORM\Column(length: 80)]
        private string $slug,
        #[ORM\Column(length: 200)]
        private string $name,
    ) {
        $this->revisions = new ArrayCollection();
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getKitchen(): KitchenRecord
    {
        return $this->kitchen;
    }

    public function getSlug(): string
    {
        return $this->slug;
    }

    public function getName(): string
    {
        return $this->name;
    }

    /** Adds a revision; the same text again adds none. */
    public function revise(string $name, string $document, \DateTimeImmutable $at): RecipeRevision
    {
        $last = $this->revisions->last();
        if ($last instanceof RecipeRevision && $last->getDocument() === $document) {
            return $last;
        }
        $this->name = $name;
        $revision = new RecipeRevision($this, $this->revisions->count() + 1, $document, $at);
        $this->revisions->add($revision);

        return $revision;
    }

    public function newest(): RecipeRevision
    {
        $last = $this->revisions->last();

        return $last instanceof RecipeRevision ? $last : throw new \LogicException('A recipe is stored with its first revision.');
    }

    /** @return list<RecipeRevision> the oldest first */
    public function revisions(): array
    {
        return array_values($this->revisions->toArray());
    }

    public function revision(int $number): ?RecipeRevision
    {
        return $this->revisions->get($number - 1);
    }

    /** @return list<RecipeRevision> */
    public function getRevisions(): array
    {
        return array_values($this->revisions->toArray());
    }
}
