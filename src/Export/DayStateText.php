<?php

declare(strict_types=1);

namespace App\Export;

use App\Service\Speaker;
use FeastLadle\Day\DayState;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The cooking day in one minute, to be read: what runs, what may begin, what stands where, how the moments look. */
final readonly class DayStateText
{
    public function __construct(private TranslatorInterface $translator, private Speaker $speaker)
    {
    }

    public function write(Feast $feast, Kitchen $kitchen, DayState $state): string
    {
        $say = fn (string $id, array $values = []): string => $this->translator->trans($id, $values);
        $lines = [$feast->name.', '.$state->at->setTimezone($feast->timeZone)->format('Y-m-d H:i'), ''];
        $of = static fn (StepState $s): array => array_filter($state->steps, static fn (StepNow $n): bool => $n->progress->state === $s);
        $lines[] = $say('{n} of {all} steps done', ['{n}' => \count($of(StepState::Done)), '{all}' => \count($state->steps)]);
        foreach ($of(StepState::Running) as $step) {
            $lines[] = $say('runs: {step}, {least} to {most} min left, likely {likely}', [
                '{step}' => $this->named($step),
                '{least}' => $step->left?->least,
                '{likely}' => $step->left?->likely,
                '{most}' => $step->left?->most,
            ]);
        }
        foreach ($of(StepState::CanBegin) as $step) {
            $lines[] = $say('may begin: {step}', ['{step}' => $this->named($step)]);
        }
        foreach ($state->vessels as $vessel) {
            $lines[] = $say('{vessel}: {grams} g at {celsius} °C, on {where}', [
                '{vessel}' => $vessel->vessel->name,
                '{grams}' => round($vessel->contents->massGrams()),
                '{celsius}' => round($vessel->contents->celsius),
                '{where}' => isset($kitchen->burners[$vessel->where])
                    ? $kitchen->burners[$vessel->where]->name
                    : $kitchen->vessels[$vessel->where]->name ?? $vessel->where,
            ]);
        }
        foreach ($state->moments as $moment) {
            $lines[] = $moment->chance->moment->name.': '.$say($moment->chance->word->says(), ['{count}' => $moment->chance->of100()]);
        }
        foreach ($state->portions as $portion) {
            if ($portion->share() < 1) {
                $lines[] = $say('{dish}: {percent} of 100 of a portion for each', [
                    '{dish}' => $state->plan->quantities->dishes[$portion->dish]->dish->recipe->name,
                    '{percent}' => (int) floor(100 * $portion->share()),
                ]);
            }
            if (null !== $portion->ladle) {
                $lines[] = $say('{dish}: {n} still to come, it lasts for all of them in {chance} of 100', [
                    '{dish}' => $state->plan->quantities->dishes[$portion->dish]->dish->recipe->name,
                    '{n}' => $portion->ladle->toCome,
                    '{chance}' => (int) round(100 * $portion->ladle->chance),
                ]);
            }
        }
        if (null !== $state->stuck) {
            $lines[] = $this->speaker->say($state->stuck);
        }
        if (null !== $state->proposal) {
            $lines[] = $this->speaker->say($state->proposal->because).' '.$this->speaker->say($state->proposal->costs);
        }

        return implode("\n", $lines)."\n";
    }

    private function named(StepNow $step): string
    {
        return $step->planned->step->title.' ('.$step->id().')';
    }
}
