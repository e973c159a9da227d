<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\Service\WishedRoom;
use App\View\HoldingCurves;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\RoomBefore;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Schedule\SolutionStatus;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Translation\TranslatorInterface;

/** How sure the plan is, and the room before the moments that makes it surer. */
final class RiskController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    #[Route('/feasts/{id}/risk', name: 'risk', requirements: self::ID, methods: ['GET', 'POST'])]
    public function risk(int $id, Request $request, WishedRoom $sure, HoldingCurves $holding, TranslatorInterface $translator): Response
    {
        $open = $this->desk->open($id);
        $faults = [];
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('risk', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            $typed = trim($request->request->getString('margin'));
            try {
                $document = $request->request->has('sure')
                    ? $sure->document($open)
                    : FeastDocument::of($open->document)->withMargin(
                        ctype_digit($typed) && \strlen($typed) < 6 ? (int) $typed : ('' === $typed ? 0 : $typed),
                    )->fields;
                if ($request->request->has('sure') && $document === $open->document) {
                    $this->addFlash('bad', $translator->trans('Ready earlier makes none of them surer, so nothing was changed.'));
                }
                $this->desk->change($open, $document, SeenVersion::in($request));

                return $this->redirectToRoute('risk', ['id' => $id], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $faults = array_map(
                    $this->faults->say(...),
                    $refusal instanceof FaultyDocument ? $refusal->faults : [new Fault('', $refusal->getMessage())],
                );
                $open = $this->desk->open($id);
            }
        }
        $plan = $this->plans->plan($open);
        $steps = [];
        foreach ($plan->steps as $step) {
            $steps[$step->activity] = $step;
        }
        $risk =
            SolutionStatus::Feasible === $plan->solution->status && [] !== $plan->steps ? $this->plans->chances($open, $plan) : null;

        return $this->station(
            'risk',
            $open,
            $plan,
            [
                'faults' => $faults,
                'holding' => null === $risk ? null : $holding->of($open, $plan),
                'risk' => $risk,
                'moments' => $this->plans->moments($open, $plan)->moments,
                'held' => RoomBefore::heldBack($open->feast, $plan),
                'short' => null !== $risk && !$plan->isToTheMinute && [] !== RoomBefore::wanted($plan, $risk),
                'steps' => $steps,
                'blamed' => \array_slice(
                    array_filter(
                        $risk->blame ?? [],
                        static fn (string $id): bool => isset($steps[$id])
                            && [] !== $steps[$id]->dish->dish->recipe->step($steps[$id]->key->step)->sources(),
                        \ARRAY_FILTER_USE_KEY,
                    ),
                    0,
                    8,
                ),
            ],
            new Response(status: [] === $faults ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
