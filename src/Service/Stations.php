<?php

declare(strict_types=1);

namespace App\Service;

use App\Repository\DishOutcomeRepository;
use FeastLadle\Explaining\Word;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The stations of a feast in the order of the work, each with what is settled or unsettled there. */
final readonly class Stations
{
    /** Pages that belong to a station: its own name among them, and theirs by route. */
    private const UNDER = [
        'stores' => ['What to have', ['cards' => 'Measuring cards', 'boxes' => 'Boxes']],
        'pots' => ['In section', ['dipsticks' => 'Dipsticks and pours']],
        'run_sheet' => ['In order', ['stove' => 'The stove at any minute', 'risk' => 'Risk', 'what_if' => 'What if']],
        'menu' => ['On the menu', ['menu_book' => 'Choose or find']],
        'cook' => ['At the stove', ['rehearsal' => 'Rehearsal']],
        'guests' => ['Who comes', ['who_eats' => 'Who may eat what']],
    ];

    public function __construct(
        private CookingDay $day,
        private DishOutcomeRepository $outcomes,
        private TranslatorInterface $translator,
        private PlanStore $plans,
    ) {
    }

    /** The reader's language. */
    public function locale(): string
    {
        return $this->translator->getLocale();
    }

    /**
     * @return list<array{route: string, name: string, own: string, state: string, values: array<string, int>,
     *     unsettled: bool, under: array<string, string>}>
     */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $noPots = 0;
        $pots = 0;
        foreach ($plan->quantities->dishes as $dish) {
            $noPots += \count($dish->batchPlan->missing);
            $pots += \count($dish->batchPlan->pots);
        }
        $late = \count($plan->obstacles) + \count($plan->clocks) + \count($plan->overruns);
        foreach ($plan->timings as $timing) {
            $late += $timing->lateMinutes > 0 ? 1 : 0;
        }
        // Ticks of steps that the plan no longer has are kept, but not counted.
        $ticked = $this->day->done($open->record);
        $done = \count(array_filter($plan->steps, static fn (PlannedStep $s): bool => isset($ticked[$s->key->id()])));
        $steps = \count($plan->steps);
        $dishes = \count($open->feast->dishes);
        $noted = \count($this->outcomes->findBy(['feast' => $open->record]));

        return [
            $this->station('guests', 'Guests', '{count} guests', $open->feast->guests(), false),
            $this->station('menu', 'Menu', 0 === $dishes ? 'nothing yet' : '{count} sweets', $dishes, 0 === $dishes),
            $this->station(
                'pots',
                'Pots',
                $noPots > 0 ? '{count} fit nowhere' : '{count} vessels',
                $noPots > 0 ? $noPots : $pots,
                $noPots > 0,
            ),
            $this->station('stores', 'Stores', '{count} things', \count($plan->quantities->stores), false),
            $this->station(
                'run_sheet',
                'Run sheet',
                ...$this->howSure($open, $plan, $late),
            ),
            $this->station('cook', 'Cook', '{count} of {steps} done', $done, false, $steps),
            $this->station('afterwards', 'Afterwards', '{count} noted', $noted, false),
        ];
    }

    /**
     * The feast's word: that of its least sure moment.
     *
     * @return array{string, int, bool} words, the number in them, and whether something is to be settled
     */
    private function howSure(OpenFeast $open, Plan $plan, int $late): array
    {
        if (!$plan->isScheduled) {
            return ['being planned …', 0, false];
        }
        if ($late > 0) {
            return ['{count} not in time', $late, true];
        }
        $moments = $this->plans->moments($open, $plan);
        $least = [] === $plan->steps ? null : $moments->least();
        if (null === $least) {
            return ['nothing to plan', 0, false];
        }

        return [$least->word->says(), $least->of100(), Word::AtRisk === $least->word];
    }

    /**
     * @return array{route: string, name: string, own: string, state: string, values: array<string, int>, unsettled: bool,
     *     under: array<string, string>}
     */
    private function station(string $route, string $name, string $state, int $count, bool $unsettled, int $steps = 0): array
    {
        return [
            'route' => $route,
            'name' => $name,
            'own' => self::UNDER[$route][0] ?? $name,
            'under' => self::UNDER[$route][1] ?? [],
            'state' => $state,
            'values' => ['{count}' => $count, '{steps}' => $steps],
            'unsettled' => $unsettled,
        ];
    }
}
