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

    /** @var array<int, true> */
    private array $own = [];

    /** @var list<Change> */
    public array $changes = [];

    /**
     * @param  array<int, string|self>  $row  what the author wrote at even places, and between, what a slot filled in or a choice said
     * @param  list<Change>  $changes
     * @param  array<int, true>  $own  odd places at which a slot says what the pack's authors wrote
     */
    public function __construct(array $row = [], array $changes = [], array $own = [])
    {
        $this->row = $row;
        $this->own = $own;
        $this->changes = $changes;
        $this->text = implode('', $row);
    }

    public function __toString(): string
    {
        return $this->text;
    }

    /** @return list<array{string, Origin}> text, and where it came from; what the author wrote is one text up to the next slot */
    public function pieces(): array
    {
        $pieces = [];
        foreach ($this->row as $at => $piece) {
            foreach ($piece instanceof self ? $piece->pieces() : [[$piece, $this->origin($at)]] as [$text, $origin]) {
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

    private function origin(int $at): Origin
    {
        return $at % 2 === 0 ? Origin::Author : (isset($this->own[$at]) ? Origin::Pack : Origin::People);
    }
}
