<?php

declare(strict_types=1);

namespace App\Controller;

use App\View\StoreRows;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class StoresController extends StationController
{
    #[Route('/feasts/{id}/stores', name: 'stores', requirements: ['id' => '[1-9]\d{0,8}'], methods: ['GET'])]
    public function stores(int $id, StoreRows $rows): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);

        return $this->station('stores', $open, $plan, ['rows' => $rows->of($plan->quantities, $open->kitchen)]);
    }
}
