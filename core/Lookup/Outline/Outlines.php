<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use DOMElement;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;

/** An answer as a tree whose values can be chosen. */
final class Outlines
{
    /** Places of an answer that are shown. */
    public const MOST = 3_000;

    /** Characters of a value that is shown. */
    public const SHOWN = 200;

    /** @throws BadAnswer */
    public static function of(AnswerFormat $format, string $body): OutlineNode
    {
        return match ($format) {
            AnswerFormat::Json => (new JsonOutline)->of($body),
            AnswerFormat::Xml => (new XmlOutline)->of($body),
            AnswerFormat::Html => (new HtmlOutline)->of($body),
            AnswerFormat::Text => TextOutline::of($body),
        };
    }

    /** The text of an element as it is shown, its white space folded. */
    public static function text(DOMElement $element): string
    {
        // So much is enough for what is shown; the text of a whole page may stand in each of its elements.
        $text = mb_substr(ltrim($element->textContent), 0, 20 * self::SHOWN);

        return mb_substr(trim((string) preg_replace('/[\s\x{A0}]+/u', ' ', $text)), 0, self::SHOWN);
    }
}
