<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\FaultMapper;
use App\Service\FeastDesk;
use App\Service\LiveDay;
use App\Service\PlanStore;
use App\Service\Stations;
use App\View\ChangesPage;
use App\View\DayScreen;
use App\View\PlannedAndReal;
use App\View\ServingPage;
use FeastLadle\Day\Heard;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Lists of the cooking day beside the board: what is served, what is different, what was planned and what became of it. */
#[Route('/feasts/{id}/day', requirements: ['id' => '[1-9]\d{0,8}'])]
final class DayListsController extends StationController
{
    public function __construct(
        FeastDesk $desk,
        PlanStore $plans,
        Stations $stations,
        FaultMapper $faults,
        private readonly DayScreen $screens,
        private readonly LiveDay $live,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($desk, $plans, $stations, $faults);
    }

    #[Route('/serving', name: 'day_serving', methods: ['GET'])]
    public function serving(int $id, ServingPage $serving): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $this->live->state($open, $plan);
        $screen = $this->screens->of($open, $plan, $state);
        $heard = $screen['heard'];

        return $this->render('day/serving.html.twig', [
            ...$screen,
            ...(null === $state || !$heard instanceof Heard ? [] : $serving->of($state, $heard)),
        ]);
    }

    #[Route('/changes', name: 'day_changes', methods: ['GET'])]
    public function changes(int $id, ChangesPage $changes): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $this->live->state($open, $plan);

        return $this->render('day/changes.html.twig', [
            ...$this->screens->of($open, $plan, $state),
            ...$changes->of($open, $this->clock->now(), $state),
        ]);
    }

    /** What would still save a moment. */
    #[Route('/mends', name: 'day_mends', methods: ['GET'])]
    public function mends(int $id): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $this->live->state($open, $plan);

        return $this->render('day/mends.html.twig', [
            ...$this->screens->of($open, $plan, $state),
            'mends' => null === $state ? [] : $this->live->mends($open, $plan),
        ]);
    }

    #[Route('/real', name: 'day_real', methods: ['GET'])]
    public function real(int $id): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $state = $this->live->told($open, $plan);

        return $this->render('day/real.html.twig', [
            ...$this->screens->of($open, $plan, $state),
            'chart' => [] === $plan->steps ? null : PlannedAndReal::of($open, $plan, $state, $this->clock->now()),
        ]);
    }
}
