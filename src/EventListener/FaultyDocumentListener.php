<?php

declare(strict_types=1);

namespace App\EventListener;

use App\Form\FaultMapper;
use FeastLadle\Document\FaultyDocument;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Twig\Environment;

/** A faulty document that no form could show is answered with a page that names every fault. */
#[AsEventListener]
final readonly class FaultyDocumentListener
{
    public function __construct(private Environment $twig, private FaultMapper $faults)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $faulty = $event->getThrowable();
        if (!$faulty instanceof FaultyDocument) {
            return;
        }
        $faults = [];
        foreach ($faulty->faults as $fault) {
            $faults[] = ['place' => $fault->pointer, 'message' => $this->faults->say($fault)];
        }
        $event->setResponse(
            new Response(
                $this->twig->render('faulty.html.twig', ['document' => $faulty->document, 'faults' => $faults]),
                Response::HTTP_UNPROCESSABLE_ENTITY,
            ),
        );
    }
}
