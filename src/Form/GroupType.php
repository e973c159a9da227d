<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<array<string, mixed>> */
final class GroupType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Who', 'required' => false, 'empty_data' => ''])
            ->add('count', NumberTextType::class, ['label' => 'How many'])
            ->add('appetite', NumberTextType::class, ['label' => 'Appetite', 'help' => 'A grown-up is 1'])
            ->add('sweet', NumberTextType::class, ['label' => 'Sweetness they like'])
            ->add('at', ChoiceType::class, [
                'label' => 'Eats at',
                'required' => false,
                'placeholder' => 'the first sitting',
                'choices' => $options['sittings'],
            ])
            ->add(
                $builder
                    ->create('avoids', TextType::class, [
                        'label' => 'Does without',
                        'required' => false,
                        'attr' => ['placeholder' => 'dairy, nuts'],
                    ])
                    ->addModelTransformer(
                        new CallbackTransformer(
                            static fn (mixed $words): string => \is_array($words)
                                ? implode(', ', array_filter($words, \is_string(...)))
                                : '',
                            static fn (mixed $typed): array => array_values(
                                array_filter(
                                    array_map(trim(...), explode(',', \is_string($typed) ? $typed : '')),
                                    static fn (string $w): bool => '' !== $w,
                                ),
                            ),
                        ),
                    ),
            );
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['sittings' => []]);
    }
}
