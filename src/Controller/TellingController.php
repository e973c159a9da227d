<?php

declare(strict_types=1);

namespace App\Controller;

use App\Import\Intake;
use App\Service\CurrentKitchen;
use App\Service\DraftDesk;
use App\Service\KitchenLarder;
use App\Service\KitchenWords;
use App\Service\OpenDraft;
use App\View\DraftPage;
use App\View\TellingPage;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\Answering;
use FeastLadle\Telling\Action;
use FeastLadle\Telling\LineReader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A telling beside the flow that was made of it: its words, its questions. */
#[Route('/drafts/{id}/telling', requirements: ['id' => '[1-9]\d{0,8}'])]
final class TellingController extends AbstractController
{
    private const LONGEST_WORD = 60;

    public function __construct(private readonly DraftDesk $desk, private readonly Intake $intake, private readonly CurrentKitchen $kitchen)
    {
    }

    #[Route('', name: 'telling', methods: ['GET'])]
    public function telling(int $id, Request $request, TellingPage $page): Response
    {
        return $this->show($this->desk->open($id), $request->query->getInt('word', -1), $page);
    }

    /** A word means a thing, something that is done, or nothing, from now on and in every telling that this kitchen hears. */
    #[Route('/word', name: 'telling_word', methods: ['POST'])]
    public function word(int $id, Request $request, KitchenLarder $larder, KitchenWords $words): Response
    {
        $this->guard($request);
        $open = $this->desk->open($id);
        $word = mb_strtolower(mb_substr(trim($request->request->getString('word')), 0, self::LONGEST_WORD));
        [$kind, $what] = [...explode(':', $request->request->getString('means'), 2), ''];
        $means = match ($kind) {
            'thing' => null === $larder->thing($what) ? false : $what,
            'do' => Action::tryFrom($what) ?? false,
            'nothing' => null,
            default => false,
        };
        if ('' === $word || false === $means) {
            $this->addFlash('bad', 'That is no meaning of this list. Choose one of it.');

            return $this->redirectToRoute('telling', ['id' => $id], Response::HTTP_SEE_OTHER);
        }
        $words->learn($word, $means);
        $this->addFlash('good', 'Learned: the telling was read again.');

        return $this->redirectToRoute('telling_again', ['id' => $open->record->getId()], Response::HTTP_TEMPORARY_REDIRECT);
    }

    #[Route('/again', name: 'telling_again', methods: ['POST'])]
    public function again(int $id, Request $request): Response
    {
        $this->guard($request);
        $this->intake->again($this->desk->open($id)->record);

        return $this->redirectToRoute('telling', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/answer', name: 'telling_answer', methods: ['POST'])]
    public function answer(int $id, Request $request, DraftPage $page, LineReader $lines, TellingPage $telling): Response
    {
        $this->guard($request);
        $open = $this->desk->open($id);
        $number = $request->request->getInt('number', -1);
        $asked = null;
        foreach ($page->of($open, 0)['asked'] as $row) {
            $asked = $row['number'] === $number ? $row : $asked;
        }
        $answered = null === $asked
            ? null
            : (new Answering($lines))->answered($open->draft, $asked['pointer'], $request->request->getString('answer'));
        if (null === $answered) {
            return $this->show($open, -1, $telling, $number, Response::HTTP_UNPROCESSABLE_ENTITY);
        }
        $this->desk->change($open->record, $answered, null);
        $this->desk->settleQuestion($open->record, $number);

        return $this->redirectToRoute('telling', ['id' => $id], Response::HTTP_SEE_OTHER);
    }

    private function show(OpenDraft $open, int $lit, TellingPage $page, ?int $refused = null, int $status = Response::HTTP_OK): Response
    {
        $told = $open->record->getTold();
        try {
            $heard = null === $told ? null : $this->intake->heard($told);
        } catch (FaultyDocument) {
            $heard = null;
        }
        if (null === $heard) {
            throw $this->createNotFoundException('This draft was not made of a telling.');
        }

        return $this->render('drafts/telling.html.twig', [
            'open' => $open,
            'page' => $page->of($open, $heard, $lit),
            'refused' => $refused,
            'kitchen' => $this->kitchen->get(),
        ], new Response(status: $status));
    }

    private function guard(Request $request): void
    {
        if (!$this->isCsrfTokenValid('draft', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
    }
}
