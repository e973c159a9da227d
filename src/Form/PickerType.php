<?php

declare(strict_types=1);

namespace App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A day or a time of day, picked with what the browser has for it. It goes on as the text it is, so that the core can refuse it in its
 * own words.
 *
 * @extends AbstractType<string>
 */
final class PickerType extends AbstractType
{
    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $value = $form->getViewData();
        $format = 'date' === $options['picks'] ? '/^\d{4}-\d\d-\d\d$/' : '/^([01]\d|2[0-3]):[0-5]\d$/';
        // A picker shows nothing of what it can't read: that is left to be mended as text.
        $view->vars['type'] =
            \is_string($value) && '' !== $value && 1 !== preg_match($format, $value) ? 'text' : $options['picks'];
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['picks' => 'time', 'required' => false, 'empty_data' => '', 'compound' => false]);
        $resolver->setAllowedValues('picks', ['date', 'time']);
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
