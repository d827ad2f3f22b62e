<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Memory\Change;
use Stringable;

use function implode;

/**
 * What came of saying a response, or a branch of it: a text, where it came from, and what it changes.
 *
 * Nobody changes it. It is not readonly by its type since there is one for every saying: see Run.
 */
final class Said implements Stringable
{
    public string $text = '';

    /** @var array<int, string|self> */
    private array $row = [];

    /** @var list<Change> */
    public array $changes = [];

    /**
     * @param  array<int, string|self>  $row  what the author wrote at even places, and between, what a slot filled in or a choice said
     * @param  list<Change>  $changes
     */
    public function __construct(array $row = [], array $changes = [])
    {
        $this->row = $row;
        $this->changes = $changes;
        $this->text = implode('', $row);
    }

    public function __toString(): string
    {
        return $this->text;
    }

    /** @return list<array{string, bool}> text, and whether a slot filled it in; what the author wrote is one text up to the next slot */
    public function pieces(): array
    {
        $pieces = [];
        foreach ($this->row as $at => $piece) {
            foreach ($piece instanceof self ? $piece->pieces() : [[$piece, $at % 2 === 1]] as [$text, $isSlot]) {
                $last = count($pieces) - 1;
                if ($text !== '' && ! $isSlot && $last >= 0 && ! $pieces[$last][1]) {
                    $pieces[$last][0] .= $text;
                } elseif ($text !== '') {
                    $pieces[] = [$text, $isSlot];
                }
            }
        }

        return $pieces;
    }
}
