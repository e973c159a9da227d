<?php

declare(strict_types=1);

namespace App\Form;

use App\Service\RecipeBook;
use FeastLadle\Document\Faults;
use FeastLadle\Document\Node;
use FeastLadle\Larder\Without;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Schools\ChoicesReader;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormEvent;
use Symfony\Component\Form\FormEvents;
use Symfony\Component\Form\FormInterface;

/**
 * A dish of the menu, with the schools and dials that its own recipe offers.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class DishType extends AbstractType
{
    public function __construct(private readonly RecipeBook $book)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('recipe', HiddenType::class)
            ->add('portion', NumberTextType::class, ['label' => 'Portion for a grown-up', 'help' => 'Empty: as the recipe says'])
            ->add('uptake', ShareType::class, ['label' => 'Share of guests who take it', 'help' => 'As in 90 % or 24 of 28'])
            ->add('readyEarlier', NumberTextType::class, [
                'label' => 'Ready earlier than its moment, min',
                'help' => 'As early as it keeps, and no earlier',
            ])
            ->addEventListener(FormEvents::PRE_SET_DATA, function (FormEvent $event): void {
                $dish = $event->getData();
                $recipe = $this->recipe($dish);
                if (\is_array($dish) && null !== $recipe) {
                    $this->addWays($event->getForm(), $recipe, $dish);
                }
            })
            ->addEventListener(FormEvents::SUBMIT, function (FormEvent $event): void {
                $dish = $event->getData();
                if (!\is_array($dish)) {
                    return;
                }
                // What is left as written is not stored.
                foreach (['schools', 'dials'] as $field) {
                    $dish[$field] = \is_array($dish[$field] ?? null)
                        ? array_filter($dish[$field], static fn (mixed $v): bool => null !== $v && '' !== $v && 1 !== $v)
                        : [];
                }
                foreach ($this->recipe($dish)->way->schools ?? [] as $school) {
                    if (($dish['schools'][$school->id] ?? null) === $school->usual()) {
                        unset($dish['schools'][$school->id]);
                    }
                }
                if (\in_array($dish['readyEarlier'] ?? null, [null, 0], true)) {
                    unset($dish['readyEarlier']);
                }
                foreach (ChoicesReader::FIELDS as $field) {
                    if ([] === ($dish[$field] ?? [])) {
                        unset($dish[$field]);
                    }
                }
                $event->setData($dish);
            });
    }

    private function recipe(mixed $dish): ?Recipe
    {
        $slug = \is_array($dish) ? $dish['recipe'] ?? null : null;
        $revision = \is_array($dish) ? $dish['revision'] ?? null : null;

        return \is_string($slug) ? $this->book->find($slug, \is_int($revision) ? $revision : null) : null;
    }

    /**
     * @param FormInterface<mixed>    $form
     * @param array<array-key, mixed> $dish
     */
    private function addWays(FormInterface $form, Recipe $recipe, array $dish): void
    {
        $chosen = (new ChoicesReader())->read(Node::root($dish, new Faults()), $recipe->way);
        $answers = $recipe->way->answers($chosen->schools);
        $form->add('schools', FormType::class, ['label' => false]);
        foreach ($recipe->way->schools as $school) {
            if (isset($answers[$school->id])) {
                $names = array_map(static fn ($o): string => $o->name, $school->options);
                $option = $school->options[$answers[$school->id]];
                $form->get('schools')->add($school->id, ChoiceType::class, [
                    'label' => $school->question,
                    'choices' => array_flip($names),
                    'required' => false,
                    'placeholder' => false,
                    'empty_data' => $school->usual(),
                    // What the written way goes without is no news on a menu.
                    'help' => '' === $option->loses || $option->id === $school->usual() ? '{why}' : '{why} Lost then: {what}',
                    'help_translation_parameters' => ['{why}' => $option->why, '{what}' => $option->loses],
                    'choice_translation_domain' => false,
                ]);
            }
        }
        $form->add('dials', FormType::class, ['label' => false]);
        foreach ($recipe->way->dials as $dial) {
            $form->get('dials')->add($dial->kind->value, NumberTextType::class, [
                'label' => $dial->kind->label(),
                'help' => 'From {least} to {most}; 1 or empty is as written',
                'help_translation_parameters' => ['{least}' => $dial->least, '{most}' => $dial->most],
                'attr' => ['class' => 'short', 'inputmode' => 'decimal', 'placeholder' => '1'],
            ]);
        }
        $form->add('without', ChoiceType::class, [
            'label' => 'For guests who do without',
            'choices' => array_combine(array_column(Without::cases(), 'value'), array_column(Without::cases(), 'value')),
            'multiple' => true,
            'expanded' => true,
            'required' => false,
        ]);
        $optional = array_map(static fn (array $s): string => $s['title'], array_intersect_key($recipe->way->optional, $recipe->steps));
        if ([] !== $optional) {
            $form->add('leftOut', ChoiceType::class, [
                'label' => 'To leave out',
                'choices' => array_combine(array_map(strval(...), $optional), array_keys($optional)),
                'multiple' => true,
                'expanded' => true,
                'required' => false,
                'choice_translation_domain' => false,
            ]);
        }
        $buyable = array_filter($recipe->bases, static fn (Recipe $b): bool => null !== $b->base?->bought);
        if ([] !== $buyable) {
            $form->add('bought', ChoiceType::class, [
                'label' => 'Bases to buy, not make',
                'choices' => array_flip(array_map(static fn (Recipe $b): string => $b->name, $buyable)),
                'multiple' => true,
                'expanded' => true,
                'required' => false,
                'choice_translation_domain' => false,
            ]);
        }
    }
}
