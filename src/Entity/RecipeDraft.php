<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\RecipeDraftRepository;
use Doctrine\ORM\Mapping as ORM;

/** A recipe while it is written: kept after every change, so that nothing is lost, and with what it was before the last one. */
#[ORM\Entity(repositoryClass: RecipeDraftRepository::class)]
class RecipeDraft
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    #[ORM\Column(type: 'integer'), ORM\Version]
    private int $version = 1;

    #[ORM\Column(type: 'text', nullable: true)]
    private ?string $former = null;

    /**
     * @param string|null $ofSlug    the recipe it will be a new revision of
     * @param string      $questions what an import left open, as JSON
     * @param string|null $told      the telling that it was made of
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private KitchenRecord $kitchen,
        #[ORM\Column(type: 'text')]
        private string $document,
        #[ORM\Column(length: 80, nullable: true)]
        private ?string $ofSlug,
        #[ORM\Column(nullable: true)]
        private ?int $ofRevision,
        #[ORM\Column(type: 'text')]
        private string $questions,
        #[ORM\Column(type: 'datetime_utc_immutable')]
        private \DateTimeImmutable $changedAt,
        #[ORM\Column(type: 'text', nullable: true)]
        private ?string $told = null,
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

    public function getDocument(): string
    {
        return $this->document;
    }

    public function getOfSlug(): ?string
    {
        return $this->ofSlug;
    }

    public function getOfRevision(): ?int
    {
        return $this->ofRevision;
    }

    public function getQuestions(): string
    {
        return $this->questions;
    }

    public function getChangedAt(): \DateTimeImmutable
    {
        return $this->changedAt;
    }

    public function getTold(): ?string
    {
        return $this->told;
    }

    /** Made of its telling once more. */
    public function tellAnew(string $document, string $questions, \DateTimeImmutable $at): void
    {
        $this->change($document, $at);
        $this->questions = $questions;
    }

    public function canGoBack(): bool
    {
        return null !== $this->former;
    }

    public function change(string $document, \DateTimeImmutable $at): void
    {
        if ($document !== $this->document) {
            $this->former = $this->document;
            $this->document = $document;
            $this->changedAt = $at;
        }
    }

    /** The last change is taken back; asked again, it is done again. */
    public function goBack(\DateTimeImmutable $at): void
    {
        if (null !== $this->former) {
            [$this->document, $this->former] = [$this->former, $this->document];
            $this->changedAt = $at;
        }
    }

    public function settleQuestions(string $questions): void
    {
        $this->questions = $questions;
    }
}
