<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Words\Sentence;
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
}
