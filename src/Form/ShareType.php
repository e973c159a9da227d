<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A share as a person says it: in percent, as so many of so many, or as a part of one. What is none stays as it was typed, so that the
 * core can refuse it in its own words and the field still shows it.
 *
 * @extends AbstractType<int|float|string|null>
 */
final class ShareType extends AbstractType
{
    private const DIGITS = 6;

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->addViewTransformer(new CallbackTransformer(
            static fn (mixed $value): string => match (true) {
                \is_int($value), \is_float($value) => round(100 * $value, 1).' %',
                default => \is_string($value) ? $value : '',
            },
            self::read(...),
        ));
    }

    private static function read(mixed $typed): float|string|null
    {
        $typed = \is_string($typed) ? trim($typed) : '';
        $number = '(\d{1,6}(?:[.,]\d{1,6})?)';
        if ('' === $typed) {
            return null;
        }
        if (1 === preg_match("/^$number\\s*%$/", $typed, $found)) {
            return self::number($found[1]) / 100;
        }
        if (1 === preg_match("/^$number\\s*(?:of|\\/)\\s*$number$/", $typed, $found) && self::number($found[2]) > 0) {
            return round(self::number($found[1]) / self::number($found[2]), self::DIGITS);
        }
        if (1 === preg_match("/^$number$/", $typed, $found)) {
            // Nobody means one guest in a hundred by "1"; above one it is in percent.
            return self::number($found[1]) > 1 ? self::number($found[1]) / 100 : self::number($found[1]);
        }

        return $typed;
    }

    private static function number(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['required' => false, 'attr' => ['autocomplete' => 'off'], 'compound' => false]);
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
