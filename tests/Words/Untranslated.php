<?php

declare(strict_types=1);

namespace App\Tests\Words;

use App\Service\PassesOn;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\LocaleAwareInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The translator of the tests: it remembers what was said that no catalogue knows. */
final class Untranslated implements TranslatorInterface, TranslatorBagInterface, LocaleAwareInterface
{
    use PassesOn;

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
}
