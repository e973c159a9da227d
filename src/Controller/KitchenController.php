<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\DocumentFileType;
use App\Form\FaultMapper;
use App\Service\CurrentKitchen;
use App\View\VesselShelf;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Kitchen\KitchenReader;
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
    public function kitchen(Request $request, KitchenReader $reader, EntityManagerInterface $entities, FaultMapper $faults, VesselShelf $shelf): Response
    {
        $form = $this->createForm(DocumentFileType::class);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $file = $form->get('file')->getData();
            $document = $file instanceof UploadedFile ? $file->getContent() : '';
            try {
                $this->kitchen->get()->change($reader->read($document)->name, $document);
                $entities->flush();
                $this->kitchen->forget();
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
