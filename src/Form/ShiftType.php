<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<array<string, mixed>> */
final class ShiftType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('person', ChoiceType::class, ['label' => 'Who', 'choices' => $options['people']])
            ->add('day', NumberTextType::class, ['label' => 'Day', 'help' => '0 is the feast day, -1 the day before'])
            ->add('from', PickerType::class, ['label' => 'From'])
            ->add('to', PickerType::class, ['label' => 'To']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setRequired('people')->setAllowedTypes('people', 'array');
    }
}
