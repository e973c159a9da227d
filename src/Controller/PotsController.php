<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\View\PotSections;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
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
        $document = $open->document;
        $dishes = \is_array($document['dishes'] ?? null) ? $document['dishes'] : [];
        foreach ($dishes as $i => $dish) {
            if (\is_array($dish) && \is_string($dish['id'] ?? null) && \is_array($wishes[$dish['id']] ?? null)) {
                $dish['pots'] = array_filter($wishes[$dish['id']], static fn (mixed $v): bool => '' !== $v);
                $dishes[$i] = $dish;
            }
        }
        $document['dishes'] = $dishes;
        try {
            $this->desk->change($open, $document, SeenVersion::in($request));
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
