<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\ChangedMeanwhile;
use App\Service\CurrentKitchen;
use App\Service\DraftDesk;
use App\Service\OpenDraft;
use App\Service\RecipeBook;
use App\Service\Speaker;
use App\View\DraftPage;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\Editing;
use FeastLadle\Telling\LineReader;
use FeastLadle\Words\Sentence;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The writing desk: recipes while they are written. */
final class DraftController extends AbstractController
{
    public function __construct(
        private readonly DraftDesk $desk,
        private readonly DraftPage $page,
        private readonly LineReader $lines,
        private readonly CurrentKitchen $kitchen,
        private readonly Speaker $speaker,
    ) {
    }

    #[Route('/drafts', name: 'draft_begin', methods: ['POST'])]
    public function begin(Request $request, RecipeBook $book): Response
    {
        $this->guard($request);
        $slug = $request->request->getString('of');
        if ('' === $slug) {
            $record = $this->desk->begin($request->request->getString('name'));
        } else {
            $record = $this->desk->beginFrom(
                $book->revision($slug) ?? throw $this->createNotFoundException('There is no such recipe.'),
            );
        }

        return $this->redirectToRoute('draft', ['id' => $record->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/drafts/{id}', name: 'draft', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function draft(int $id, Request $request): Response
    {
        return $this->show($this->desk->open($id), $request->query->getInt('step'));
    }

    #[Route('/drafts/{id}', name: 'draft_change', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['POST'])]
    public function change(int $id, Request $request): Response
    {
        $this->guard($request);
        $open = $this->desk->open($id);
        $at = $request->request->getInt('at');
        $operation = $request->request->getString('op');
        if ('discard' === $operation) {
            $this->desk->discard($open->record);
            $this->addFlash('good', 'The draft is thrown away.');

            return $this->redirectToRoute('recipes', status: Response::HTTP_SEE_OTHER);
        }
        if ('back' === $operation) {
            $this->desk->goBack($open->record);

            return $this->redirectToRoute('draft', ['id' => $id, 'step' => $at], Response::HTTP_SEE_OTHER);
        }
        if (1 === preg_match('/^answered:(\d{1,3})$/', $operation, $match)) {
            $this->desk->settleQuestion($open->record, (int) $match[1]);

            return $this->redirectToRoute('draft', ['id' => $id, 'step' => $at], Response::HTTP_SEE_OTHER);
        }
        $editing = new Editing($this->lines);
        $posted = $request->request->all();
        $draft = $editing->typed(
            $open->draft,
            \is_array($posted['head'] ?? null) ? $posted['head'] : null,
            \is_array($posted['step'] ?? null) ? $posted['step'] : null,
            $at,
        );
        $with = array_map(static fn (string $field): string => $request->request->getString($field), [
            'process' => 'process',
            'from' => 'from',
            'to' => 'to',
            'line' => 'line',
            'dial' => 'dial',
            'moves' => 'moves',
            'base' => 'base',
        ]);
        $edited = $editing->apply($draft, 'save' === $operation ? '' : $operation, $with, $at);
        try {
            $this->desk->change($open->record, $edited->draft, SeenVersion::in($request));
        } catch (ChangedMeanwhile $quicker) {
            return $this->show(
                $this->desk->open($id),
                $at,
                $this->speaker->say(new Sentence($quicker->getMessage())),
                Response::HTTP_CONFLICT,
            );
        }
        if ('save' === $operation) {
            return $this->save($id, $at);
        }
        if (null !== $edited->refusal) {
            return $this->show(
                $this->desk->open($id),
                $edited->open,
                $this->speaker->say($edited->refusal),
                Response::HTTP_UNPROCESSABLE_ENTITY,
                $with,
            );
        }

        return $this->redirectToRoute('draft', ['id' => $id, 'step' => $edited->open], Response::HTTP_SEE_OTHER);
    }

    private function save(int $id, int $at): Response
    {
        $open = $this->desk->open($id);
        try {
            $revision = $this->desk->save($open->record);
        } catch (FaultyDocument) {
            return $this->show(
                $open,
                $at,
                $this->speaker->say(new Sentence('It can\'t go into the book yet: see what is still to be mended.')),
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
        }
        $this->addFlash('good', 'It is in the book.');

        return $this->redirectToRoute('recipe', ['slug' => $revision->getRecipe()->getSlug()], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $with what was typed into the small fields */
    private function show(
        OpenDraft $open,
        int $index,
        string $refusal = '',
        int $status = Response::HTTP_OK,
        array $with = [],
    ): Response {
        return $this->render(
            'drafts/draft.html.twig',
            [
                'open' => $open,
                'page' => $this->page->of($open, $index),
                'refusal' => $refusal,
                'with' => $with,
                'kitchen' => $this->kitchen->get(),
            ],
            new Response(status: $status),
        );
    }

    private function guard(Request $request): void
    {
        if (!$this->isCsrfTokenValid('draft', $request->request->getString('_token'))) {
            throw $this->createAccessDeniedException('The form is too old. Load the page again.');
        }
    }
}
