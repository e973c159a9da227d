<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What some words of a text are, taken by themselves. */
enum SpanKind
{
    /** a number and its unit */
    case Measure;
    /** a number by itself */
    case Number;
    /** how long */
    case Time;
    case Celsius;
    /** a thickness, a depth, a width */
    case Length;
    /** so many whistles of a cooker */
    case Releases;
    /** strings or balls of a syrup */
    case Stage;
    /** so many people, days, loads, times */
    case Count;
    /** an amount that no measure fixes */
    case Vague;
    case Thing;
    case Verb;
    case Vessel;
    case Fire;
    case FlameOff;
    case Constant;
    case Watch;
    case Apart;
    case Negation;
    case Others;
    case Until;
    case Ready;
    case Wish;
    case OnTheWay;
    case Wrong;
}
