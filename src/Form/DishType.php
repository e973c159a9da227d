<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\FormBuilderInterface;

/** @extends AbstractType<array<string, mixed>> */
final class DishType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('recipe', HiddenType::class)
            ->add('portion', NumberTextType::class, ['label' => 'Portion for a grown-up', 'help' => 'Empty: as the recipe says'])
            ->add('uptake', NumberTextType::class, ['label' => 'Share of guests who take it', 'help' => '1 is everybody']);
    }
}
