<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\KitchenRecord;
use App\Form\DocumentFileType;
use App\Form\FaultMapper;
use App\Form\KitchenType;
use App\Form\VesselType;
use App\Repository\KitchenRepository;
use App\Service\ChangedMeanwhile;
use App\Service\CurrentKitchen;
use App\Service\KitchenDesk;
use App\Service\KitchenRows;
use App\Service\ShippedFiles;
use App\View\VesselShelf;
use FeastLadle\Document\FaultyDocument;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The kitchens of the household: what there is to cook with, as it is entered. */
final class KitchenController extends AbstractController
{
    public function __construct(
        private readonly CurrentKitchen $current,
        private readonly KitchenRepository $kitchens,
        private readonly KitchenDesk $desk,
        private readonly KitchenRows $rows,
        private readonly FaultMapper $faults,
    ) {
    }

    #[Route('/kitchen/{id}', name: 'kitchen', requirements: ['id' => '[1-9]\d{0,8}'], defaults: ['id' => null], methods: ['GET', 'POST'])]
    public function kitchen(?int $id, Request $request, VesselShelf $shelf): Response
    {
        $kitchen = $this->enter($id);
        $form = $this->createForm(KitchenType::class, $this->rows->read($kitchen));
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $changed */
            $changed = $form->getData();
            try {
                $this->desk->change($kitchen, $this->rows->document($changed, $request->request->all()), SeenVersion::in($request));

                return $this->redirectToRoute('kitchen', [...$request->query->all(), 'id' => $kitchen->getId()], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $this->faults->refuse($form, $refusal);
            }
        }

        return $this->show($kitchen, $shelf, ['form' => $form]);
    }

    /** A vessel is shown as it is drawn; the one that is opened is asked about. */
    #[Route('/kitchen/{id}/vessels/{vessel}', name: 'vessel', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function vessel(int $id, string $vessel, Request $request, VesselShelf $shelf): Response
    {
        $kitchen = $this->enter($id);
        $document = $this->rows->read($kitchen);
        $at =
            $this->rows->at($document, $vessel) ??
            throw $this->createNotFoundException(\sprintf('This kitchen has no vessel "%s".', $vessel));
        $form = $this->createForm(VesselType::class, $document['vessels'][$at]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $changed */
            $changed = $form->getData();
            try {
                [$next, $opened] = $this->rows->vessel($document, $at, $changed, $request->request->all());
                $this->desk->change($kitchen, $next, SeenVersion::in($request));

                return null === $opened
                    ? $this->redirectToRoute('kitchen', ['id' => $id], Response::HTTP_SEE_OTHER)
                    : $this->redirectToRoute('vessel', ['id' => $id, 'vessel' => $opened], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $this->faults->refuse($form, $refusal instanceof FaultyDocument ? $refusal->under('/vessels/'.$at) : $refusal);
            }
        }

        return $this->show($kitchen, $shelf, [
            'form' => $this->createForm(KitchenType::class, $document),
            'asked' => $form,
            'opened' => $vessel,
        ]);
    }

    #[Route('/kitchen/{id}/vessels', name: 'vessel_new', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function newVessel(int $id, Request $request): Response
    {
        if (!$this->isCsrfTokenValid('new-vessel', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $kitchen = $this->enter($id);
        [$next, $opened] = $this->rows->anotherVessel($this->rows->read($kitchen));
        $this->desk->change($kitchen, $next, SeenVersion::in($request));

        return $this->redirectToRoute('vessel', ['id' => $id, 'vessel' => $opened], Response::HTTP_SEE_OTHER);
    }

    #[Route('/kitchen/{id}/file', name: 'kitchen_file', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function takeFile(int $id, Request $request, VesselShelf $shelf): Response
    {
        $kitchen = $this->enter($id);
        $upload = $this->createForm(DocumentFileType::class);
        $upload->handleRequest($request);
        if ($upload->isSubmitted() && $upload->isValid()) {
            $file = $upload->get('file')->getData();
            try {
                $this->desk->change($kitchen, $file instanceof UploadedFile ? $file->getContent() : '', SeenVersion::in($request));
                $this->addFlash('good', 'Taken in.');

                return $this->redirectToRoute('kitchen', ['id' => $id], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument|ChangedMeanwhile $refusal) {
                $this->faults->refuse($upload, $refusal);
            }
        }

        return $this->show($kitchen, $shelf, [
            'form' => $this->createForm(KitchenType::class, $this->rows->read($kitchen)),
            'upload' => $upload,
        ]);
    }

    #[Route('/kitchens/new', name: 'kitchen_new', methods: ['POST'])]
    public function new(Request $request, ShippedFiles $files): Response
    {
        if (!$this->isCsrfTokenValid('new-kitchen', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }

        return $this->redirectToRoute('kitchen', ['id' => $this->desk->add($files->kitchen('plain'))->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/kitchen/{id}.json', name: 'kitchen_document', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function document(int $id): Response
    {
        return new Response(
            $this->enter($id)->getDocument(),
            headers: ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="kitchen.json"'],
        );
    }

    private function enter(?int $id): KitchenRecord
    {
        $kitchen =
            null === $id
                ? $this->current->home()
                : $this->kitchens->find($id) ?? throw $this->createNotFoundException(\sprintf('There is no kitchen %d.', $id));
        $this->current->enter($kitchen);

        return $kitchen;
    }

    /** @param array<string, mixed> $values */
    private function show(KitchenRecord $kitchen, VesselShelf $shelf, array $values): Response
    {
        return $this->render('kitchen/kitchen.html.twig', [
            'kitchen' => $kitchen,
            'kitchens' => $this->kitchens->household(),
            'equipment' => $this->current->equipment(),
            'shelf' => $shelf->of($this->current->equipment()),
            'asked' => null,
            'opened' => null,
            'upload' => $values['upload'] ?? $this->createForm(DocumentFileType::class),
            ...$values,
        ]);
    }
}
