<?php

declare(strict_types=1);

namespace App\Controller;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What makes the pages stay on a device: the worker that keeps them, and what is said when they are put on its first screen. */
final class DeviceController extends AbstractController
{
    #[Route('/sw.js', name: 'service_worker', methods: ['GET'])]
    public function worker(#[Autowire('%kernel.project_dir%/public/build/sw.js')] string $file): Response
    {
        if (!is_file($file)) {
            throw $this->createNotFoundException('The scripts are not built; run "make setup".');
        }

        // From the root it may keep all pages; asked for anew each time, so that a new version takes over at once.
        return new BinaryFileResponse($file, Response::HTTP_OK, [
            'Content-Type' => 'text/javascript; charset=UTF-8',
            'Cache-Control' => 'no-cache',
        ]);
    }

    #[Route('/manifest.webmanifest', name: 'manifest', methods: ['GET'])]
    public function manifest(TranslatorInterface $translator): JsonResponse
    {
        return new JsonResponse([
            'name' => 'Feast Ladle',
            'short_name' => 'Ladle',
            'description' => $translator->trans('Plan and cook a festival\'s sweets'),
            'start_url' => '/',
            'scope' => '/',
            'display' => 'standalone',
            'background_color' => '#f7f0e1',
            'theme_color' => '#9a4a1f',
            'icons' => [['src' => '/icon.svg', 'sizes' => 'any', 'type' => 'image/svg+xml', 'purpose' => 'any']],
        ], Response::HTTP_OK, ['Content-Type' => 'application/manifest+json']);
    }

    #[Route('/icon.svg', name: 'icon', methods: ['GET'])]
    public function icon(): Response
    {
        return $this->render('day/icon.svg.twig', response: new Response('', Response::HTTP_OK, ['Content-Type' => 'image/svg+xml']));
    }
}
