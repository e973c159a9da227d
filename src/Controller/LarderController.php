<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\CurrentKitchen;
use FeastLadle\Larder\Found;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
use FeastLadle\Telling\LineReader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class LarderController extends AbstractController
{
    #[Route('/larder', name: 'larder', methods: ['GET'])]
    public function larder(Request $request, Larder $larder, CurrentKitchen $kitchen): Response
    {
        $asked = mb_substr(trim($request->query->getString('q')), 0, 80);
        $line = (new LineReader($larder, $kitchen->equipment()->cupMl))->read($asked);
        // "2 cups jaggery" asks what that weighs; "jaggery" what it is.
        $weighed = null !== $line->quantity && null !== $line->ingredient ? $line : null;
        $found = match (true) {
            '' === $asked => array_map(static fn (Ingredient $i): Found => new Found($i, $i->name), array_values($larder->all())),
            null !== $weighed => [new Found($line->ingredient, $line->named)],
            default => $larder->search($asked),
        };

        return $this->render('larder.html.twig', ['asked' => $asked, 'found' => $found, 'weighed' => $weighed, 'cup' => $kitchen->equipment()->cupMl]);
    }
}
