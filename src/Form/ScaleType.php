<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * One scale, named as in the kitchen document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class ScaleType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('stepGrams', NumberTextType::class, ['label' => 'Steps of, g'])
            ->add('mostGrams', NumberTextType::class, ['label' => 'Carries up to, g']);
    }
}
