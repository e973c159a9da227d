<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\DayEventRepository;
use Doctrine\ORM\Mapping as ORM;
use FeastLadle\Day\EventKind;

/** Something that was said of the cooking day. Only ever added; the state of the day follows from all of them. */
#[ORM\Entity(repositoryClass: DayEventRepository::class, readOnly: true)]
#[ORM\UniqueConstraint(columns: ['feast_id', 'client_id'])]
class DayEvent
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    /**
     * @param string                  $clientId made by the page; the same id twice is one event
     * @param string                  $subject  the step or bowl it speaks of, or the event it takes back; else empty
     * @param string|null             $by       person id
     * @param \DateTimeImmutable      $at       when it happened
     * @param \DateTimeImmutable|null $arrived  when it was heard; null before that was noted
     * @param string                  $body     all that was said, as docs/formats/day-log.md has it
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private FeastRecord $feast,
        #[ORM\Column(length: 60)]
        private string $clientId,
        #[ORM\Column(enumType: EventKind::class, length: 20)]
        private EventKind $kind,
        #[ORM\Column(length: 200)]
        private string $subject,
        #[ORM\Column(name: 'by_person', length: 60, nullable: true)]
        private ?string $by,
        #[ORM\Column(type: 'datetime_utc_immutable')]
        private \DateTimeImmutable $at,
        #[ORM\Column(type: 'datetime_utc_immutable', nullable: true)]
        private ?\DateTimeImmutable $arrived,
        #[ORM\Column(type: 'text')]
        private string $body,
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

    public function getKind(): EventKind
    {
        return $this->kind;
    }

    public function getSubject(): string
    {
        return $this->subject;
    }

    public function getBy(): ?string
    {
        return $this->by;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getArrived(): ?\DateTimeImmutable
    {
        return $this->arrived;
    }

    public function getBody(): string
    {
        return $this->body;
    }
}
