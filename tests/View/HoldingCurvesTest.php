<?php

declare(strict_types=1);

namespace App\Tests\View;

use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Service\FeastDesk;
use App\Service\PlanStore;
use App\View\HoldingCurves;
use FeastLadle\Flow\Exemption;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Each sweet is drawn from its first heating to the last who eat of it, and says why it needs a clock or none. */
final class HoldingCurvesTest extends KernelTestCase
{
    public function testEveryRoundOfEverySweetIsDrawnWithinItsFrame(): void
    {
        $container = self::getContainer();
        $kitchen = $container->get(KitchenRepository::class)->local();
        self::assertNotNull($kitchen);
        $open = $container->get(FeastDesk::class)->open((int) $container->get(FeastRepository::class)->all($kitchen)[0]->getId());
        $holding = $container->get(HoldingCurves::class)->of($open, $container->get(PlanStore::class)->plan($open));
        self::assertSame(
            ['balls', 'barfi', 'basundi', 'kesari'],
            array_values(
                array_unique(
                    $this->sorted(array_map(static fn (array $c): string => $c['held']->last->planned->key->dish, $holding['curves'])),
                ),
            ),
        );
        foreach ($holding['curves'] as $curve) {
            $last = -1.0;
            foreach (explode(' ', $curve['points']) as $point) {
                [$x, $y] = array_map(floatval(...), explode(',', $point));
                self::assertGreaterThanOrEqual($last, $x, 'time does not go back');
                self::assertLessThanOrEqual($holding['width'], $x);
                self::assertGreaterThanOrEqual(0, $y);
                self::assertLessThanOrEqual($holding['height'], $y);
                $last = $x;
            }
            self::assertGreaterThan($curve['from'], $curve['until']);
            self::assertSame(null === $curve['held']->exempt, null === $curve['why']);
            self::assertSame(Exemption::Claim === $curve['held']->exempt, str_contains($curve['why']?->text() ?? '', 'by the recipe'));
        }
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private function sorted(array $words): array
    {
        sort($words);

        return $words;
    }
}
