<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormEvent;
use Symfony\Component\Form\FormEvents;

/**
 * The inside of a vessel by its measured numbers, or by what it holds to the brim.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class ShapeType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('form', ChoiceType::class, [
                'label' => 'Shape',
                'choices' => [
                    'straight round wall' => 'straight',
                    'rim and base differ' => 'tapered',
                    'round-bottomed' => 'bowl',
                    'box or tray' => 'box',
                ],
            ])
            ->add('diameterMm', NumberTextType::class, ['label' => 'Across, mm'])
            ->add('baseMm', NumberTextType::class, ['label' => 'Base across, mm'])
            ->add('rimMm', NumberTextType::class, ['label' => 'Rim across, mm'])
            ->add('lengthMm', NumberTextType::class, ['label' => 'Length, mm'])
            ->add('widthMm', NumberTextType::class, ['label' => 'Width, mm'])
            ->add('heightMm', NumberTextType::class, ['label' => 'Height, mm'])
            ->add('litres', NumberTextType::class, ['label' => 'or holds to the brim, l'])
            ->addEventListener(FormEvents::SUBMIT, static function (FormEvent $event): void {
                $shape = $event->getData();
                $event->setData(\is_array($shape) ? self::own($shape) : $shape);
            });
    }

    /**
     * Of a shape only what belongs to its form is kept.
     *
     * @param array<mixed> $shape
     *
     * @return array<mixed>
     */
    private static function own(array $shape): array
    {
        $own = match ($shape['form'] ?? null) {
            'straight' => ['diameterMm'],
            'tapered' => ['baseMm', 'rimMm'],
            'bowl' => ['rimMm'],
            default => ['lengthMm', 'widthMm'],
        };
        // A vessel that has just become another shape starts from what was measured of the one it was.
        $across = $shape['diameterMm'] ?? ($shape['rimMm'] ?? ($shape['lengthMm'] ?? null));
        foreach ($own as $length) {
            $shape[$length] ??= $across;
        }
        if (null !== ($shape['litres'] ?? null)) {
            unset($shape['heightMm']);
        }

        return array_filter(
            array_intersect_key($shape, array_flip(['form', 'heightMm', 'litres', ...$own])),
            static fn (mixed $v): bool => null !== $v,
        );
    }
}
