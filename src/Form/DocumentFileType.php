<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\FileType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Validator\Constraints\File;
use Symfony\Component\Validator\Constraints\NotNull;

/**
 * One file with a JSON document.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class DocumentFileType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('file', FileType::class, [
            'label' => 'File',
            'attr' => ['accept' => '.json,application/json'],
            'constraints' => [
                new NotNull(message: 'Choose a file first.'),
                new File(
                    maxSize: '1M',
                    maxSizeMessage: 'The file is {{ size }} {{ suffix }}; the most that is read is {{ limit }} {{ suffix }}.',
                    uploadIniSizeErrorMessage: 'The file is larger than the {{ limit }} {{ suffix }} that are read.',
                    uploadFormSizeErrorMessage: 'The file is larger than what is read.',
                ),
            ],
        ]);
    }
}
