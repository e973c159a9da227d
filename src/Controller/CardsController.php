<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Service\CookingDay;
use FeastLadle\Cards\Card;
use FeastLadle\Cards\CardMaker;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;

/** The measuring cards: every bowl in the order in which it enters, ticked off as it is measured. */
final class CardsController extends StationController
{
    #[Route('/feasts/{id}/cards', name: 'cards', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function cards(int $id, Request $request, CookingDay $day): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->shown($open, $this->inPlace($request));
        $cards = CardMaker::cards($plan->quantities);

        return $this->station('cards', $open, $plan, [
            'cards' => $cards,
            'ticked' => array_intersect_key($day->done($open->record), array_flip($this->bowls($cards))),
            'bowls' => \count($this->bowls($cards)),
        ]);
    }

    #[Route('/feasts/{id}/cards', name: 'cards_tick', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function tick(int $id, Request $request, CookingDay $day): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('cards', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $known = $this->bowls(CardMaker::cards($this->plans->plan($open)->quantities));
        $now = array_intersect(array_filter($request->request->all('ticked'), \is_string(...)), $known);
        // Only what was changed on this page counts: somebody else may have ticked in between.
        $was = array_intersect(array_filter($request->request->all('was'), \is_string(...)), $known);
        foreach (array_diff($now, $was) as $bowl) {
            $day->tick($open->record, $bowl, true, Uuid::v7()->toRfc4122());
        }
        foreach (array_diff($was, $now) as $bowl) {
            $day->tick($open->record, $bowl, false, Uuid::v7()->toRfc4122());
        }

        return $this->redirectToRoute('cards', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/feasts/{id}/cards.pdf', name: 'cards_pdf', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function pdf(int $id, Request $request, PdfPrinter $printer): Response
    {
        $open = $this->desk->open($id);

        return $printer->print(
            'paper/cards.html.twig',
            ['feast' => $open->feast, 'cards' => CardMaker::cards($this->plans->plan($open)->quantities)],
            $request,
            $open->feast->name.' measuring cards',
        );
    }

    /**
     * @param list<Card> $cards
     *
     * @return list<string>
     */
    private function bowls(array $cards): array
    {
        return array_merge(...array_map(static fn (Card $c): array => $c->bowlIds(), $cards));
    }
}
