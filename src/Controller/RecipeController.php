<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\RecipeDraft;
use App\Entity\RecipeRevision;
use App\Export\RecipeJsonLd;
use App\Form\FaultMapper;
use App\Form\IntakeType;
use App\Import\Intake;
use App\Service\CurrentKitchen;
use App\Service\DraftDesk;
use App\Service\RecipeBook;
use App\Service\WaysAsked;
use App\View\BookAsked;
use App\View\BookPage;
use App\View\RecipePage;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\Comparing;
use FeastLadle\Drafting\Draft;
use FeastLadle\Larder\Larder;
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
    public function recipes(Request $request, FaultMapper $faults, DraftDesk $desk, Intake $intake, BookPage $page): Response
    {
        $form = $this->createForm(IntakeType::class);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $file = $form->get('file')->getData();
            $text = $form->get('text')->getData();
            try {
                return $this->taken($intake->take($file instanceof UploadedFile ? $file->getContent() : (\is_string($text) ? $text : '')));
            } catch (FaultyDocument $faulty) {
                $faults->map($form, $faulty);
            }
        }

        $asked = BookAsked::of($request->query);

        return $this->render('recipes/book.html.twig', [
            'book' => $page->of($asked),
            'asked' => $asked,
            'drafts' => $desk->titles(),
            'form' => $form,
            'kitchen' => $this->kitchen->get(),
        ]);
    }

    private function taken(RecipeRevision|RecipeDraft $taken): Response
    {
        if ($taken instanceof RecipeDraft) {
            $this->addFlash('good', 'Understood as far as it goes: see what is asked, and what was guessed.');

            $route = null === $taken->getTold() ? 'draft' : 'telling';

            return $this->redirectToRoute($route, ['id' => $taken->getId()], Response::HTTP_SEE_OTHER);
        }
        $this->addFlash('good', 'Taken in.');

        return $this->redirectToRoute('recipe', ['slug' => $taken->getRecipe()->getSlug()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/recipes/{slug}', name: 'recipe', requirements: ['slug' => '[a-z0-9][a-z0-9_.-]*'], methods: ['GET'])]
    public function recipe(string $slug, Request $request, RecipePage $page): Response
    {
        return $this->shown('recipes/recipe.html.twig', $slug, $request, $page);
    }

    #[Route('/recipes/{slug}/print', name: 'recipe_print', requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'], methods: ['GET'])]
    public function sheet(string $slug, Request $request, RecipePage $page): Response
    {
        return $this->shown('recipes/sheet.html.twig', $slug, $request, $page);
    }

    #[Route('/recipes/{slug}/compare', name: 'recipe_compare', requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'], methods: ['GET'])]
    public function compare(string $slug, Request $request, Larder $larder): Response
    {
        $newest = $this->book->revision($slug) ?? throw $this->createNotFoundException('There is no such recipe.');
        $to = $request->query->getInt('to') ?: $newest->getNumber();
        $from = $request->query->getInt('from') ?: max(1, $to - 1);
        [$before, $after] = array_map(
            fn (int $number): Draft => Draft::read(
                (
                    $this->book->revision($slug, $number) ?? throw $this->createNotFoundException('There is no such revision.')
                )->getDocument(),
            ),
            [$from, $to],
        );

        return $this->render('recipes/compare.html.twig', [
            'slug' => $slug,
            'name' => $newest->getRecipe()->getName(),
            'from' => $from,
            'to' => $to,
            'numbers' => range(1, $newest->getNumber()),
            'differences' => (new Comparing($larder))->differences($before, $after),
            'kitchen' => $this->kitchen->get(),
        ]);
    }

    private function shown(string $template, string $slug, Request $request, RecipePage $page): Response
    {
        $revision =
            $this->book->revision($slug, $request->query->getInt('revision') ?: null) ??
            throw $this->createNotFoundException('There is no such recipe.');
        $written = $this->book->find($slug, $revision->getNumber()) ?? throw $this->createNotFoundException('There is no such recipe.');
        $asked = WaysAsked::of($request->query, $written);
        $recipe = $this->book->find($slug, $revision->getNumber(), $asked->choices) ?? $written;
        $makes = $request->query->getString('makes');
        $wanted = filter_var($makes, \FILTER_VALIDATE_FLOAT, ['options' => ['min_range' => 1, 'max_range' => 10_000_000]]);
        $refused = false === $wanted && '' !== $makes ? $makes : null;

        return $this->render(
            $template,
            [
                'revision' => $revision,
                'recipe' => $recipe,
                'written' => $written,
                'asked' => $asked,
                'refused' => $refused,
                'kitchen' => $this->kitchen->get(),
                'page' => $page->of($recipe, $this->kitchen->equipment(), false === $wanted ? null : $wanted),
            ],
            null !== $refused || [] !== $asked->faults ? new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY) : null,
        );
    }

    #[Route(
        '/recipes/{slug}.jsonld',
        name: 'recipe_json_ld',
        requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'],
        methods: ['GET'],
        priority: 1,
    ),]
    public function jsonLd(string $slug, RecipeJsonLd $jsonLd): Response
    {
        $revision = $this->book->revision($slug) ?? throw $this->createNotFoundException('There is no such recipe.');
        $recipe = $this->book->find($slug, $revision->getNumber()) ?? throw $this->createNotFoundException('There is no such recipe.');

        return new Response(
            $jsonLd->write($recipe, $this->kitchen->equipment(), $revision->getDocument()),
            headers: ['Content-Type' => 'application/ld+json', 'Content-Disposition' => 'attachment; filename="'.$slug.'.jsonld"'],
        );
    }

    #[Route(
        '/recipes/{slug}.json',
        name: 'recipe_document',
        requirements: ['slug' => '[a-z0-9][a-z0-9_-]*'],
        methods: ['GET'],
        priority: 1,
    ),]
    public function document(string $slug): Response
    {
        $revision = $this->book->revision($slug) ?? throw $this->createNotFoundException('There is no such recipe.');

        return new Response(
            $revision->getDocument(),
            headers: ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="'.$slug.'.json"'],
        );
    }
}
