<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\GuestsType;
use App\Service\OpenFeast;
use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\MomentKind;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

final class GuestsController extends StationController
{
    #[Route('/feasts/{id}/guests', name: 'guests', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function guests(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        $form = $this->createForm(GuestsType::class, $open->document, ['sittings' => $this->sittings($open)]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            foreach (
                [
                    'groups' => ['id' => 'g-'.Uuid::v7()->toBase32(), 'name' => 'More guests', 'count' => 1, 'appetite' => 1],
                    'moments' => [
                        'id' => 'm-'.Uuid::v7()->toBase32(),
                        'kind' => 'sitting',
                        'name' => 'Sitting',
                        'time' => '20:00',
                        'bowls' => 0,
                    ],
                ] as $list => $fresh
            ) {
                $fresh['id'] = strtolower($fresh['id']);
                $remove = $request->request->all('remove')[$list] ?? null;
                $document[$list] = $this->rows(
                    $document[$list] ?? null,
                    is_numeric($remove) ? (int) $remove : null,
                    isset($request->request->all('add')[$list]) ? $fresh : null,
                );
            }
            $taken = $this->take($form, $open, $document, $request);
            if ($taken && !$this->inPlace($request)) {
                return $this->redirectToRoute('guests', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
            $form = $taken ? $this->createForm(GuestsType::class, $open->document, ['sittings' => $this->sittings($open)]) : $form;
        }

        $plan = $this->plans->shown($open, $this->inPlace($request));

        return $this->station('guests', $open, $plan, [
            'form' => $form,
            'curves' => array_map(
                static fn (PlannedDish $p): array => $p->dish->isBase ? [] : DemandCurve::of($open->feast, $p),
                $plan->quantities->dishes,
            ),
        ]);
    }

    /** @return array<string, string> ids by name */
    private function sittings(OpenFeast $open): array
    {
        $sittings = [];
        foreach ($open->feast->moments as $moment) {
            if (MomentKind::Sitting === $moment->kind) {
                $sittings[$moment->name] = $moment->id;
            }
        }

        return $sittings;
    }
}
