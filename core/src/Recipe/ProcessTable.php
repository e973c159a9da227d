<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Heat\Flame;
use FeastLadle\Heat\HeatCap;
use FeastLadle\Larder\Danger;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\VesselKind;

/**
 * All that is known of each process, a row each: read by reader, checker, desk, telling, timer, pots, cards and cautions. A new
 * process is a case of Process and a row here. Minutes and degrees are kitchen estimates, with which a new step begins.
 */
final class ProcessTable
{
    /** @var array<string, ProcessFacts> */
    private static array $known = [];

    public static function of(Process $process): ProcessFacts
    {
        return self::$known[$process->value] ??= self::row($process);
    }

    private static function row(Process $process): ProcessFacts
    {
        $bowl = [VesselKind::Bowl, VesselKind::Tray, VesselKind::Pot];
        $tray = [VesselKind::Tray, VesselKind::Bowl];
        $pot = [VesselKind::Pot, VesselKind::Pan];
        $pan = [VesselKind::Pan, VesselKind::Pot];
        $any = [VesselKind::Pan, VesselKind::Pot, VesselKind::Bowl, VesselKind::Tray];
        $byMass = [Growth::Mass, Growth::Fixed];
        $byPiece = [Growth::Piece, Growth::Mass, Growth::Fixed];
        $byLoad = [Growth::Load, Growth::Mass, Growth::Fixed];
        $asLong = [Growth::Fixed];
        $byWarmth = [Growth::Fixed, Growth::Warmth];
        $cooling = [Growth::Cooling, Growth::Fixed];
        $boils = [TargetKind::VolumeTo, TargetKind::VolumeBy, TargetKind::WaterOff, TargetKind::Celsius, TargetKind::Cues];
        $warm = [TargetKind::Celsius, TargetKind::Cues];
        $cues = [TargetKind::Cues];
        $stir = AttentionKind::Constant;
        $watch = AttentionKind::Watch;
        $leave = AttentionKind::None;
        $before = Stretch::Before;
        $fire = Stretch::Fire;
        $after = Stretch::After;

        return match ($process) {
            Process::Prepare => new ProcessFacts(
                'Peel, cut, grate', $before, $bowl, $byMass, $stir, [5.0, 8.0, 12.0], questions: [Question::Waste], begins: true,
                isShared: true,
            ),
            Process::Soak => new ProcessFacts(
                'Soak', $before, $bowl, $byWarmth, $leave, [60.0, 120.0, 240.0], fill: FillLimit::Soaking, coolsToRoom: true,
                begins: true, becomes: ['soaked'],
            ),
            Process::Drain => new ProcessFacts(
                'Drain', $before, $bowl, $asLong, $stir, [2.0, 3.0, 5.0],
            ),
            Process::Rinse => new ProcessFacts(
                'Rinse', $before, $bowl, $asLong, $stir, [2.0, 3.0, 5.0], coolsToRoom: true, begins: true,
            ),
            Process::Sieve => new ProcessFacts(
                'Sieve', $before, $bowl, $byMass, $stir, [2.0, 3.0, 5.0], questions: [Question::Waste], coolsToRoom: true,
                begins: true, isShared: true,
            ),
            Process::Grind => new ProcessFacts(
                'Grind', $before, $bowl, $byLoad, $stir, [1.0, 2.0, 3.0], questions: [Question::Load], begins: true,
                becomes: ['paste', 'powder'],
            ),
            Process::Mash => new ProcessFacts(
                'Mash', $before, [VesselKind::Bowl, VesselKind::Tray, VesselKind::Pot, VesselKind::Pan, VesselKind::Cooker], $byMass,
                $stir, [3.0, 5.0, 8.0], fill: FillLimit::StiffStirred, isShared: true,
            ),
            Process::Press => new ProcessFacts(
                'Press', $before, $bowl, $byMass, $stir, [6.0, 9.0, 14.0], questions: [Question::Outputs], begins: true, isShared: true,
            ),
            Process::Strain => new ProcessFacts(
                'Strain', $before, $bowl, $byMass, $stir, [3.0, 5.0, 8.0], questions: [Question::Outputs, Question::Waste],
                begins: true, isShared: true,
            ),
            Process::Knead => new ProcessFacts(
                'Knead', $before, $bowl, $byMass, $stir, [6.0, 9.0, 14.0], fill: FillLimit::StiffStirred, begins: true,
                isShared: true, becomes: ['dough'],
            ),
            Process::Rest => new ProcessFacts(
                'Rest', $before, [VesselKind::Bowl, VesselKind::Tray, VesselKind::Pot, VesselKind::Pan], $byWarmth, $leave,
                [15.0, 30.0, 60.0], coolsToRoom: true,
            ),
            Process::Dry => new ProcessFacts(
                'Air-dry', $before, $tray, $asLong, $leave, [60.0, 120.0, 360.0], questions: [Question::Steam], coolsToRoom: true,
                begins: true,
            ),
            Process::Roast => new ProcessFacts(
                'Roast in fat', $fire, $pan, [Growth::Roast, Growth::Mass, Growth::Fixed], $stir, [8.0, 12.0, 18.0],
                flame: Flame::Low, targets: $cues, questions: [Question::Steam, Question::Turns], fill: FillLimit::StiffStirred,
                cap: HeatCap::Roast, panExcessK: 50.0, browns: true, begins: true, becomes: ['roasted'],
            ),
            Process::Parch => new ProcessFacts(
                'Parch dry', $fire, $pan, [Growth::Roast, Growth::Mass, Growth::Fixed], $stir, [4.0, 6.0, 9.0], flame: Flame::Low,
                targets: $cues, questions: [Question::Steam, Question::Waste], fill: FillLimit::StiffStirred, cap: HeatCap::Roast,
                panExcessK: 50.0, browns: true, begins: true, becomes: ['roasted'],
            ),
            Process::Bloom => new ProcessFacts(
                'Bloom spice in fat', $fire, $pan, $byMass, $stir, [0.5, 1.0, 2.0], flame: Flame::Low, targets: $warm,
                fill: FillLimit::StiffStirred, cap: HeatCap::Roast, browns: true, begins: true,
            ),
            Process::Infuse => new ProcessFacts(
                'Infuse', $fire, [VesselKind::Bowl, VesselKind::Pot, VesselKind::Pan], $asLong, $leave, [10.0, 20.0, 60.0],
                fill: FillLimit::MilkOrStarchBoil, begins: true,
            ),
            Process::FryGarnish => new ProcessFacts(
                'Fry garnish', $fire, $pan, $byMass, $stir, [3.0, 5.0, 8.0], flame: Flame::Low, targets: $cues,
                fill: FillLimit::StiffStirred, cap: HeatCap::Syrup, browns: true, danger: Danger::HotFat,
                leavesWhole: true, begins: true, becomes: ['garnish', 'nuts', 'fried'],
            ),
            Process::Boil => new ProcessFacts(
                'Bring to the boil', $fire, $pot, [Growth::WarmUp, Growth::Fixed, Growth::Mass], $watch, [6.0, 9.0, 14.0],
                flame: Flame::High, targets: $warm, fill: FillLimit::MilkOrStarchBoil, cap: HeatCap::Milk, softens: true,
                danger: Danger::BoilOver, begins: true, becomes: ['boiling', 'hot'],
            ),
            Process::Simmer => new ProcessFacts(
                'Simmer', $fire, $pot, [Growth::Fixed, Growth::Mass, Growth::WarmUp, Growth::BoilOff], $watch, [10.0, 15.0, 25.0],
                flame: Flame::Low, targets: $boils, questions: [Question::Steam], fill: FillLimit::MilkOrStarchBoil,
                cap: HeatCap::ThinPudding, softens: true, danger: Danger::BoilOver,
            ),
            Process::Reduce => new ProcessFacts(
                'Reduce', $fire, $pot, [Growth::BoilOff, Growth::Fixed, Growth::Mass], $watch, [30.0, 45.0, 70.0],
                flame: Flame::Medium, targets: $boils, fill: FillLimit::MilkOrStarchBoil, cap: HeatCap::Milk, panExcessK: 10.0,
                softens: true, danger: Danger::BoilOver,
            ),
            Process::Syrup => new ProcessFacts(
                'Cook a syrup', $fire, $pot, [Growth::BoilOff, Growth::WarmUp, Growth::Fixed], $watch, [8.0, 12.0, 18.0],
                flame: Flame::Medium, targets: [TargetKind::Stage, TargetKind::Celsius, TargetKind::Cues], fill: FillLimit::Syrup,
                cap: HeatCap::Syrup, panExcessK: 10.0, danger: Danger::HotSugar, begins: true, becomes: ['syrup'],
            ),
            Process::Pressure => new ProcessFacts(
                'Cook under pressure', $fire, [VesselKind::Cooker], $byMass, $watch, [14.0, 18.0, 25.0], flame: Flame::High,
                targets: [TargetKind::Releases, TargetKind::Cues], fill: FillLimit::Pressure, softens: true, cooksThrough: true,
                danger: Danger::Pressure, begins: true,
            ),
            Process::Steam => new ProcessFacts(
                'Steam', $fire, [VesselKind::Steamer], $byLoad, $watch, [8.0, 10.0, 14.0], flame: Flame::High, targets: $cues,
                questions: [Question::Load], cooksThrough: true, danger: Danger::Steam,
            ),
            Process::DeepFry => new ProcessFacts(
                'Deep-fry', $fire, $pan, [Growth::Load], $stir, [4.0, 6.0, 8.0], flame: Flame::Medium, targets: $cues,
                questions: [Question::FryingFat, Question::Pieces, Question::Steam], fill: FillLimit::DeepFat, cap: HeatCap::Syrup,
                browns: true, cooksThrough: true, neverAlone: true, becomes: ['fried', 'balls'],
            ),
            Process::ShallowFry => new ProcessFacts(
                'Shallow-fry', $fire, [VesselKind::Pan, VesselKind::Griddle], [Growth::Load], $stir, [4.0, 6.0, 9.0], flame: Flame::Medium,
                targets: $cues, questions: [Question::FryingFat, Question::Pieces, Question::Steam], fill: FillLimit::DeepFat,
                cap: HeatCap::Syrup, browns: true, cooksThrough: true, neverAlone: true, becomes: ['fried', 'discs'],
            ),
            Process::Griddle => new ProcessFacts(
                'Cook on the griddle', $fire, [VesselKind::Griddle, VesselKind::Pan], $byLoad, $stir, [2.0, 3.0, 4.0],
                flame: Flame::Medium, targets: $cues, questions: [Question::Load, Question::Steam], cap: HeatCap::Roast,
                browns: true, cooksThrough: true,
            ),
            Process::Dunk => new ProcessFacts(
                'Dip in syrup', $after, $pot, $byLoad, $stir, [0.3, 0.5, 1.0], questions: [Question::Load], standsReady: true,
                hotHands: true, joins: true,
            ),
            Process::Steep => new ProcessFacts(
                'Steep off the flame', $after, $pot, $asLong, $leave, [15.0, 20.0, 30.0], softens: true,
            ),
            Process::Merge => new ProcessFacts(
                'Pour together hot', $fire, $pan, $byMass, $stir, [2.0, 4.0, 7.0], flame: Flame::Low, targets: $cues,
                fill: FillLimit::HotOntoHot, cap: HeatCap::ThickPudding, danger: Danger::Splash, standsReady: true, hotHands: true,
                joins: true,
            ),
            Process::HotFat => new ProcessFacts(
                'Ladle hot fat in', $fire, $pan, $byMass, $stir, [6.0, 9.0, 13.0], flame: Flame::Medium, targets: $cues,
                questions: [Question::Steam], fill: FillLimit::FrothingFat, cap: HeatCap::ThickPudding, panExcessK: 30.0,
                danger: Danger::HotFat, standsReady: true, neverAlone: true, leastPeople: 2, joins: true,
            ),
            Process::StirToBall => new ProcessFacts(
                'Stir until it moves as one', $fire, $pan, $byMass, $stir, [18.0, 25.0, 40.0], flame: Flame::Medium, targets: $cues,
                questions: [Question::Steam, Question::Turns], fill: FillLimit::StiffStirred, cap: HeatCap::ThickPudding,
                panExcessK: 30.0, danger: Danger::Spatter,
            ),
            Process::Test => new ProcessFacts(
                'Test', $fire, $any, $asLong, $stir, [1.0, 1.0, 2.0],
            ),
            Process::Cool => new ProcessFacts(
                'Cool', $after, [VesselKind::Tray, VesselKind::Pot, VesselKind::Pan], $cooling, $leave, [20.0, 40.0, 90.0],
                targets: $warm, danger: Danger::Lukewarm,
            ),
            Process::MixIn => new ProcessFacts(
                'Mix in', $after, $any, $byMass, $stir, [2.0, 3.0, 5.0], targets: $warm, leavesWhole: true, joins: true, isShared: true,
            ),
            Process::Chill => new ProcessFacts(
                'Chill', $after, $bowl, $cooling, $leave, [60.0, 120.0, 240.0], targets: $warm, danger: Danger::Lukewarm,
            ),
            Process::Shape => new ProcessFacts(
                'Shape', $after, $tray, $byPiece, $stir, [5.0, 10.0, 15.0], questions: [Question::Pieces], coolsToRoom: true,
                isShared: true, pieceByPiece: true, becomes: ['balls', 'discs', 'rolls'],
            ),
            Process::Set => new ProcessFacts(
                'Set in a tray', $after, [VesselKind::Tray], $cooling, $leave, [30.0, 60.0, 120.0],
                targets: [TargetKind::Celsius, TargetKind::Depth, TargetKind::Cues], coolsToRoom: true, standsReady: true,
            ),
            Process::Score => new ProcessFacts(
                'Score', $after, [VesselKind::Tray], $byMass, $stir, [1.0, 2.0, 3.0], coolsToRoom: true,
            ),
            Process::Cut => new ProcessFacts(
                'Cut', $after, [VesselKind::Tray], $byPiece, $stir, [3.0, 5.0, 8.0], questions: [Question::Pieces],
                coolsToRoom: true, isShared: true, pieceByPiece: true,
            ),
            Process::Part => new ProcessFacts(
                'Part', $after, [VesselKind::Tray], $byPiece, $stir, [3.0, 5.0, 8.0], questions: [Question::Pieces],
                coolsToRoom: true, isShared: true, pieceByPiece: true,
            ),
            Process::TurnOut => new ProcessFacts(
                'Turn out', $after, [VesselKind::Tray], $asLong, $stir, [1.0, 2.0, 3.0],
            ),
            Process::Coat => new ProcessFacts(
                'Coat', $after, $tray, $byPiece, $stir, [3.0, 5.0, 8.0], leavesWhole: true, coolsToRoom: true, joins: true,
                isShared: true, pieceByPiece: true, becomes: ['balls', 'rolls'],
            ),
            Process::Garnish => new ProcessFacts(
                'Garnish', $after, $tray, $byMass, $stir, [3.0, 5.0, 8.0], leavesWhole: true, joins: true,
                isShared: true, pieceByPiece: true,
            ),
            Process::Portion => new ProcessFacts(
                'Portion', $after, $bowl, $byMass, $stir, [3.0, 5.0, 8.0], questions: [Question::Waste], isShared: true, pieceByPiece: true,
            ),
            Process::DishUp => new ProcessFacts(
                'Dish up', $after, [], $byMass, $stir, [3.0, 5.0, 8.0], joins: true, isShared: true, pieceByPiece: true,
            ),
        };
    }
}
