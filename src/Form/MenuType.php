<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CollectionType;
use Symfony\Component\Form\FormBuilderInterface;

/** @extends AbstractType<array<string, mixed>> */
final class MenuType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('dishes', CollectionType::class, [
            'entry_type' => DishType::class,
            'allow_add' => true,
            'allow_delete' => true,
            'label' => false,
        ]);
    }
}
