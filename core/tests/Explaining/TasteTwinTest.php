<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\TasteTwin;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Kitchen\Tasting;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\TaskPicture;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\Sentence;
use PHPUnit\Framework\TestCase;

/** A house that does not taste before the offering reads the scale instead; whoever reads no words sees a picture. */
final class TasteTwinTest extends TestCase
{
    public function testHowSweetItIsFollowsFromWhatWasWeighed(): void
    {
        // Cooked until tacky, a rise of 1.5 to 3 K: 41 to 58 % of sugar by the table.
        $says = (new TasteTwin(Shipped::larder()))->of(self::step('balls/1/syrup'));
        self::assertCount(1, $says);
        self::assertGreaterThanOrEqual(41, $says[0]->values['sugar']);
        self::assertLessThanOrEqual(58, $says[0]->values['sugar']);
    }

    public function testWhatIsNotSweetSaysNothing(): void
    {
        $says = (new TasteTwin(Shipped::larder()))->of(self::step('basundi/1/boil'));
        // Milk has sugar of its own, 4 to 5 g in 100.
        self::assertSame([5.0], array_map(static fn (Sentence $s): mixed => $s->values['sugar'], $says));
    }

    public function testTheHouseSaysWhenItTastes(): void
    {
        self::assertSame(Tasting::AfterTheOffering, Shipped::kitchen()->rules->tasting, 'where nobody said');
        $always = (new KitchenReader())->read(Document::changed(Shipped::document('kitchens/kumbhar-lane'), ['/tasting' => 'always']));
        self::assertSame([true, true], [$always->rules->tasting->isAllowed(true), $always->rules->tasting->isAllowed(false)]);
        $after = Tasting::AfterTheOffering;
        self::assertSame([false, true], [$after->isAllowed(true), $after->isAllowed(false)]);
        self::assertSame([false, false], [Tasting::Never->isAllowed(true), Tasting::Never->isAllowed(false)]);
    }

    public function testEveryStepOfTheBookHasItsPicture(): void
    {
        $seen = [];
        foreach (Shipped::recipes() as $slug) {
            foreach (Shipped::recipe($slug)->steps as $step) {
                $picture = TaskPicture::of($step);
                $seen[$picture->value] = true;
                if (TaskPicture::Fire === $picture) {
                    self::assertNotSame('none', $step->work->flame->value);
                }
            }
        }
        self::assertCount(\count(TaskPicture::cases()), $seen, 'each is of use');
    }

    private static function step(string $id): PlannedStep
    {
        foreach ((new FeastPlanner(Shipped::larder()))->glance(Shipped::feast(), Shipped::kitchen())->steps as $step) {
            if ($step->key->id() === $id) {
                return $step;
            }
        }
        self::fail($id);
    }
}
