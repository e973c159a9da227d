<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * One person, named as in the kitchen document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class PersonType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Name', 'required' => false, 'empty_data' => ''])
            ->add('skill', ChoiceType::class, [
                'label' => 'Can be given',
                'choices' => [
                    'everything, a cook' => 'cook',
                    'what any pair of hands can' => 'any',
                    'what is fit for a child: never by fat or syrup' => 'child',
                ],
            ]);
    }
}
