<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Memory\Change;
use Stringable;

use function implode;

/** What came of saying a response, or a branch of it: a text, where it came from, and what it changes. */
final readonly class RenderedResponse implements Stringable
{
    public string $text;

    /**
     * @param  array<int, string|self>  $pieces  what the author wrote, what slots filled in, what choices said
     * @param  array<int, Origin>  $origins  of each, by place; what is not said to come from elsewhere came from people
     * @param  list<Change>  $changes
     */
    public function __construct(private array $pieces = [], private array $origins = [], public array $changes = [])
    {
        $this->text = implode('', $pieces);
    }

    public function __toString(): string
    {
        return $this->text;
    }

    /**
     * @return list<array{string, Origin}> text, and where it came from; what the author wrote is one text up to the
     *     next slot
     */
    public function pieces(): array
    {
        $pieces = [];
        foreach ($this->pieces as $at => $piece) {
            $inside = $piece instanceof self ? $piece->pieces() : [[$piece, $this->origins[$at] ?? Origin::People]];
            foreach ($inside as [$text, $origin]) {
                $last = count($pieces) - 1;
                if ($text !== '' && $origin === Origin::Author && $last >= 0 && $pieces[$last][1] === Origin::Author) {
                    $pieces[$last][0] .= $text;
                } elseif ($text !== '') {
                    $pieces[] = [$text, $origin];
                }
            }
        }

        return $pieces;
    }
}
