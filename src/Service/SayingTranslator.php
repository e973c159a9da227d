<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Words\Sentence;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\HttpKernel\CacheWarmer\WarmableInterface;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\LocaleAwareInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The translator, who also says the sentences among the values of a message: an amount within a line is in the reader's language, too. */
#[AsDecorator('translator')]
final readonly class SayingTranslator implements TranslatorInterface, TranslatorBagInterface, LocaleAwareInterface, WarmableInterface
{
    use PassesOn;

    public function __construct(#[AutowireDecorated] private TranslatorInterface&TranslatorBagInterface&LocaleAwareInterface $inner)
    {
    }

    /** @param array<array-key, mixed> $parameters */
    public function trans(?string $id, array $parameters = [], ?string $domain = null, ?string $locale = null): string
    {
        foreach ($parameters as $name => $value) {
            if ($value instanceof Sentence) {
                $parameters[$name] = $this->trans($value->id, $value->placeholders(), null, $locale);
            }
        }

        return $this->inner->trans($id ?? '', $parameters, $domain, $locale);
    }

    /** @return list<string> files to preload */
    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        return $this->inner instanceof WarmableInterface ? array_values($this->inner->warmUp($cacheDir, $buildDir)) : [];
    }
}
