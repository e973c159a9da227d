<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\LiveDay;
use App\View\LoadDrawing;
use App\View\StepPage;
use App\View\StoveFrames;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The plan at any minute: the stove from above, the load through the day, and one step with how it comes about. */
final class StoveController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    #[Route('/feasts/{id}/stove', name: 'stove', requirements: self::ID, methods: ['GET'])]
    public function stove(int $id, StoveFrames $frames, LoadDrawing $load, LiveDay $live): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        // On the day it opens at this minute, with what is done where it really was.
        $state = $live->state($open, $plan);

        return $this->station('stove', $open, $plan, [
            'stove' => [] === $plan->steps ? null : $frames->of($state->plan ?? $plan, $open, $state?->at),
            'load' => $load->draw($plan, $open->feast, $open->kitchen),
        ]);
    }

    /** One step of the plan: how its minutes come about, why it stands where it stands, what goes in. */
    #[Route('/feasts/{id}/step/{step}', name: 'step', requirements: ['step' => '[^/]+/w?\d+/[^/]+'] + self::ID, methods: ['GET'])]
    public function step(int $id, string $step, StepPage $page): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $found =
            $page->of($step, $plan, $open) ??
            throw $this->createNotFoundException('The plan has no such step any more. Look at the run sheet.');

        return $this->station('step', $open, $plan, ['here' => 'run_sheet', 'page' => $found]);
    }
}
