<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\CurrentKitchen;
use FeastLadle\Larder\Found;
use FeastLadle\Larder\Ingredient;
use FeastLadle\Larder\Larder;
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
        $found = '' === $asked ? array_map(static fn (Ingredient $i): Found => new Found($i, $i->name), array_values($larder->all())) : $larder->search($asked);

        return $this->render('larder.html.twig', ['asked' => $asked, 'found' => $found, 'cup' => $kitchen->equipment()->cupMl]);
    }
}
