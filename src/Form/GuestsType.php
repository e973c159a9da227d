<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CollectionType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * Who comes, and when: fields named as in the feast document, so that a fault finds its field by its pointer.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class GuestsType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $rows = ['allow_add' => true, 'allow_delete' => true, 'label' => false];
        $builder
            ->add('name', TextType::class, ['label' => 'Name of the feast', 'required' => false, 'empty_data' => ''])
            ->add('date', PickerType::class, ['label' => 'Date', 'picks' => 'date'])
            ->add('plateCapGrams', NumberTextType::class, [
                'label' => 'Most grams of sweets on a plate',
                'help' => 'Empty: full portions of everything',
            ])
            ->add('groups', CollectionType::class, [
                'entry_type' => GroupType::class,
                'entry_options' => ['sittings' => $options['sittings']],
                ...$rows,
            ])
            ->add('moments', CollectionType::class, ['entry_type' => MomentType::class, ...$rows]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['sittings' => []]);
    }
}
