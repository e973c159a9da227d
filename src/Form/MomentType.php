<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/** @extends AbstractType<array<string, mixed>> */
final class MomentType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('kind', ChoiceType::class, [
                'label' => 'Moment',
                'choices' => ['Offering' => 'offering', 'Sitting' => 'sitting', 'Boxes' => 'boxes'],
            ])
            ->add('name', TextType::class, ['label' => 'Name', 'required' => false, 'empty_data' => ''])
            ->add('time', PickerType::class, ['label' => 'At'])
            ->add('bowls', NumberTextType::class, ['label' => 'Bowls set aside'])
            ->add('servingMinutes', NumberTextType::class, [
                'label' => 'Minutes of serving',
                'required' => false,
            ])
            ->add('wishPercent', NumberTextType::class, [
                'label' => 'In time, of 100',
                'required' => false,
            ]);
    }
}
