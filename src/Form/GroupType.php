<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/** @extends AbstractType<array<string, mixed>> */
final class GroupType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Who', 'required' => false, 'empty_data' => ''])
            ->add('count', NumberTextType::class, ['label' => 'How many'])
            ->add('appetite', NumberTextType::class, ['label' => 'Appetite', 'help' => 'A grown-up is 1']);
    }
}
