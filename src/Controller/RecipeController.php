<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\RecipeJsonLd;
use App\Form\DocumentFileType;
use App\Form\FaultMapper;
use App\Service\CurrentKitchen;
use App\Service\RecipeBook;
use App\View\RecipePage;
use FeastLadle\Document\FaultyDocument;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class RecipeController extends AbstractController
{
    public function __construct(private readonly RecipeBook $book, private readonly CurrentKitchen $kitchen)
    {
    }

    #[Route('/recipes', name: 'recipes', methods: ['GET', 'POST'])]
    public function recipes(Request $request, FaultMapper $faults): Response
    {
        $form = $this->createForm(DocumentFileType::class);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $file = $form->get('file')->getData();
            try {
                $revision = $this->book->import($file instanceof UploadedFile ? $file->getContent() : '');
                $this->addFlash('good', 'Taken in.');

                return $this->redirectToRoute('recipe', ['slug' => $revision->getRecipe()->getSlug()], Response::HTTP_SEE_OTHER);
            } catch (FaultyDocument $faulty) {
                $faults->map($form, $faulty);
            }
        }

        return $this->render('recipes/book.html.twig', ['recipes' => $this->book->all(), 'form' => $form, 'kitchen' => $this->kitchen->get()]);
    }

    #[Route('/recipes/{slug}', name: 'recipe', requirements: ['slug' => '[a-z0-9][a-z0-9_.-]*'], methods: ['GET'])]
    public function recipe(string $slug, Request $request, RecipePage $page): Response
    {
        $number = $request->query->getInt('revision') ?: null;
        $revision = $this->book->revision($slug, $number) ?? throw $this->createNotFoundException('There is no such recipe.');
        $recipe = $this->book->find($slug, $revision->getNumber()) ?? throw $this->createNotFoundException('There is no such recipe.');

        $wanted = filter_var($request->query->getString('makes'), \FILTER_VALIDATE_FLOAT, ['options' => ['min_range' => 1, 'max_range' => 10_000_000]]);
        $refused = false === $wanted && '' !== $request->query->getString('makes');

        return $this->render('recipes/recipe.html.twig', ['revision' => $revision, 'recipe' => $recipe, 'page' => $page->of($recipe, $this->kitchen->equipment(), false === $wanted ? null : $wanted), 'refused' => $refused ? $request->query->getString('makes') : null, 'kitchen' => $this->kitchen->get()], $refused ? new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY) : null);
    }

    #[Route('/recipes/{slug}.jsonld', name: 'recipe_json_ld', requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'], methods: ['GET'], priority: 1)]
    public function jsonLd(string $slug, RecipeJsonLd $jsonLd): Response
    {
        $recipe = $this->book->find($slug, null) ?? throw $this->createNotFoundException('There is no such recipe.');

        return new Response($jsonLd->write($recipe, $this->kitchen->equipment()), headers: ['Content-Type' => 'application/ld+json', 'Content-Disposition' => 'attachment; filename="'.$slug.'.jsonld"']);
    }

    #[Route('/recipes/{slug}.json', name: 'recipe_document', requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'], methods: ['GET'], priority: 1)]
    public function document(string $slug): Response
    {
        $revision = $this->book->revision($slug) ?? throw $this->createNotFoundException('There is no such recipe.');

        return new Response($revision->getDocument(), headers: ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="'.$slug.'.json"']);
    }
}
