<?php

declare(strict_types=1);

namespace App\Controller;

use App\Service\Rehearsal;
use App\View\RehearsalPage;
use FeastLadle\Day\SlipRate;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The day played through before it is there, faster than life. */
#[Route('/feasts/{id}/rehearsal', requirements: ['id' => '[1-9]\d{0,8}'])]
final class RehearsalController extends StationController
{
    private const MOST_DAYS = 9999;

    #[Route('', name: 'rehearsal', methods: ['GET'])]
    public function rehearsal(int $id, Request $request, Rehearsal $rehearsal, RehearsalPage $page): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        if (!$rehearsal->isPossible($plan)) {
            return $this->station('rehearsal', $open, $plan, ['day' => null]);
        }
        [$number, $slips] = self::asked($request);
        $day = $rehearsal->day($open, $plan, $number, $slips);
        $last = $rehearsal->minutes($open, $plan, $day);

        return $this->station('rehearsal', $open, $plan, [
            'day' => $day,
            'number' => $number,
            'slips' => $slips,
            'rates' => SlipRate::cases(),
            'last' => $last,
            'from' => $rehearsal->from($plan),
            'minute' => $minute = self::minute($request, $last),
            'counts' => RehearsalPage::counts($day),
            ...$page->frame($open, $plan, $day, $minute),
        ]);
    }

    /** The board of one minute alone, for whoever lets it run. */
    #[Route('/minute', name: 'rehearsal_minute', methods: ['GET'])]
    public function minuteOf(int $id, Request $request, Rehearsal $rehearsal, RehearsalPage $page): Response
    {
        $open = $this->desk->open($id);
        $plan = $this->plans->plan($open);
        if (!$rehearsal->isPossible($plan)) {
            throw $this->createNotFoundException('There is no plan to rehearse yet.');
        }
        $day = $rehearsal->day($open, $plan, ...self::asked($request));

        return $this->render('stations/_rehearsal_minute.html.twig', [
            'open' => $open,
            'feast' => $open->feast,
            ...$page->frame($open, $plan, $day, self::minute($request, $rehearsal->minutes($open, $plan, $day))),
        ]);
    }

    /** @return array{int, SlipRate} which day, and how much goes wrong in it */
    private static function asked(Request $request): array
    {
        return [
            max(1, min(self::MOST_DAYS, $request->query->getInt('day', 1))),
            SlipRate::tryFrom($request->query->getString('wrong', SlipRate::Usual->value)) ?? SlipRate::Usual,
        ];
    }

    private static function minute(Request $request, int $last): int
    {
        return max(0, min($last, $request->query->getInt('minute')));
    }
}
