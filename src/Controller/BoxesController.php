<?php

declare(strict_types=1);

namespace App\Controller;

use App\Export\PdfPrinter;
use App\Form\BoxesType;
use App\Service\OpenFeast;
use App\View\BoxDrawing;
use FeastLadle\Amounts\BoxCount;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Larder\Larder;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Uid\Uuid;
use Symfony\Contracts\Service\Attribute\Required;

/** Gift boxes: what is in them, how long packing takes, until when they keep, and their labels. */
final class BoxesController extends StationController
{
    private Larder $larder;

    #[Required]
    public function useLarder(Larder $larder): void
    {
        $this->larder = $larder;
    }

    #[Route('/feasts/{id}/boxes', name: 'boxes', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET', 'POST'])]
    public function boxes(int $id, Request $request): Response
    {
        $open = $this->desk->open($id);
        $form = $this->createForm(BoxesType::class, $open->document, [
            'dishes' => $open->feast->dishes,
            'moments' => $open->feast->moments,
        ]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            /** @var array<string, mixed> $document */
            $document = $form->getData();
            $remove = $request->request->get('remove');
            $last = $open->feast->lastMoment();
            $fresh = $request->request->has('add')
                ? [
                    'id' => 'b-'.strtolower(Uuid::v7()->toBase32()),
                    'name' => 'Gift box',
                    'count' => 10,
                    'holds' => [],
                    'packSeconds' => 60,
                    'at' => $last->id,
                ]
                : null;
            $document['boxes'] = array_map(static function (mixed $box): mixed {
                if (\is_array($box) && \is_array($box['holds'] ?? null)) {
                    $box['holds'] = (object) array_filter($box['holds'], static fn (mixed $v): bool => null !== $v && 0 !== $v);
                }

                return $box;
            }, $this->rows($document['boxes'] ?? null, is_numeric($remove) ? (int) $remove : null, $fresh));
            if ($this->take($form, $open, $document, $request)) {
                return $this->redirectToRoute('boxes', ['id' => $id], Response::HTTP_SEE_OTHER);
            }
            $open = $this->desk->open($id);
        }
        $plan = $this->plans->shown($open, $this->inPlace($request));

        $counts = $this->counts($open, $plan->quantities);

        return $this->station('boxes', $open, $plan, [
            'form' => $form,
            'counts' => $counts,
            'drawn' => array_map((new BoxDrawing())->of(...), $counts),
        ]);
    }

    #[Route('/feasts/{id}/labels.pdf', name: 'labels_pdf', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function labels(int $id, Request $request, PdfPrinter $printer): Response
    {
        $open = $this->desk->open($id);

        return $printer->print(
            'paper/labels.html.twig',
            ['feast' => $open->feast, 'counts' => $this->counts($open, $this->plans->plan($open)->quantities)],
            $request,
            $open->feast->name.' labels',
        );
    }

    /** @return list<BoxCount> */
    private function counts(OpenFeast $open, Quantities $quantities): array
    {
        return array_map(fn ($box): BoxCount => BoxCount::of($box, $open->feast, $quantities, $this->larder), $open->feast->boxes);
    }
}
