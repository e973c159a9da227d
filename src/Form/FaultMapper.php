<?php

declare(strict_types=1);

namespace App\Form;

use App\Service\ChangedMeanwhile;
use App\Service\Speaker;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormInterface;

/** Puts the faults of a document at the form fields their pointers lead to; what has no field stands above the form. */
final readonly class FaultMapper
{
    public function __construct(private Speaker $speaker)
    {
    }

    /**
     * @template T
     *
     * @param FormInterface<T>      $form
     * @param array<string, string> $elsewhere pointer in the document → name of the field that asks for it
     */
    public function map(FormInterface $form, FaultyDocument $faulty, array $elsewhere = []): void
    {
        foreach ($faulty->faults as $fault) {
            $field = $form;
            $found = true;
            foreach (
                array_filter(
                    explode('/', $elsewhere[$fault->pointer] ?? $fault->pointer),
                    static fn (string $s): bool => '' !== $s,
                ) as $segment
            ) {
                if (!$field->has($segment)) {
                    $found = false;
                    break;
                }
                $field = $field->get($segment);
            }
            $message = $this->say($fault);
            $field->addError(new FormError($found ? $message : $fault->pointer.': '.$message));
        }
    }

    /**
     * A refused change, at its fields or, when somebody else was quicker, above them.
     *
     * @template T
     *
     * @param FormInterface<T> $form
     */
    public function refuse(FormInterface $form, FaultyDocument|ChangedMeanwhile $refusal): void
    {
        if ($refusal instanceof FaultyDocument) {
            $this->map($form, $refusal);
        } else {
            $form->addError(new FormError($this->say(new Fault('', $refusal->getMessage()))));
        }
    }

    /** A refusal in one line: its first fault. */
    public function says(FaultyDocument|ChangedMeanwhile $refusal): string
    {
        return $this->say($refusal instanceof FaultyDocument ? $refusal->faults[0] : new Fault('', $refusal->getMessage()));
    }

    public function say(Fault $fault): string
    {
        return $this->speaker->say($fault->sentence);
    }
}
