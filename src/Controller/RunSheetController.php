<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\HandsType;
use App\View\RunSheetChart;
use FeastLadle\Schedule\ProblemWriter;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class RunSheetController extends StationController
{
    #[Route('/feasts/{id}/run-sheet', name: 'run_sheet', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function runSheet(int $id, Request $request, RunSheetChart $chart): Response
    {
        $open = $this->desk->open($id);
        $people = [];
        foreach ($open->kitchen->people as $person) {
            $people[$person->name] = $person->id;
        }
        $form = $this->createForm(HandsType::class, $open->document, ['people' => $people]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            $remove = $request->request->get('remove');
            $fresh = $request->request->has('add') ? ['person' => (string) array_key_first($open->kitchen->people), 'day' => 0, 'from' => '15:00', 'to' => '19:00'] : null;
            $document['hands'] = $this->rows($document['hands'] ?? null, is_numeric($remove) ? (int) $remove : null, $fresh);
            if ($this->take($form, $open, $document, $request)) {
                return $this->redirectToRoute('run_sheet', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
        }
        $plan = $this->plans->plan($open);

        return $this->station('run_sheet', $open, $plan, ['form' => $form, 'chart' => $chart->draw($plan, $open)]);
    }

    /** The plan's schedule problem in the open format, to feed to ladle:schedule or anything else that reads it. */
    #[Route('/feasts/{id}/schedule-problem.json', name: 'schedule_problem', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function problem(int $id): JsonResponse
    {
        return new JsonResponse((new ProblemWriter())->problem($this->plans->plan($this->desk->open($id))->problem));
    }
}
