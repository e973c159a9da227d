<?php

declare(strict_types=1);

namespace App\Form;

use FeastLadle\Kitchen\Tasting;
use FeastLadle\Vessel\FillLimit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\CollectionType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * A kitchen as it is equipped, but for its vessels, which are asked one at a time: fields named as in the kitchen document, so
 * that a fault finds its field by its pointer.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class KitchenType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $rows = ['allow_add' => true, 'allow_delete' => true, 'label' => false, 'required' => false];
        $builder
            ->add('name', TextType::class, ['label' => 'Name of the kitchen', 'required' => false, 'empty_data' => ''])
            ->add('burners', CollectionType::class, ['entry_type' => BurnerType::class, ...$rows])
            ->add('people', CollectionType::class, ['entry_type' => PersonType::class, ...$rows])
            ->add('tools', CollectionType::class, ['entry_type' => ToolType::class, ...$rows])
            ->add('scales', CollectionType::class, ['entry_type' => ScaleType::class, ...$rows])
            ->add('rules', CollectionType::class, ['entry_type' => RuleType::class, ...$rows])
            ->add('cupMl', NumberTextType::class, ['label' => 'The cup here holds, ml'])
            ->add('scaleStepGrams', NumberTextType::class, [
                'label' => 'The scale shows steps of, g',
                'help' => 'Where no scales are listed',
            ])
            ->add('altitudeM', NumberTextType::class, ['label' => 'Metres above the sea'])
            ->add('roomCelsius', NumberTextType::class, ['label' => 'The room, °C'])
            ->add('humidity', NumberTextType::class, ['label' => 'Humidity, 0 to 1'])
            ->add('coldLitres', NumberTextType::class, ['label' => 'Cold space, l'])
            ->add('warmLitres', NumberTextType::class, ['label' => 'Place that keeps hot, l'])
            ->add('warmCelsius', NumberTextType::class, ['label' => 'so hot, °C'])
            ->add('dryingM2', NumberTextType::class, ['label' => 'Room to dry things on, m²', 'help' => 'Empty: as much as is needed'])
            ->add('fuel', FuelStoreType::class, ['label' => false, 'required' => false])
            ->add('liftKg', NumberTextType::class, ['label' => 'One person lifts, kg'])
            ->add('tasting', ChoiceType::class, [
                'label' => 'Cooks taste',
                'required' => false,
                'placeholder' => false,
                'empty_data' => Tasting::AfterTheOffering->value,
                'choices' => [
                    'only after the offering' => Tasting::AfterTheOffering->value,
                    'while they cook' => Tasting::Always->value,
                    'never' => Tasting::Never->value,
                ],
            ])
            ->add('currency', TextType::class, ['label' => 'Money', 'required' => false, 'empty_data' => '']);
        $limits = $builder->create('fillLimits', FormType::class, ['label' => false, 'required' => false]);
        foreach (FillLimit::cases() as $limit) {
            $limits->add($limit->value, NumberTextType::class, [
                'label' => $limit->reason(),
                'attr' => ['placeholder' => (string) $limit->share()],
            ]);
        }
        $builder->add($limits);
    }
}
