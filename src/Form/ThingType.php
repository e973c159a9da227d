<?php

declare(strict_types=1);

namespace App\Form;

use FeastLadle\Larder\Danger;
use FeastLadle\Larder\Origin;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * A thing of the larder, by the fields of its document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class ThingType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $text = ['required' => false, 'empty_data' => ''];
        $builder
            ->add('name', TextType::class, ['label' => 'Name', ...$text])
            ->add('names', TextType::class, ['label' => 'Also called', 'help' => 'Names between commas', ...$text])
            ->add('cupGrams', NumberTextType::class, [
                'label' => 'Weigh your cup: grams in a level one',
                'help' => 'Empty: by the density below',
            ])
            ->add('density', NumberTextType::class, ['label' => 'Grams in a ml, as it lies in a cup'])
            ->add('potMl', NumberTextType::class, ['label' => 'ml of a gram in the pot', 'help' => 'Air gone, sugar dissolved'])
            ->add('water', NumberTextType::class, ['label' => 'Water, share'])
            ->add('sugar', NumberTextType::class, ['label' => 'Sugar, share'])
            ->add('fat', NumberTextType::class, ['label' => 'Fat, share'])
            ->add('starch', NumberTextType::class, ['label' => 'Starch, share'])
            ->add('soak', NumberTextType::class, ['label' => 'Water it takes when soaked, g per g'])
            ->add('cooked', NumberTextType::class, ['label' => 'Water it takes in all when cooked, g per g'])
            ->add('pressureMinutes', NumberTextType::class, ['label' => 'Minutes at pressure until it is soft'])
            ->add('unsoakedTimes', NumberTextType::class, ['label' => 'Unsoaked, so many times as long'])
            ->add('each', NumberTextType::class, ['label' => 'Grams of one, if it is counted'])
            ->add('mostCelsius', NumberTextType::class, ['label' => 'It splits above °C', 'help' => 'Empty: it stands the boil'])
            ->add('leadDays', NumberTextType::class, ['label' => 'Days ahead it has to be asked for'])
            ->add('allergens', TextType::class, ['label' => 'Allergens', 'help' => 'Between commas', ...$text])
            ->add('hazards', ChoiceType::class, [
                'label' => 'It can hurt',
                'choices' => [
                    'small children choke on it whole' => Danger::Choking->value,
                    'babies under one' => Danger::Honey->value,
                    'the law restricts it' => Danger::Law->value,
                    'only in edible grade' => Danger::Grade->value,
                ],
                'multiple' => true,
                'expanded' => true,
                'required' => false,
            ])
            ->add('diet', ChoiceType::class, [
                'label' => 'It is',
                'choices' => [
                    'of plants' => Origin::Plant->value,
                    'dairy' => Origin::Dairy->value,
                    'of an animal, not milk' => Origin::Animal->value,
                ],
            ])
            ->add('packName', TextType::class, ['label' => 'Sold as', ...$text])
            ->add('packGrams', NumberTextType::class, ['label' => 'Grams in a pack']);
        foreach (['names', 'allergens'] as $list) {
            $builder
                ->get($list)
                ->addModelTransformer(
                    new CallbackTransformer(
                        static fn (mixed $names): string => \is_array($names) ? implode(', ', array_filter($names, \is_string(...))) : '',
                        static fn (mixed $typed): array => array_values(
                            array_filter(
                                array_map(trim(...), explode(',', \is_string($typed) ? $typed : '')),
                                static fn (string $n): bool => '' !== $n,
                            ),
                        ),
                    ),
                );
        }
    }
}
