<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Span;

/** Ends the reading of one slot. Never leaves SlotParser. */
final class ParseException extends \Exception
{
    public readonly Finding $finding;

    /**
     * @param  array<string, string>  $data
     * @param  Finding|null  $already  where the finding was made before
     */
    public function __construct(
        SyntaxErrorCode $mistake,
        Span $span,
        array $data = [],
        ?string $replacement = null,
        ?Finding $already = null,
    ) {
        parent::__construct($mistake->value);
        $this->finding = $already ?? new Finding($mistake, $span, data: $data, replacement: $replacement);
    }
}
