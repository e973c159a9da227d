<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A fire, pot or person that is wanted for something else. Named as in the feast document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class OtherWorkType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'What for', 'required' => false, 'empty_data' => ''])
            ->add('on', ChoiceType::class, ['label' => 'Takes', 'choices' => $options['things']])
            ->add('day', NumberTextType::class, ['label' => 'Day'])
            ->add('from', PickerType::class, ['label' => 'From'])
            ->add('to', PickerType::class, ['label' => 'To']);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setRequired('things')->setAllowedTypes('things', 'array');
    }
}
