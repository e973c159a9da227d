<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\StepAccount;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\Sentence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every minute of a plan can say how it comes about. */
final class StepAccountTest extends TestCase
{
    public function testReducingMilkTellsFireFoodAndWater(): void
    {
        $told = $this->told(Shipped::feast(), Shipped::kitchen(), 'basundi/1/reduce');

        self::assertSame('Small ring: 1.75 kW × 0.45 that reach the pot × 1 for the flame = 0.79 kW.', $told[0]);
        self::assertSame('It is as hot as it must be already.', $told[1]);
        self::assertSame('1.965 kg of water boil off: × 2257 kJ a kg ÷ 0.79 kW = 94 min.', $told[2]);
        // Roasting on the wide ring is held back by what the flour stands.
        self::assertStringStartsWith(
            'The food stands 12 kW on a m² before it catches',
            $this->told(Shipped::feast(), Shipped::kitchen(), 'kesari/1/roast')[1],
        );
    }

    public function testPiecesLoadsAndGrainInThinAirAreTold(): void
    {
        self::assertSame(
            ['227 pieces × 9 s ÷ 2^0.95 for those at it = 17.6 min.', '4 share it, each a part of it: 35 min ÷ 4^0.95 = 10 min.'],
            $this->told(Shipped::templeFeast(), Shipped::temple(), 'sesame/1/roll'),
            'within the eleven minutes for which it is warm',
        );
        self::assertSame(
            'By the recipe 11 min a load, 9 to 14; × 2.',
            $this->told(Shipped::templeFeast(), Shipped::temple(), 'cups/1/steam')[0],
        );
        self::assertSame(
            'Water boils at 98.6 °C here, so grain takes 2^((100 − 98.6)/10) = 1.1 times as long.',
            $this->told(Shipped::templeFeast(), Shipped::temple(), 'pudding/1/cook')[1],
        );
        self::assertSame(
            'It takes each load of “Fry the balls” as it comes out, so it lasts until the last of them: 102 min.',
            $this->told(Shipped::feast(), Shipped::kitchen(), 'balls/1/steep')[1],
        );
    }

    /** @return iterable<string, array{Feast, Kitchen}> */
    public static function feasts(): iterable
    {
        yield 'at home' => [Shipped::feast(), Shipped::kitchen()];
        yield 'in the temple' => [Shipped::templeFeast(), Shipped::temple()];
        yield 'eighteen hundred' => [Shipped::bellFeast(), Shipped::bellYard()];
    }

    #[DataProvider('feasts')]
    public function testNoStepIsWithoutItsAccountAndWhatIsComputedIsWhatIsPlanned(Feast $feast, Kitchen $kitchen): void
    {
        $number = static function (Sentence $sentence, string $name): float {
            self::assertIsNumeric($sentence->values[$name]);

            return (float) $sentence->values[$name];
        };
        foreach ((new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen)->steps as $step) {
            $told = (new StepAccount(Shipped::larder()))->of($step, $kitchen);
            self::assertNotSame([], $told, $step->key->id());
            $where = $step->key->id().' '.implode(' ', array_map(static fn (Sentence $s): string => $s->text(), $told));
            self::assertDoesNotMatchRegularExpression('/[{}]|NAN|INF/', $where);
            $last = $told[\count($told) - 1];
            if (isset($last->values['least']) && 'The law is known to about a fifth: {least} to {most} min.' === $last->id) {
                self::assertEqualsWithDelta($step->minutes(), $number($last, 'least') / 0.8, 1.2, $where);
            } elseif (
                isset($last->values['minutes'])
                && !str_starts_with($last->id, 'Between')
                && !str_starts_with($last->id, 'The fat')
            ) {
                self::assertEqualsWithDelta($step->minutes(), $number($last, 'minutes'), 1.0, $where);
            } elseif (isset($last->values['factor'], $last->values['likely'])) {
                self::assertEqualsWithDelta(
                    $step->minutes(),
                    $number($last, 'factor') * $number($last, 'likely'),
                    1.0,
                    $where,
                );
            }
        }
    }

    /** @return list<string> */
    private function told(Feast $feast, Kitchen $kitchen, string $step): array
    {
        $plan = (new FeastPlanner(Shipped::larder()))->try($feast, $kitchen);
        $found = array_values(array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->key->id() === $step));
        self::assertCount(1, $found);

        return array_map(static fn (Sentence $s): string => $s->text(), (new StepAccount(Shipped::larder()))->of($found[0], $kitchen));
    }
}
