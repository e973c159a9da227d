<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormEvent;
use Symfony\Component\Form\FormEvents;

/**
 * Gas and wood that are there; the bottles as one line of kilograms.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class FuelStoreType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $bottles = $builder->create('bottles', TextType::class, [
            'label' => 'Bottles of gas there, kg in each',
            'help' => 'As they are opened: 6.5; 14',
            'required' => false,
        ]);
        $bottles->addModelTransformer(new CallbackTransformer(
            static fn (mixed $list): string => \is_array($list) ? implode('; ', array_filter($list, is_scalar(...))) : '',
            static fn (mixed $typed): array => array_map(
                static fn (string $t): float|string => is_numeric($n = str_replace(',', '.', $t)) ? (float) $n : $t,
                preg_split('/[;\s]+/', \is_string($typed) ? trim($typed) : '', -1, \PREG_SPLIT_NO_EMPTY) ?: [],
            ),
        ));
        $builder
            ->add($bottles)
            ->add('bottleKg', NumberTextType::class, ['label' => 'A full bottle, kg of gas'])
            ->add('woodKg', NumberTextType::class, ['label' => 'Wood there, kg'])
            ->addEventListener(FormEvents::SUBMIT, static function (FormEvent $event): void {
                $fuel = $event->getData();
                // What is not told is not stored.
                $isTold = static fn (mixed $v): bool => !\in_array($v, [null, '', []], true);
                $event->setData(\is_array($fuel) ? array_filter($fuel, $isTold) : []);
            });
    }
}
