<?php

declare(strict_types=1);

namespace App\Tests\Words;

use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\LocaleAwareInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The translator of the tests: it remembers what was said that no catalogue knows. */
final class Untranslated implements TranslatorInterface, TranslatorBagInterface, LocaleAwareInterface
{
    /** @var array<string, true> */
    public static array $ids = [];

    public function __construct(private readonly TranslatorInterface&TranslatorBagInterface&LocaleAwareInterface $inner)
    {
    }

    /** @param array<array-key, mixed> $parameters */
    public function trans(?string $id, array $parameters = [], ?string $domain = null, ?string $locale = null): string
    {
        if (
            null !== $id
            && 'messages' === ($domain ?? 'messages')
            && 1 === preg_match('/\p{L}{2}/u', $id)
            && !$this->inner->getCatalogue($locale)->has($id)
        ) {
            self::$ids[$id] = true;
        }

        return $this->inner->trans($id ?? '', $parameters, $domain, $locale);
    }

    public function getCatalogue(?string $locale = null): \Symfony\Component\Translation\MessageCatalogueInterface
    {
        return $this->inner->getCatalogue($locale);
    }

    public function getCatalogues(): array
    {
        return $this->inner->getCatalogues();
    }

    public function setLocale(string $locale): void
    {
        $this->inner->setLocale($locale);
    }

    public function getLocale(): string
    {
        return $this->inner->getLocale();
    }
}
