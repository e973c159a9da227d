<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Words\Sentence;
use Symfony\Contracts\Translation\LocaleAwareInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Says a sentence of the core in the reader's language: plurals, numbers and units are its, too. */
final readonly class Speaker
{
    public function __construct(private TranslatorInterface $translator)
    {
    }

    /** @return string nothing where there is nothing to say */
    public function say(?Sentence $sentence): string
    {
        return null === $sentence ? '' : $this->translator->trans($sentence->id, $sentence->placeholders());
    }

    /** A day or time with its names, in the order that the reader's catalogue gives to the pattern: "Fri 27 Nov, 18:30". */
    public function day(\DateTimeInterface $at, Sentence $pattern, \DateTimeZone $zone): string
    {
        return $this->at($at, $this->say($pattern), $zone);
    }

    /** @param string $pattern of Unicode's date fields, from the reader's catalogue */
    public function at(\DateTimeInterface $at, string $pattern, \DateTimeZone $zone): string
    {
        $formatter = new \IntlDateFormatter($this->locale(), pattern: $pattern);
        $formatter->setTimeZone($zone);

        return (string) $formatter->format($at);
    }

    private function locale(): string
    {
        return $this->translator instanceof LocaleAwareInterface ? $this->translator->getLocale() : 'en';
    }
}
