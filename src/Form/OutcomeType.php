<?php

declare(strict_types=1);

namespace App\Form;

use App\Entity\DishOutcome;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\NumberType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\Length;
use Symfony\Component\Validator\Constraints\Range;

/** @extends AbstractType<DishOutcome> */
final class OutcomeType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $amount = [
            'required' => false,
            'html5' => false,
            'constraints' => [
                new Range(min: 0, max: 100_000_000, notInRangeMessage: 'Here must stand an amount from {{ min }} to {{ max }}.'),
            ],
            'invalid_message' => 'Here must stand a number, not "{{ value }}".',
        ];
        $builder
            ->add('made', NumberType::class, ['label' => 'Made', ...$amount])
            ->add('leftOver', NumberType::class, ['label' => 'Left over', ...$amount])
            ->add('note', TextType::class, [
                'label' => 'Note for next time',
                'required' => false,
                'constraints' => [new Length(max: 1000)],
            ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => DishOutcome::class]);
    }
}
