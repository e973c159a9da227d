<?php

declare(strict_types=1);

namespace App\Tests\Form;

use App\Form\PickerType;
use App\Form\ShareType;
use App\View\ShortNames;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Form\Test\TypeTestCase;

final class FieldsTest extends TypeTestCase
{
    /** @return iterable<array{string, float|string|null}> */
    public static function shares(): iterable
    {
        yield ['90 %', 0.9];
        yield ['90%', 0.9];
        yield ['62,5 %', 0.625];
        yield ['24 of 28', 0.857143];
        yield ['24/28', 0.857143];
        yield ['85', 0.85];
        yield ['0.85', 0.85];
        yield ['1', 1.0];
        yield ['100 %', 1.0];
        yield ['150 %', 1.5];
        yield ['3 of 0', '3 of 0'];
        yield ['most', 'most'];
        yield ['', null];
    }

    #[DataProvider('shares')]
    public function testAShareIsSaidInPercentAsSoManyOfSoManyOrAsAPart(string $typed, float|string|null $share): void
    {
        $form = $this->factory->create(ShareType::class);
        $form->submit($typed);
        self::assertSame($share, $form->getData());
    }

    public function testAShareIsShownInPercent(): void
    {
        self::assertSame('85.7 %', $this->factory->create(ShareType::class, 0.857143)->createView()->vars['value']);
        self::assertSame('100 %', $this->factory->create(ShareType::class, 1)->createView()->vars['value']);
    }

    public function testAPickerShowsWhatItCanAndLeavesTheRestAsText(): void
    {
        $type = fn (string $value, string $picks): mixed => $this->factory
            ->create(PickerType::class, $value, ['picks' => $picks])
            ->createView()->vars['type'];
        self::assertSame('date', $type('2031-11-15', 'date'));
        self::assertSame('date', $type('', 'date'));
        self::assertSame('text', $type('soon', 'date'));
        self::assertSame('time', $type('18:00', 'time'));
        self::assertSame('text', $type('24:30', 'time'));
    }

    public function testNamesThatBeginAlikeAreToldApartByTheirEnd(): void
    {
        $short = ShortNames::of(['Fire by the door', 'Fire by the well', 'Low fire', 'Extraordinarily'], 12);
        self::assertSame(['…the door', '…the well', 'Low fire', 'Extraordina…'], array_values($short));
        foreach ($short as $name) {
            self::assertLessThanOrEqual(12, mb_strlen($name));
        }
    }

    public function testNamesThatBeginAndEndAlikeAreToldApartByBothEnds(): void
    {
        $names = ['First row, left', 'First row, middle', 'First row, right'];
        array_push($names, 'Second row, left', 'Second row, middle', 'Second row, right');
        $short = ShortNames::of($names, 13);
        self::assertSame($names, array_keys($short));
        self::assertCount(6, array_unique($short));
        self::assertSame('Second…middle', $short['Second row, middle']);
        foreach ($short as $name) {
            self::assertLessThanOrEqual(13, mb_strlen($name));
        }
    }
}
