<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Export\StoresCsv;
use App\Service\Pantry;
use App\View\StoreRows;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\FuelNeed;
use FeastLadle\Explaining\FuelTally;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class StoresController extends StationController
{
    #[Route('/feasts/{id}/stores', name: 'stores', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function stores(int $id, Request $request, StoreRows $rows, Pantry $pantry): Response
    {
        $open = $this->desk->open($id);
        $faults = [];
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('stores', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            try {
                $pantry->take(
                    $open->record->getKitchen(),
                    $request->request->all('have'),
                    $request->request->all('until'),
                    $request->request->all('price'),
                    $request->request->all('was'),
                );
                if (!$this->inPlace($request)) {
                    return $this->redirectToRoute('stores', ['id' => $id], Response::HTTP_SEE_OTHER);
                }
                $open = $this->desk->open($id);
            } catch (FaultyDocument $faulty) {
                $faults = array_map($this->faults->say(...), $faulty->faults);
            }
        }
        $plan = $this->plans->shown($open, $this->inPlace($request));

        return $this->station(
            'stores',
            $open,
            $plan,
            ['list' => $rows->of($plan->quantities, $open->kitchen), 'fuel' => FuelTally::of($plan, $open->kitchen),
                'fuelNeeds' => FuelNeed::of($plan, $open->kitchen), 'faults' => $faults],
            new Response(status: [] === $faults ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }

    #[Route('/feasts/{id}/stores.csv', name: 'stores_csv', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function csv(int $id, StoresCsv $csv): Response
    {
        $open = $this->desk->open($id);

        return new Response(
            $csv->write($this->plans->plan($open)->quantities),
            headers: ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="stores.csv"'],
        );
    }

    #[Route('/feasts/{id}/stores.pdf', name: 'stores_pdf', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function pdf(int $id, Request $request, StoreRows $rows, PdfPrinter $printer): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $printer->print(
            'paper/stores.html.twig',
            [
                'feast' => $open->feast,
                'kitchen' => $open->kitchen,
                'list' => $rows->of($plan->quantities, $open->kitchen),
                'fuelNeeds' => FuelNeed::of($plan, $open->kitchen),
                'fuel' => FuelTally::of($plan, $open->kitchen),
            ],
            $request,
            $open->feast->name.' stores',
        );
    }
}
