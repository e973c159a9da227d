<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * One sentence for each room of the core: what it may use, and no more. The rooms lie in one order (each uses only rooms above it in this
 * list), so no two can come to know each other.
 */
final class Rooms
{
    /** Room → what it may use, in the order in which they build on each other. */
    public const MAY_USE = [
        'Keeping' => [],
        'Words' => [],
        'Document' => ['Words'],
        'Heat' => ['Words'],
        'Vessel' => ['Heat', 'Words'],
        'Syrup' => ['Heat', 'Words'],
        'Larder' => ['Document', 'Heat', 'Syrup', 'Words'],
        'Measure' => ['Larder', 'Words'],
        'Schedule' => ['Document', 'Words'],
        'Schools' => ['Document', 'Larder'],
        'Tray' => ['Heat', 'Words'],
        'Recipe' => ['Document', 'Heat', 'Larder', 'Measure', 'Schools', 'Syrup', 'Tray', 'Vessel', 'Words'],
        'Portion' => ['Recipe'],
        'Flow' => ['Heat', 'Keeping', 'Larder', 'Recipe', 'Syrup', 'Vessel'],
        'Safety' => ['Flow', 'Heat', 'Larder', 'Recipe', 'Syrup', 'Words'],
        'Kitchen' => ['Document', 'Heat', 'Measure', 'Recipe', 'Vessel', 'Words'],
        'Stores' => ['Kitchen', 'Larder'],
        'Feast' => ['Document', 'Kitchen', 'Portion', 'Recipe', 'Schools'],
        'Diet' => ['Feast', 'Kitchen', 'Larder', 'Portion', 'Recipe'],
        'Glance' => ['Diet', 'Flow', 'Heat', 'Larder', 'Recipe'],
        'Batch' => ['Flow', 'Heat', 'Kitchen', 'Larder', 'Recipe', 'Vessel'],
        'Checking' => ['Flow', 'Heat', 'Keeping', 'Larder', 'Recipe', 'Schedule', 'Syrup', 'Words'],
        'Telling' => ['Document', 'Heat', 'Larder', 'Measure', 'Recipe', 'Syrup', 'Vessel', 'Words'],
        'Drafting' => ['Document', 'Larder', 'Recipe', 'Schools', 'Syrup', 'Telling', 'Vessel', 'Words'],
        'Asking' => ['Document', 'Drafting', 'Flow', 'Heat', 'Larder', 'Recipe', 'Syrup', 'Telling', 'Words'],
        'Timing' => ['Batch', 'Flow', 'Heat', 'Kitchen', 'Larder', 'Measure', 'Recipe', 'Vessel', 'Words'],
        'Numbers' => ['Batch', 'Document', 'Heat', 'Keeping', 'Measure', 'Portion', 'Recipe', 'Syrup', 'Tray', 'Vessel', 'Words'],
        'Amounts' => [
            'Batch',
            'Diet',
            'Feast',
            'Flow',
            'Heat',
            'Kitchen',
            'Larder',
            'Measure',
            'Portion',
            'Recipe',
            'Stores',
            'Timing',
            'Tray',
            'Vessel',
            'Words',
        ],
        'Cards' => ['Amounts', 'Batch', 'Larder', 'Recipe', 'Vessel'],
        'Modelling' => [
            'Amounts',
            'Batch',
            'Feast',
            'Flow',
            'Heat',
            'Keeping',
            'Kitchen',
            'Larder',
            'Recipe',
            'Schedule',
            'Timing',
            'Words',
        ],
        'Solving' => ['Amounts', 'Feast', 'Heat', 'Kitchen', 'Larder', 'Modelling', 'Recipe', 'Schedule', 'Timing', 'Words'],
        'Standing' => [
            'Amounts',
            'Batch',
            'Feast',
            'Flow',
            'Heat',
            'Keeping',
            'Kitchen',
            'Larder',
            'Measure',
            'Modelling',
            'Recipe',
            'Solving',
            'Timing',
            'Vessel',
            'Words',
        ],
        'Explaining' => [
            'Amounts',
            'Diet',
            'Feast',
            'Heat',
            'Kitchen',
            'Larder',
            'Modelling',
            'Recipe',
            'Schedule',
            'Solving',
            'Stores',
            'Timing',
            'Tray',
            'Vessel',
            'Words',
        ],
        'Planning' => ['Amounts', 'Explaining', 'Feast', 'Kitchen', 'Larder', 'Modelling', 'Schedule', 'Solving', 'Standing'],
        'Menus' => ['Diet', 'Document', 'Explaining', 'Feast', 'Kitchen', 'Larder', 'Planning', 'Recipe', 'Schedule', 'Solving'],
        'Day' => [
            'Amounts',
            'Document',
            'Explaining',
            'Feast',
            'Flow',
            'Heat',
            'Kitchen',
            'Larder',
            'Modelling',
            'Planning',
            'Portion',
            'Recipe',
            'Schedule',
            'Solving',
            'Standing',
            'Syrup',
            'Telling',
            'Timing',
            'Vessel',
            'Words',
        ],
    ];

