<?php

declare(strict_types=1);

namespace App\Form;

use FeastLadle\Feast\Dish;
use FeastLadle\Feast\Moment;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * One kind of gift box, with so much of each dish of the menu.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class BoxType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        /** @var list<Moment> $moments */
        $moments = $options['moments'];
        /** @var list<Dish> $dishes */
        $dishes = $options['dishes'];
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'On the label', 'required' => false, 'empty_data' => ''])
            ->add('count', NumberTextType::class, ['label' => 'How many'])
            ->add('packSeconds', NumberTextType::class, ['label' => 'Seconds to pack one'])
            ->add('at', ChoiceType::class, [
                'label' => 'Packed by',
                'choices' => array_combine(
                    array_map(static fn (Moment $m): string => $m->name, $moments),
                    array_map(static fn (Moment $m): string => $m->id, $moments),
                ),
            ]);
        $holds = $builder->create('holds', FormType::class, ['label' => false, 'required' => false]);
        foreach ($dishes as $dish) {
            $holds->add($dish->id, NumberTextType::class, [
                'label' => '{letter} · {sweet}, {unit}',
                'label_translation_parameters' => [
                    '{letter}' => $dish->letter,
                    '{sweet}' => $dish->recipe->name,
                    '{unit}' => $dish->recipe->portion->unit(),
                ],
            ]);
        }
        $builder->add($holds);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['dishes' => [], 'moments' => []]);
    }
}
