<?php

declare(strict_types=1);

namespace App\Entity;

use App\Repository\KitchenRepository;
use Doctrine\ORM\Mapping as ORM;

/** The owner of everything: each other record belongs to one. */
#[ORM\Table(name: 'kitchen')]
#[ORM\Entity(repositoryClass: KitchenRepository::class)]
class KitchenRecord
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    // @phpstan-ignore property.unusedType (Doctrine sets it)
    private ?int $id = null;

    #[ORM\Column(type: 'integer'), ORM\Version]
    private int $version = 1;

    /** @param string $document fires, vessels, people, cup, scale and air, as a kitchen document */
    public function __construct(
        #[ORM\Column(length: 100)]
        private string $name,
        #[ORM\Column(type: 'text')]
        private string $document,
    ) {
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getDocument(): string
    {
        return $this->document;
    }

    public function change(string $name, string $document): void
    {
        $this->name = $name;
        $this->document = $document;
    }

    public function getVersion(): int
    {
        return $this->version;
    }
}
