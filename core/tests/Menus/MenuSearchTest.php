<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Menus;

use FeastLadle\Explaining\Word;
use FeastLadle\Feast\FeastDocument;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Menus\MenuFind;
use FeastLadle\Menus\MenuSearch;
use FeastLadle\Menus\MenuWish;
use FeastLadle\Modelling\Earliness;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Schedule\Audit;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** What is found holds, is as it was wished, and stands in the order of its work. */
final class MenuSearchTest extends TestCase
{
    private const BOOK = [
        'pineapple-kesari',
        'sago-milk',
        'cashew-diamonds',
        'sweet-pongal',
        'peanut-brittle',
        'date-nut-rolls',
        'basundi',
    ];

    public function testWhatIsFoundWasPlannedAndIsAsItWasWished(): void
    {
        $found = $this->find(new MenuWish(3, 1, 240, false));
        self::assertNotEmpty($found);
        $seen = [];
        foreach ($found as $find) {
            $slugs = array_map(static fn (Recipe $r): string => $r->slug, $find->recipes);
            sort($slugs);
            self::assertCount(3, array_unique($slugs));
            self::assertNotContains($slugs, $seen);
            $seen[] = $slugs;
            self::assertCount(1, array_filter(
                $find->recipes,
                static fn (Recipe $r): bool => \in_array($r->serving, [ServingWay::Hot, ServingWay::Warm], true),
            ));
            self::assertTrue($find->plan->isOnTime());
            self::assertSame([], (new Audit())->faults($find->plan->problem, $find->plan->solution));
            self::assertLessThanOrEqual(240, $find->plan->handMinutes());
            self::assertNotNull($find->chances->least());
        }
        usort($found, static fn (MenuFind $a, MenuFind $b): int => $a->rank() <=> $b->rank());
        foreach (\array_slice($found, 1) as $k => $later) {
            $sooner = $found[$k];
            self::assertTrue(
                $sooner->word() !== $later->word() || $sooner->plan->handMinutes() <= $later->plan->handMinutes(),
                'of those as sure the one with less work stands first',
            );
            self::assertFalse(Word::Sure === $later->word() && Word::Sure !== $sooner->word(), 'what is sure stands first');
        }
    }

    public function testNothingIsFoundThatSomebodyMustNotEatOrForWhichThereAreNoHands(): void
    {
        $nuts = $this->find(new MenuWish(1), [['id' => 'six', 'name' => 'Six', 'count' => 6, 'avoids' => ['nuts']]]);
        self::assertNotEmpty($nuts);
        foreach ($nuts as $find) {
            foreach ($find->recipes as $recipe) {
                self::assertNotContains($recipe->slug, ['cashew-diamonds', 'date-nut-rolls'], 'nuts are in it');
            }
        }
        self::assertSame([], $this->find(new MenuWish(3, null, 5, false)), 'nobody makes three sweets in five minutes');
    }

    public function testItStopsWhenItIsToldTo(): void
    {
        $left = 3;
        $goOn = static function () use (&$left): bool {
            return --$left >= 0;
        };
        self::assertSame([], $this->find(new MenuWish(3), null, $goOn));
        self::assertSame(-1, $left, 'nobody asked again');
    }

    /**
     * @param list<array<string, mixed>>|null $groups
     * @param (\Closure(): bool)|null         $goOn
     *
     * @return list<MenuFind>
     */
    private function find(MenuWish $wish, ?array $groups = null, ?\Closure $goOn = null): array
    {
        $document = ['dishes' => []] + Shipped::document('feasts/new-roof');
        if (null !== $groups) {
            $document['groups'] = $groups;
        }
        $search = new MenuSearch(
            FeastDocument::of($document),
            new FeastReader(Shipped::kitchen(), Shipped::shelf()),
            Shipped::kitchen(),
            Shipped::larder(),
        );
        $book = array_map(static fn (string $slug): array => [
            'id' => 'd-'.$slug,
            'recipe' => $slug,
            'uptake' => 0.9,
            'readyEarlier' => Earliness::usual(Shipped::recipe($slug)),
        ], self::BOOK);
        $found = [];
        foreach ($search->search($wish, $book, $goOn ?? static fn (): bool => true) as [$done, $of, $find]) {
            self::assertLessThanOrEqual($of, $done);
            if (null !== $find) {
                $found[] = $find;
            }
        }

        return $found;
    }
}
