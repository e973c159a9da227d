<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\Extension\Core\Type\TextareaType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;

/**
 * A rule about ingredients, with what it forbids as ids between commas.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class RuleType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('id', HiddenType::class)
            ->add('name', TextType::class, ['label' => 'Rule', 'required' => false, 'empty_data' => ''])
            ->add(
                $builder
                    ->create('forbids', TextType::class, ['label' => 'Forbids, between commas', 'required' => false])
                    ->addModelTransformer(
                        new CallbackTransformer(
                            static fn (mixed $ids): string => \is_array($ids) ? implode(', ', array_filter($ids, \is_string(...))) : '',
                            static fn (mixed $typed): array => array_values(
                                array_filter(
                                    array_map(trim(...), explode(',', \is_string($typed) ? $typed : '')),
                                    static fn (string $id): bool => '' !== $id,
                                ),
                            ),
                        ),
                    ),
            )
            ->add(
                $builder
                    ->create('instead', TextareaType::class, [
                        'label' => 'Instead, a line each: sugar: jaggery × 1.1, what to look out for',
                        'required' => false,
                        'attr' => ['rows' => 5],
                    ])
                    ->addModelTransformer(new InsteadLines()),
            );
    }
}
