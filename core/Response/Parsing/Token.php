<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Source\Fold;

/** One word of a slot. */
final readonly class Token
{
    /** For comparing: of a path only. */
    public string $folded;

    /**
     * @param  string  $text  as typed; of a quoted one what is between the marks
     * @param  int  $from  byte in the source
     * @param  int  $to  byte after it
     */
    public function __construct(public TokenKind $kind, public string $text, public int $from, public int $to)
    {
        $this->folded = $kind === TokenKind::Path ? Fold::caseless($text) : '';
    }

    public function is(string ...$signs): bool
    {
        return $this->kind === TokenKind::Sign && in_array($this->text, $signs, true);
    }

    public function isWord(string ...$words): bool
    {
        return $this->kind === TokenKind::Path && in_array($this->folded, $words, true);
    }
}
