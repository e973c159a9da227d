<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\CookingDay;
use App\Service\LiveDay;
use App\View\CookBoard;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;
use Symfony\Component\Routing\Attribute\Route;

final class CookController extends StationController
{
    #[Route('/feasts/{id}/cook', name: 'cook', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function cook(int $id, CookBoard $board, CookingDay $day, LiveDay $live): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->station('cook', $open, $plan, [
            'board' => $board->of($open, $plan),
            'from' => [] === $day->done($open->record) ? null : $live->state($open, $plan),
            'isOn' => $live->isOn($open, $plan),
        ]);
    }

    #[Route('/feasts/{id}/cook/events', name: 'cook_event', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function event(int $id, Request $request, CookingDay $day, LiveDay $live): Response
    {
        $record = $this->desk->record($id);
        if (!$this->isCsrfTokenValid('cook', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $isDone = match ($request->request->getString('kind')) {
            'done' => true,
            'undone' => false,
            default => null,
        };
        $step = $request->request->getString('step');
        $client = $request->request->getString('client');
        $steps = $this->plans->stepsOf($record, fn () => $this->desk->open($id));
        if (null === $isDone || !isset($steps[$step]) || 1 !== preg_match('/^[A-Za-z0-9-]{8,60}$/D', $client)) {
            throw new UnprocessableEntityHttpException('There is no such step in this plan.');
        }
        $day->tick($record, $step, $isDone, $client);
        $open = $this->desk->open($id);
        $live->settle($open, $this->plans->plan($open));

        return $this->redirectToRoute('cook', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/feasts/{id}/cook/state', name: 'cook_state', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function state(int $id, Request $request, CookingDay $day, ClockInterface $clock): JsonResponse
    {
        $version = $day->versionOf($id) ?? throw $this->createNotFoundException(\sprintf('There is no feast %d in the book.', $id));
        // A phone that asks is a phone that is looked at: its session lives as long as it asks.
        if ($request->hasPreviousSession()) {
            $request->getSession()->start();
            $request->getSession()->save();
        }

        return new JsonResponse(['version' => $version, 'now' => $clock->now()->getTimestamp()]);
    }
}
