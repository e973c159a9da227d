<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CollectionType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * The gift boxes of a feast, named as in its document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class BoxesType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('boxes', CollectionType::class, [
            'entry_type' => BoxType::class,
            'entry_options' => ['dishes' => $options['dishes'], 'moments' => $options['moments']],
            'allow_add' => true,
            'allow_delete' => true,
            'label' => false,
            'required' => false,
        ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['dishes' => [], 'moments' => []]);
    }
}
