<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\MenuType;
use App\Service\MenuBook;
use App\Service\RecipeBook;
use App\View\PlateDrawing;
use FeastLadle\Explaining\FirstFit;
use FeastLadle\Explaining\MakeOrBuy;
use FeastLadle\Larder\Larder;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Service\Attribute\Required;

final class MenuController extends StationController
{
    private RecipeBook $recipes;

    private MenuBook $book;

    private PlateDrawing $plate;

    private Larder $larder;

    #[Required]
    public function useBooks(RecipeBook $recipes, MenuBook $book, PlateDrawing $plate, Larder $larder): void
    {
        $this->recipes = $recipes;
        $this->book = $book;
        $this->plate = $plate;
        $this->larder = $larder;
    }

    #[Route('/feasts/{id}/menu', name: 'menu', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function menu(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        $form = $this->createForm(MenuType::class, $open->document);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            $remove = $request->request->get('remove');
            $slug = $request->request->getString('recipe');
            $fresh = $request->request->has('add') ? $this->book->row($slug) : null;
            $document['dishes'] = $this->rows($document['dishes'] ?? null, is_numeric($remove) ? (int) $remove : null, $fresh);
            $taken = $this->take($form, $open, $document, $request);
            if ($taken && !$this->inPlace($request)) {
                return $this->redirectToRoute('menu', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
            $form = $taken ? $this->createForm(MenuType::class, $open->document) : $form;
        }

        $plan = $this->plans->shown($open, $this->inPlace($request));

        return $this->station('menu', $open, $plan, [
            'form' => $form,
            'recipes' => $this->recipes->all(),
            'larder' => $this->larder,
            'plate' => $this->plate->of($plan->quantities, $open->feast->plateCapGrams),
            'bases' => MakeOrBuy::all($open->feast, $open->kitchen, $plan->quantities, $this->larder),
            'fits' => FirstFit::of($open->feast, $open->kitchen, $plan->quantities, $this->larder),
        ]);
    }
}
