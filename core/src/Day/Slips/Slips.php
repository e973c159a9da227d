<?php

declare(strict_types=1);

namespace FeastLadle\Day\Slips;

use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Words\Sentence;

/** What to do when something went wrong. Every slip ends in ways that are always there: anew, and as it is. */
final class Slips
{
    public static function answer(Scene $scene): SlipAnswer
    {
        $answer = match ($scene->slip->slip) {
            SlipKind::Forgotten => AmountSlips::forgotten($scene),
            SlipKind::TooMuch => AmountSlips::tooMuch($scene),
            SlipKind::TooLittle => AmountSlips::tooLittle($scene),
            SlipKind::Swapped => WrongThing::swapped($scene),
            SlipKind::OutOfOrder => WrongThing::outOfOrder($scene),
            SlipKind::SomethingElse => WrongThing::somethingElse($scene),
            SlipKind::Skipped => TextureSlips::skipped($scene),
            SlipKind::TooWet => TextureSlips::tooWet($scene),
            SlipKind::TooDry => TextureSlips::tooDry($scene),
            SlipKind::WentPast => HeatSlips::wentPast($scene),
            SlipKind::TooHot => HeatSlips::tooHot($scene),
            SlipKind::TooCold => HeatSlips::tooCold($scene),
            SlipKind::Caught => HeatSlips::caught($scene),
            SlipKind::Spilt => LostSlips::spilt($scene),
            SlipKind::Dropped => LostSlips::dropped($scene),
            SlipKind::Touched => LostSlips::touched($scene),
            SlipKind::Foreign => LostSlips::foreign($scene),
        };
        $answer = $answer->with(self::anew($scene));
        if ($answer->isForNobody) {
            $kept = array_filter($answer->ways, static fn (Way $w): bool => \in_array($w->kind, [WayKind::Discard, WayKind::Anew], true));

            return (new SlipAnswer($answer->first, $answer->changes, true, array_values($kept), $answer->noWayBack))
                ->with(new Way('discard', WayKind::Discard, new Sentence('Nobody eats this: away with it, and wash what it touched.')))
                ->ordered();
        }

        return $answer->ordered();
    }

    private static function anew(Scene $scene): Way
    {
        return new Way(
            'anew',
            WayKind::Anew,
            new Sentence('Begin "{dish}" anew, this batch or a part of it.', ['dish' => $scene->dish->dish->recipe->name]),
            minutes: $scene->spentMinutes,
        );
    }
}
