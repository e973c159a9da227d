<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\FaultMapper;
use App\Form\NewFeastType;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Service\CurrentKitchen;
use App\Service\FeastDesk;
use App\Service\FeastTemplate;
use App\Service\PlanStore;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\Today;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class FeastController extends AbstractController
{
    #[Route('/', name: 'feasts', methods: ['GET', 'POST'])]
    public function feasts(
        Request $request,
        FeastRepository $feasts,
        CurrentKitchen $kitchen,
        FeastDesk $desk,
        FaultMapper $faults,
        ClockInterface $clock,
        KitchenRepository $kitchens,
        PlanStore $plans,
    ): Response {
        $form = $this->createForm(
            NewFeastType::class,
            ['timeZone' => $clock->now()->getTimezone()->getName(), 'count' => 20],
            ['kitchens' => $kitchens->household()],
        );
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $wish */
            $wish = $form->getData();
            try {
                $chosen = $kitchens->find((int) (is_numeric($wish['kitchen'] ?? null) ? $wish['kitchen'] : 0));
                if (null !== $chosen) {
                    $kitchen->enter($chosen);
                }
                $feast = $desk->create(FeastTemplate::document($wish, $kitchen->equipment()));

                return $this->redirectToRoute('menu', ['id' => $feast->getId()], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument $faulty) {
                $faults->map($form, $faulty, ['/groups/0/count' => 'count', '/moments/0/time' => 'time']);
            }
        }
        $open = $sure = $today = [];
        foreach ($feasts->findBy([], ['id' => 'DESC']) as $record) {
            $open[] = $feast = $desk->open($record->getId() ?? 0);
            // What was not planned yet is planned when somebody opens it, not for the list.
            $plan = $plans->isKept($feast) ? $plans->plan($feast) : null;
            if (null !== $plan && [] !== $plan->steps) {
                $today[$record->getId() ?? 0] = Today::of($feast->feast, $plan, $clock->now());
                $moments = $plans->moments($feast, $plan);
                $sure[$record->getId() ?? 0] = ['says' => $moments->word($plan)->says(), 'of100' => $moments->of100()];
            }
        }

        return $this->render('feasts.html.twig', ['form' => $form, 'feasts' => $open, 'sure' => $sure, 'today' => $today]);
    }

    #[Route('/feasts/{id}/remove', name: 'feast_remove', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function remove(int $id, Request $request, FeastDesk $desk): Response
    {
        $open = $desk->open($id);
        if (!$this->isCsrfTokenValid('remove-feast', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $desk->remove($open);
        $this->addFlash('good', 'Taken out of the book.');

        return $this->redirectToRoute('feasts', status: Response::HTTP_SEE_OTHER);
    }
}
