<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A number as a person types it. What is no number stays as it was typed, so that the core can refuse it in its own words
 * and the field still shows it.
 *
 * @extends AbstractType<int|float|string|null>
 */
final class NumberTextType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->addViewTransformer(new CallbackTransformer(
            static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '',
            static function (mixed $typed): int|float|string|null {
                $typed = \is_string($typed) ? trim($typed) : '';

                return match (true) {
                    '' === $typed => null,
                    1 === preg_match('/^[+-]?\d{1,15}$/', $typed) => (int) $typed,
                    1 === preg_match('/^[+-]?\d{1,12}[.,]\d{1,6}$/', $typed) => (float) str_replace(',', '.', $typed),
                    default => $typed,
                };
            },
        ));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['required' => false, 'attr' => ['inputmode' => 'decimal', 'autocomplete' => 'off'], 'compound' => false]);
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
