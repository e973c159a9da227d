<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\Service\MenuBook;
use App\View\MenuShelf;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Menus\MenuWish;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;

/** The recipe book, to choose a menu from: sweet by sweet, or a whole one that this kitchen gets done. */
final class MenuBookController extends StationController
{
    private const ID = ['id' => '[1-9]\d{0,8}'];

    /** Seconds after which nobody waits any longer. */
    private const PATIENCE = 60;

    private const MOST_SWEETS = 8;

    #[Route('/feasts/{id}/menu/book', name: 'menu_book', requirements: self::ID, methods: ['GET'])]
    public function book(int $id, MenuShelf $shelf): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->station('menu_book', $open, $plan, ['cards' => $shelf->of($open, $plan->quantities)]);
    }

    /** One line of JSON for each step of the search, as it is made. */
    #[Route('/feasts/{id}/menu/search', name: 'menu_search', requirements: self::ID, methods: ['POST'])]
    public function search(int $id, Request $request, MenuBook $book): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('menu', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $whole = static fn (string $field, int $least, int $most): ?int => '' === trim($request->request->getString($field))
            ? null
            : max($least, min($most, $request->request->getInt($field)));
        $hours = $whole('hours', 1, 1000);
        $wish = new MenuWish(
            $whole('sweets', 1, self::MOST_SWEETS) ?? 4,
            $whole('hot', 0, self::MOST_SWEETS),
            null === $hours ? null : 60 * $hours,
            $request->request->getBoolean('everybody'),
        );
        $until = hrtime(true) + self::PATIENCE * 1_000_000_000;
        $found = $book->search($open, $wish, static fn (): bool => hrtime(true) < $until && 0 === connection_aborted());

        // What is streamed can't begin a session any more.
        $token = $request->request->getString('_token');
        $request->getSession()->save();

        return new StreamedResponse(function () use ($found, $open, $token): void {
            foreach ($found as [$done, $of, $find]) {
                $html = null === $find
                    ? ''
                    : $this->renderView('_partials/menu_find.html.twig', ['find' => $find, 'open' => $open, 'token' => $token]);
                $news = ['done' => $done, 'of' => $of, 'html' => $html, 'rank' => $find?->rank()];
                echo json_encode($news, \JSON_THROW_ON_ERROR)."\n";
                if (ob_get_level() > 0) {
                    ob_flush();
                }
                flush();
            }
        }, headers: ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    /** Sweets go on the menu, beside those that stand on it. */
    #[Route('/feasts/{id}/menu/take', name: 'menu_take', requirements: self::ID, methods: ['POST'])]
    public function takeAll(int $id, Request $request, MenuBook $book): Response
    {
        $open = $this->desk->open($id);
        if (!$this->isCsrfTokenValid('menu', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
        $document = FeastDocument::of($open->document);
        $schools = $request->request->all('schools');
        $bought = $request->request->all('bought');
        foreach (\array_slice($request->request->all('sweets'), 0, self::MOST_SWEETS) as $slug) {
            if (!\is_string($slug)) {
                continue;
            }
            $way = array_filter([
                'schools' => \is_array($schools[$slug] ?? null) ? $schools[$slug] : [],
                'bought' => \is_array($bought[$slug] ?? null) ? array_values($bought[$slug]) : [],
            ]);
            $document = $document->withRow('dishes', $book->row($slug, $way));
        }
        try {
            $this->desk->change($open, $document->fields, SeenVersion::in($request));
        } catch (FaultyDocument|ChangedMeanwhile $refusal) {
            $this->addFlash('bad', $this->faults->says($refusal));
        }

        return $this->redirectToRoute('menu', ['id' => $id], Response::HTTP_SEE_OTHER);
    }
}
