<?php

declare(strict_types=1);

namespace SilverParrot\Response;

/** One word of a slot. */
final readonly class Token
{
    /**
     * @param  string  $text  as typed; of a quoted one what is between the marks
     * @param  int  $from  byte in the source
     * @param  int  $to  byte after it
     */
    public function __construct(public TokenKind $kind, public string $text, public int $from, public int $to)
    {
    }

    public function is(string ...$signs): bool
    {
        return $this->kind === TokenKind::Sign && in_array($this->text, $signs, true);
    }

    public function isWord(string ...$words): bool
    {
        return $this->kind === TokenKind::Path && in_array(strtolower($this->text), $words, true);
    }
}