    /** Why a room may use so much and no more, in its own words. */
    public const KNOWS = [
        'Keeping' => 'clocks and water activity follow from temperatures and shares alone',
        'Words' => 'a sentence with its values is said by every room',
        'Document' => 'it reads JSON and names what is wrong with it, whatever the JSON is about',
        'Heat' => 'how long heat takes follows from masses, powers and areas alone',
        'Vessel' => 'a vessel is geometry and metal',
        'Larder' => 'an ingredient is what it is, whoever cooks with it',
        'Measure' => 'an amount is written for an ingredient and a scale',
        'Schedule' => 'it solves any problem of the open format and knows nothing of food',
        'Schools' => 'a school switches parts of a document, whatever it holds',
        'Syrup' => 'sugar and water follow from heat',
        'Tray' => 'a tray is cut by geometry, when it is cool enough',
        'Recipe' => 'a recipe says what is done, not how much or when',
        'Portion' => 'need follows from guests and portions',
        'Flow' => 'contents follow from the recipe and its size',
        'Safety' => 'what can hurt follows from what stands in the vessel',
        'Kitchen' => 'a kitchen is what is there',
        'Stores' => 'what is to be had follows from the bowls and the pantry',
        'Feast' => 'a feast is what is wished',
        'Diet' => 'who may eat what follows from what is in it and who comes',
        'Glance' => 'what a sweet looks like follows from what is in it and what is done with it',
        'Batch' => 'pots and batches follow from contents and vessels',
        'Checking' => 'a recipe is checked without a kitchen or a feast',
        'Telling' => 'a line or sentence is understood without making anything of it',
        'Drafting' => 'a draft is a document on its way to a recipe',
        'Asking' => 'what to ask first follows from running the draft over what was never said',
        'Timing' => 'minutes follow from contents, pot and fire, before anybody plans',
        'Numbers' => 'each law by its name',
        'Amounts' => 'how much of everything does not depend on when',
        'Cards' => 'a card is the bowls in their order',
        'Modelling' => 'a feast becomes a schedule problem without anybody solving it',
        'Solving' => 'model, solve, audit, tell: what to try is decided elsewhere',
        'Standing' => 'what stands in every vessel, how much and how warm, follows from a plan and changes nothing in it',
        'Explaining' => 'why it is so is asked of a plan, and tried by the same solve step',
        'Planning' => 'only here it is decided what is tried and which try is kept',
        'Menus' => 'a menu is found by planning what might be cooked',
        'Day' => 'what was said of a day is laid over a plan, which is then made anew from that minute on',
    ];

    /** @return iterable<Rule> */
    public function testEachRoomUsesOnlyWhatItMay(): iterable
    {
        foreach (self::MAY_USE as $room => $others) {
            yield PHPat::rule()
                ->classes(Selector::inNamespace('FeastLadle\\'.$room))
                ->canOnlyDependOn()
                ->classes(...array_map(static fn (string $r) => Selector::inNamespace('FeastLadle\\'.$r), [$room, ...$others]))
                ->because(self::KNOWS[$room]);
        }
    }
}
