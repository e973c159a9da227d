<?php

declare(strict_types=1);

namespace App\Form;

use FeastLadle\Recipe\Process;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * One tool with its load, named as in the kitchen document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class ToolType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Name', 'required' => false, 'empty_data' => ''])
            ->add('process', ChoiceType::class, [
                'label' => 'To',
                'choices' => array_combine(
                    array_map(static fn (Process $p): string => str_replace('-', ' ', $p->value), Process::cases()),
                    array_map(static fn (Process $p): string => $p->value, Process::cases()),
                ),
            ])
            ->add('loadGrams', NumberTextType::class, ['label' => 'Grams a load'])
            ->add('loadPieces', NumberTextType::class, ['label' => 'or pieces'])
            ->add('restMinutes', NumberTextType::class, ['label' => 'Minutes between']);
    }
}
