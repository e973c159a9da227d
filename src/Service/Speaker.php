<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Words\Sentence;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Says a sentence of the core in the reader's language: plurals and numbers are its, too. */
final readonly class Speaker
{
    public function __construct(private TranslatorInterface $translator)
    {
    }

    public function say(Sentence $sentence): string
    {
        $values = [];
        foreach ($sentence->values as $name => $value) {
            $values['{'.$name.'}'] = $value;
        }

        return $this->translator->trans($sentence->id, $values);
    }
}
