<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

/** Why a value can never be had, whatever is typed, remembered or looked up. */
enum CertainFailure: string
{
    case DivisionByZero = 'division-by-zero';
    case NoNumber = 'no-number';
    case NothingToCount = 'nothing-to-count';
    case NotAMoment = 'not-a-moment';
    case NotALength = 'not-a-length';
    case NotAList = 'not-a-list';
    case NotAnAddress = 'not-an-address';
    case BadRoll = 'bad-roll';
    case BadTop = 'bad-top';
    case BadCut = 'bad-cut';
    case BadPlaces = 'bad-places';
    case Negative = 'negative';
    case NotWhole = 'not-whole';

    /** What is kept is yes or no. */
    case NotYesOrNo = 'not-yes-or-no';
    case NotANumberField = 'not-a-number-field';
}
