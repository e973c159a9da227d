<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\View\PotSections;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastDocument;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PotsController extends StationController
{
    #[Route('/feasts/{id}/pots', name: 'pots', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function pots(int $id, Request $request, PotSections $sections): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->shown($open, $this->inPlace($request));

        return $this->station('pots', $open, $plan, ['dishes' => $sections->of($plan->quantities, $open->kitchen), 'faults' => []]);
    }

    #[Route('/feasts/{id}/pots', name: 'pots_choose', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function choose(int $id, Request $request, PotSections $sections): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('pots', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $wishes = $request->request->all('pots');
        $document = FeastDocument::of($open->document);
        foreach ($document->rows('dishes') as $i => $dish) {
            $chosen = \is_string($dish['id'] ?? null) ? $wishes[$dish['id']] ?? null : null;
            if (\is_array($chosen)) {
                $document = $document->withDish($i, ['pots' => array_filter($chosen, static fn (mixed $v): bool => '' !== $v)]);
            }
        }
        try {
            $this->desk->change($open, $document->fields, SeenVersion::in($request));
        } catch (FaultyDocument|ChangedMeanwhile $refusal) {
            $faults = $refusal instanceof FaultyDocument ? $refusal->faults : [new Fault('', $refusal->getMessage())];
            $open = $this->desk->open($id);
            $plan = $this->plans->shown($open, $this->inPlace($request));

            return $this->station(
                'pots',
                $open,
                $plan,
                ['dishes' => $sections->of($plan->quantities, $open->kitchen), 'faults' => array_map($this->faults->say(...), $faults)],
                new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY),
            );
        }

        return $this->redirectToRoute('pots', ['id' => $id], Response::HTTP_SEE_OTHER);
    }
}
