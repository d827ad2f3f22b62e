<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

enum TokenKind
{
    /** A name, or several joined by dots: `caller`, `counter.planks`. */
    case Path;

    /** Digits, with decimals or without. */
    case Number;

    /** Something in quotes. */
    case Quoted;

    /** `| ( ) , = < <= > >= + - * / %` */
    case Sign;

    /** A sign that means nothing here. */
    case Stray;

    /** The end of the slot. */
    case End;
}
