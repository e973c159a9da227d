<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\Service\Scenarios;
use App\Service\Speaker;
use App\Service\WhatIf;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Measure\AmountWriter;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What may be tried beside the plan, what each thing brings, and looking for a better plan. */
final class WhatIfController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    /** A plan of so many steps that is not in time is tried at once with everything. */
    private const FEW_STEPS = 60;

    #[Route('/feasts/{id}/what-if', name: 'what_if', requirements: self::ID, methods: ['GET', 'POST'])]
    public function whatIf(int $id, Request $request, WhatIf $whatIf, Scenarios $all): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $scenarios = $all->of($open, $plan);
        $asked =
            $scenarios[$request->isMethod('POST') ? $request->request->getString('keep') : $request->query->getString('try')] ?? null;
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('what-if', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            if (null === $asked?->document) {
                throw $this->createNotFoundException('There is no such thing to keep.');
            }
            try {
                $this->desk->change($open, $asked->document->fields, SeenVersion::in($request));
                $this->addFlash('good', 'Kept, and planned anew with it.');
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $this->addFlash('bad', $this->faults->says($refusal));
            }

            return $this->redirectToRoute('what_if', ['id' => $id], Response::HTTP_SEE_OTHER);
        }

        return $this->station('what_if', $open, $plan, [
            'scenarios' => $scenarios,
            'isShort' => !$plan->isOnTime() || $this->plans->moments($open, $plan)->shortfall() > 0,
            'asked' => $asked,
            'begin' => $request->query->has('begin') || (!$plan->isOnTime() && null === $asked && \count($plan->steps) <= self::FEW_STEPS),
            'tried' => null === $asked ? null : $whatIf->try($open, $plan, $asked),
        ]);
    }

    /** What one thing brings, for a page that tries them all one after the other. */
    #[Route('/feasts/{id}/what-if/verdict', name: 'verdict', requirements: self::ID, methods: ['POST'])]
    public function verdict(
        int $id,
        Request $request,
        WhatIf $whatIf,
        Scenarios $all,
        TranslatorInterface $translator,
        Speaker $speaker,
    ): JsonResponse {
        if (!$this->isCsrfTokenValid('what-if', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        $asked =
            $all->of($open, $plan)[$request->request->getString('try')] ??
            throw $this->createNotFoundException('There is no such thing to try.');
        $verdict = $whatIf->verdict($open, $plan, $this->plans->moments($open, $plan)->of100(), $asked);

        return new JsonResponse([
            'id' => $verdict->id,
            'won' => $verdict->won,
            'out' => $verdict->out,
            'mends' => $verdict->mends,
            'points' => $verdict->points,
            'says' => [] !== $verdict->weighed
                ? implode('; ', array_map($speaker->say(...), $verdict->weighed))
                : $translator->trans($verdict->message, [
                    '{minutes}' => AmountWriter::duration(abs($verdict->won ?? 0)),
                    '{hands}' => AmountWriter::duration(abs($verdict->hands)),
                    '{points}' => abs($verdict->points),
                ]),
        ]);
    }

    /** Looks for a better plan for a moment, beginning with the one there is; what it finds is kept. */
    #[Route('/feasts/{id}/search', name: 'search', requirements: self::ID, methods: ['POST'])]
    public function search(int $id, Request $request): JsonResponse
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('search', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $plan = $this->plans->improve($open, max(1, min(100, $request->request->getInt('round', 1))));
        $moments = $this->plans->moments($open, $plan);

        return new JsonResponse([
            'objective' => $plan->solution->objective,
            'bound' => $plan->solution->bound,
            'inTime' => $plan->isOnTime(),
            'of100' => $moments->of100(),
            'short' => $moments->shortfall() > 0,
        ]);
    }
}
