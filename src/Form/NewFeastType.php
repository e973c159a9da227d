<?php

declare(strict_types=1);

namespace App\Form;

use App\Entity\KitchenRecord;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<array<string, mixed>> */
final class NewFeastType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $text = ['required' => false, 'empty_data' => ''];
        $builder
            ->add('name', TextType::class, ['label' => 'Name of the feast', ...$text])
            ->add('date', PickerType::class, ['label' => 'Date', 'picks' => 'date'])
            ->add('timeZone', TextType::class, [
                'label' => 'Time zone',
                'help' => 'A zone name, or the hours from UTC as in +05:30',
                ...$text,
            ])
            ->add('count', NumberTextType::class, ['label' => 'Guests'])
            ->add('time', PickerType::class, ['label' => 'Sweets ready at']);
        /** @var list<KitchenRecord> $kitchens */
        $kitchens = $options['kitchens'];
        if (\count($kitchens) > 1) {
            $builder->add('kitchen', ChoiceType::class, [
                'label' => 'Cooked in',
                'choices' => array_combine(
                    array_map(static fn (KitchenRecord $k): string => $k->getName(), $kitchens),
                    array_map(static fn (KitchenRecord $k): int => $k->getId() ?? 0, $kitchens),
                ),
            ]);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['kitchens' => []]);
    }
}
