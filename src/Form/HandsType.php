<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CollectionType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<array<string, mixed>> */
final class HandsType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('hands', CollectionType::class, [
                'entry_type' => ShiftType::class,
                'entry_options' => ['people' => $options['people']],
                'allow_add' => true,
                'allow_delete' => true,
                'label' => false,
            ])
            ->add('otherWork', CollectionType::class, [
                'entry_type' => OtherWorkType::class,
                'entry_options' => ['things' => $options['things']],
                'allow_add' => true,
                'allow_delete' => true,
                'label' => false,
                'required' => false,
            ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver
            ->setRequired(['people', 'things'])
            ->setAllowedTypes('people', 'array')
            ->setAllowedTypes('things', 'array');
    }
}
