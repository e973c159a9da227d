<?php

declare(strict_types=1);

namespace App\Form;

use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\VesselKind;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * One vessel: what it is, its measured inside, its weight. Named as in the kitchen document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class VesselType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Name', 'required' => false, 'empty_data' => ''])
            ->add('kind', ChoiceType::class, [
                'label' => 'Used as',
                'choices' => array_combine(
                    array_map(static fn (VesselKind $k): string => $k->value, VesselKind::cases()),
                    array_map(static fn (VesselKind $k): string => $k->value, VesselKind::cases()),
                ),
            ])
            ->add('shape', ShapeType::class, ['label' => false])
            ->add('metal', ChoiceType::class, [
                'label' => 'Of',
                'choices' => array_combine(
                    array_map(static fn (Metal $m): string => $m->value, Metal::cases()),
                    array_map(static fn (Metal $m): string => $m->value, Metal::cases()),
                ),
            ])
            ->add('emptyKg', NumberTextType::class, ['label' => 'Weighs empty, kg'])
            ->add('tiers', NumberTextType::class, ['label' => 'Tiers over each other']);
    }
}
