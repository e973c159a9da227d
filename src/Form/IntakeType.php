<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\FileType;
use Symfony\Component\Form\Extension\Core\Type\TextareaType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Validator\Constraints\File;
use Symfony\Component\Validator\Constraints\Length;

/**
 * A recipe from outside: a file, or a text that is pasted or told.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class IntakeType extends AbstractType
{
    private const LARGEST_TEXT = 100_000;

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('text', TextareaType::class, [
                'required' => false,
                'label' => 'Paste it, or write down how it was told',
                'attr' => ['rows' => 7, 'placeholder' => 'You take one cup of semolina and roast it in half a cup of ghee …'],
                'constraints' => [
                    new Length(
                        max: self::LARGEST_TEXT,
                        maxMessage: 'This text has more than {{ limit }} characters. Paste one recipe at a time.',
                    ),
                ],
            ])
            ->add('file', FileType::class, [
                'required' => false,
                'label' => 'Or a file: our own JSON, JSON-LD, a saved page, or text',
                'constraints' => [new File(maxSize: '2M')],
            ]);
    }
}
