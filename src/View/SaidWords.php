<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Words\Sentence;

/** What was said of a step or a plan, as whoever looks on reads it: of the day itself and of a rehearsal. */
final class SaidWords
{
    public static function began(string $step): Sentence
    {
        return new Sentence('began: {step}', ['step' => $step]);
    }

    public static function done(string $step): Sentence
    {
        return new Sentence('done: {step}', ['step' => $step]);
    }

    public static function slipped(string $step, ?SlipKind $slip): Sentence
    {
        return new Sentence('went wrong at {step}: {what}', ['step' => $step, 'what' => new Sentence(match ($slip) {
            SlipKind::Forgotten => 'something was forgotten',
            SlipKind::Swapped => 'one thing went in for another',
            SlipKind::OutOfOrder => 'something went in too early',
            SlipKind::TooMuch => 'too much went in',
            SlipKind::TooLittle => 'too little went in',
            SlipKind::Skipped => 'the step was left out',
            SlipKind::WentPast => 'it went past its stage',
            SlipKind::TooWet => 'it is too wet',
            SlipKind::TooDry => 'it is too dry',
            SlipKind::TooHot => 'it is too hot',
            SlipKind::TooCold => 'it is too cold',
            SlipKind::Spilt => 'some boiled over or was spilt',
            SlipKind::Dropped => 'some was dropped',
            SlipKind::Caught => 'it caught at the bottom',
            SlipKind::Touched => 'it was tasted or touched before the offering',
            SlipKind::Foreign => 'something fell in',
            SlipKind::SomethingElse, null => 'something else',
        })]);
    }

    public static function planned(string $because): Sentence
    {
        return new Sentence('planned anew: {why}', ['why' => $because]);
    }

    /** @param string $way that was taken or not: its last part says which */
    public static function answered(string $way, bool $taken): Sentence
    {
        return new Sentence($taken ? 'so be it: {what}' : 'leave it: {what}', ['what' => ltrim(strrchr(':'.$way, ':') ?: '', ':')]);
    }
}
