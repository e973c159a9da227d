<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\GuestsType;
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
        $form = $this->createForm(GuestsType::class, $open->document);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            foreach (['groups' => ['id' => 'g-'.Uuid::v7()->toBase32(), 'name' => 'More guests', 'count' => 1, 'appetite' => 1], 'moments' => ['id' => 'm-'.Uuid::v7()->toBase32(), 'kind' => 'sitting', 'name' => 'Sitting', 'time' => '20:00', 'bowls' => 0]] as $list => $fresh) {
                $fresh['id'] = strtolower($fresh['id']);
                $remove = $request->request->all('remove')[$list] ?? null;
                $document[$list] = $this->rows($document[$list] ?? null, is_numeric($remove) ? (int) $remove : null, isset($request->request->all('add')[$list]) ? $fresh : null);
            }
            if ($this->take($form, $open, $document, $request)) {
                return $this->redirectToRoute('guests', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
        }

        return $this->station('guests', $open, $this->plans->plan($open), ['form' => $form]);
    }
}
