<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\CookEventKind;
use App\Service\CookingDay;
use App\View\CookBoard;
use App\View\FromHere;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;
use Symfony\Component\Routing\Attribute\Route;

final class CookController extends StationController
{
    #[Route('/feasts/{id}/cook', name: 'cook', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function cook(int $id, CookBoard $board, FromHere $fromHere): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->station('cook', $open, $plan, ['board' => $board->of($open, $plan), 'here' => $fromHere->of($open, $plan)]);
    }

    #[Route('/feasts/{id}/cook/events', name: 'cook_event', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function event(int $id, Request $request, CookingDay $day): Response
    {
        $record = $this->desk->record($id);
        if (!$this->isCsrfTokenValid('cook', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $kind = CookEventKind::tryFrom($request->request->getString('kind'));
        $step = $request->request->getString('step');
        $client = $request->request->getString('client');
        $steps = $this->plans->stepsOf($record, fn () => $this->desk->open($id));
        if (null === $kind || !isset($steps[$step]) || 1 !== preg_match('/^[A-Za-z0-9-]{8,60}$/D', $client)) {
            throw new UnprocessableEntityHttpException('There is no such step in this plan.');
        }
        $day->record($record, $kind, $step, $client);

        return $this->redirectToRoute('cook', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/feasts/{id}/cook/state', name: 'cook_state', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function state(int $id, Request $request, CookingDay $day): JsonResponse
    {
        $version = $day->versionOf($id) ?? throw $this->createNotFoundException(\sprintf('There is no feast %d in the book.', $id));
        // A phone that asks is a phone that is looked at: its session lives as long as it asks.
        if ($request->hasPreviousSession()) {
            $request->getSession()->start();
            $request->getSession()->save();
        }

        return new JsonResponse(['version' => $version]);
    }
}
