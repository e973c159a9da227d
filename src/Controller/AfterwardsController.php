<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\OutcomesType;
use App\Service\Outcomes;
use App\View\AfterTheDay;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class AfterwardsController extends StationController
{
    #[Route('/feasts/{id}/afterwards', name: 'afterwards', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function afterwards(int $id, Request $request, Outcomes $outcomes, AfterTheDay $afterwards): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $lines = $outcomes->lines($open->record, $plan->quantities);
        $day = $afterwards->of($open, $plan);
        $fromDay = $request->isMethod('GET') ? $outcomes->begun($lines, $day['portions']) : [];
        $form = $this->createForm(OutcomesType::class, ['lines' => $lines]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $outcomes->keep($lines);

            return $this->redirectToRoute('afterwards', ['id' => $id], Response::HTTP_SEE_OTHER);
        }

        return $this->station('afterwards', $open, $plan, ['form' => $form, 'fromDay' => $fromDay, 'reserves' => $day['reserves']]);
    }
}
