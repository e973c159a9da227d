<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * One fire, named as in the kitchen document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class BurnerType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Name', 'required' => false, 'empty_data' => ''])
            ->add('fuel', ChoiceType::class, [
                'label' => 'Fuel',
                'choices' => ['gas' => 'gas', 'induction' => 'induction', 'wood' => 'wood'],
            ])
            ->add('kilowatts', NumberTextType::class, ['label' => 'kW'])
            ->add('ringMm', NumberTextType::class, ['label' => 'Ring, mm across']);
    }
}
