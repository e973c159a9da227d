<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\OpenFeast;
use FeastLadle\Amounts\SugarOnPlate;
use FeastLadle\Diet\DietGrid;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Larder\Larder;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Service\Attribute\Required;

/** Who may eat what: allergens, diets and rules of the day, dish by group. */
final class WhoEatsController extends StationController
{
    private Larder $larder;

    #[Required]
    public function useLarder(Larder $larder): void
    {
        $this->larder = $larder;
    }

    #[Route('/feasts/{id}/who-eats', name: 'who_eats', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function grid(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        if ($request->isMethod('POST')) {
            if (!$this->isCsrfTokenValid('who-eats', $request->request->getString('_token'))) {
                throw $this->createAccessDeniedException('The form is too old. Load the page again.');
            }
            // A ticked box that the kitchen has no rule for is left out.
            $rules = array_filter(
                $request->request->all('rules'),
                static fn (mixed $r): bool => \is_string($r) && isset($open->kitchen->rules->ingredients[$r]),
            );
            $document = FeastDocument::of($open->document)->withRules(array_values(array_filter($rules, \is_string(...))));
            $this->desk->change($open, $document->fields, SeenVersion::in($request));

            return $this->redirectToRoute('who_eats', ['id' => $id], Response::HTTP_SEE_OTHER);
        }
        $grid = new DietGrid($this->larder, $open->kitchen);
        $cells = $grid->of($open->feast);
        $plan = $this->plans->shown($open, $this->inPlace($request));
        $sugar = SugarOnPlate::of($plan->quantities, $this->larder);

        return $this->station('who_eats', $open, $plan, [
            'cells' => $cells,
            'nothing' => $grid->withNothing($open->feast, $cells),
            'order' => $grid->order($open->feast),
            'sugar' => $sugar->inPortion,
            'onPlate' => $sugar->onPlate,
            'names' => $this->names($open),
        ]);
    }

    /** One thing in place of another, as the grid offers it, or as it is written again. */
    #[Route('/feasts/{id}/who-eats/instead', name: 'who_eats_instead', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function instead(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('who-eats', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        [$dish, $for] = [$request->request->getString('dish'), $request->request->getString('for')];
        $by = $request->request->getString('ingredient');
        $ratio = '' === $by
            ? (\in_array($dish, array_column($open->feast->dishes, 'id'), true) ? 1.0 : null)
            : (new DietGrid($this->larder, $open->kitchen))->ratioOffered($open->feast, $dish, $for, $by);
        if (null === $ratio) {
            throw new UnprocessableEntityHttpException('That is not offered for this sweet. Load the page again.');
        }
        $document = FeastDocument::of($open->document)->withInstead($dish, $for, '' === $by ? null : $by, $ratio);
        $this->desk->change($open, $document->fields, SeenVersion::in($request));

        return $this->redirectToRoute('who_eats', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    /** @return array<string, string> of what goes in for others, and of those, by id */
    private function names(OpenFeast $open): array
    {
        $names = [];
        foreach ($open->feast->dishes as $dish) {
            foreach ($dish->recipe->way->choices->instead as $exchange) {
                foreach ([$exchange->for, $exchange->ingredient] as $id) {
                    $names[$id] = $this->larder->knows($id) ? $this->larder->get($id)->name : $id;
                }
            }
        }

        return $names;
    }
}
