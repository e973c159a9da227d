<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\DocumentFileType;
use App\Form\FaultMapper;
use App\Service\CurrentKitchen;
use App\Service\KitchenDesk;
use App\View\VesselShelf;
use FeastLadle\Document\FaultyDocument;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class KitchenController extends AbstractController
{
    public function __construct(private readonly CurrentKitchen $kitchen)
    {
    }

    #[Route('/kitchen', name: 'kitchen', methods: ['GET', 'POST'])]
    public function kitchen(Request $request, KitchenDesk $desk, FaultMapper $faults, VesselShelf $shelf): Response
    {
        $form = $this->createForm(DocumentFileType::class);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $file = $form->get('file')->getData();
            try {
                $desk->change($file instanceof UploadedFile ? $file->getContent() : '');
                $this->addFlash('good', 'Taken in.');

                return $this->redirectToRoute('kitchen', status: Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument $faulty) {
                $faults->map($form, $faulty);
            }
        }

        return $this->render('kitchen.html.twig', ['kitchen' => $this->kitchen->get(), 'equipment' => $this->kitchen->equipment(), 'shelf' => $shelf->of($this->kitchen->equipment()), 'form' => $form]);
    }

    #[Route('/kitchen.json', name: 'kitchen_document', methods: ['GET'])]
    public function document(): Response
    {
        return new Response($this->kitchen->get()->getDocument(), headers: ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="kitchen.json"']);
    }
}
