<?php

declare(strict_types=1);

namespace App\EventListener;

use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\DBAL\Exception\ReadOnlyException;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Contracts\Translation\TranslatorInterface;
use Twig\Environment;

/** A disk that is full, read-only or busy: what was sent could not be kept, or what was asked for not read, and that is what is said. */
#[AsEventListener]
final readonly class NothingKeptListener
{
    /** SQLite's own codes: 5 busy, 8 read-only, 10 input or output failed, 13 full, 14 can't be opened. */
    private const CODES = [5, 8, 10, 13, 14];

    public function __construct(private Environment $twig, private TranslatorInterface $translator, private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $e = $event->getThrowable();
        if (!($e instanceof DriverException) || !$this->keepsNothing($e)) {
            return;
        }
        $this->logger->error('Nothing could be written: {why}', ['why' => $e->getMessage()]);
        $request = $event->getRequest();
        if (\in_array('application/json', $request->getAcceptableContentTypes(), true)) {
            $says = $this->translator->trans(
                $request->isMethodSafe()
                    ? 'The book can’t be read now: the disk is full, unreadable or busy. Try again in a moment.'
                    : 'What you sent was not kept: the disk is full, read-only or busy. Everything can still be read.',
            );
            $event->setResponse(new JsonResponse(['kept' => false, 'says' => $says], Response::HTTP_SERVICE_UNAVAILABLE));
        } else {
            $page = $this->twig->render('not_kept.html.twig', [
                'sent' => !$request->isMethodSafe(),
                'back' => $request->isMethodSafe() ? null : $request->headers->get('referer'),
            ]);
            $event->setResponse(new Response($page, Response::HTTP_SERVICE_UNAVAILABLE));
        }
        $event->allowCustomResponseCode();
    }

    private function keepsNothing(DriverException $e): bool
    {
        return $e instanceof LockWaitTimeoutException || $e instanceof ReadOnlyException || \in_array($e->getCode(), self::CODES, true);
    }
}
