<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\IdleHands;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Free hands measure what is wanted next, and wash what is wanted again. */
final class IdleHandsTest extends TestCase
{
    use HomeDay;

    public function testBowlsOfTheNextStepsComeInTheirOrderUntilTheyStandReady(): void
    {
        $state = $this->asPlanned('13:00');
        $work = (new IdleHands(Shipped::kitchen()))->of($state, []);
        self::assertNotSame([], $work);
        self::assertSame('balls/1/dough', $work[0]['step']->key->id(), 'the dough is kneaded at three minutes past one');
        self::assertSame(1, $work[0]['number']);
        $starts = array_map(static fn (array $w): int => $w['step']->start->getTimestamp(), $work);
        self::assertSame($starts, $this->sorted($starts));
        $next = (new IdleHands(Shipped::kitchen()))->of($state, ['balls/1/dough bowl 1' => true]);
        self::assertSame(2, $next[0]['number'], 'what stands ready is not measured again');
    }

    public function testAPotThatIsWantedAgainIsWashedAndAFullOneIsNot(): void
    {
        // The round pan fried the balls until 14:41 and is wanted for the barfi at 14:47; the tall pot still holds milk at one.
        self::assertContains('round-pan', $this->washed('14:42'));
        self::assertNotContains('tall-pot', $this->washed('13:00'));
        self::assertSame([], $this->washed('11:20'), 'nothing was used yet');
    }

    /** @return list<string> vessel ids */
    private function washed(string $time): array
    {
        $vessels = [];
        foreach ((new IdleHands(Shipped::kitchen()))->of($this->asPlanned($time), []) as $work) {
            if (null !== $work['vessel']) {
                $vessels[] = $work['vessel']->id;
            }
        }

        return $vessels;
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int>
     */
    private function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
