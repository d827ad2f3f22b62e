<?php

declare(strict_types=1);

namespace Tests\Pathological;

use Random\Randomizer;

/**
 * Makes responses by the grammar, with the names of the test world: each can be read, whatever comes of it when it is
 * said.
 */
final class Grammar
{
    private const PATHS = [
        'caller',
        'caller.name',
        'caller.tier',
        'caller.lines',
        'caller.boat',
        'caller.pebbles',
        'caller.rank',
        'caller.height',
        'caller.born',
        'caller.swims',
        'target',
        'target.pebbles',
        'target.known',
        'trigger',
        'message',
        'channel',
        'channel.title',
        'channel.tags',
        'channel.viewers',
        'channel.uptime',
        'channel.live',
        'now',
        'today',
        'fact.workshop',
        'fact.trap',
        'list.knots.size',
        'counter.planks',
        'counter.splinters.total',
        'counter.visits',
        'occasion.leak',
        'occasion.never',
        'goods.lantern',
        'commands',
        'page',
        'quote.number',
        'happening.amount',
    ];

    private const CALLS = [
        'list.knots',
        'list.knots 2',
        'list.winds',
        'list.one',
        'counter.visits for target',
        'goods.rope for caller',
        'quote',
        'quote 3',
        'quote word 1',
        'lookup.tide.high port=words',
        'lookup.wind.speed',
        'commands for caller',
        'top 2 by pebbles',
    ];

    private const FILTERS = [
        'upper',
        'lower',
        'title',
        'trim',
        'cut 5',
        'number',
        'round 1',
        'ordinal',
        'plural "#" "#s"',
        'date "d MMM"',
        'ago',
        'short',
        'default "x"',
        'quiet',
        'url',
        'mention',
        'in days',
        'join ", "',
        'first',
        'last',
        'count',
        'reverse',
        'sort',
        'replace "a" "bb"',
        'scores',
        'link',
    ];

    private const TEXTS = ['Ahoy ', '[[', ']', ' é 潮 ', '!', '😀', "\n", ' [[sic]] ', '/', '… '];

    /** @var list<string> names given with “as” so far */
    private array $bound = [];

    private int $slots = 0;

    public function __construct(private readonly Randomizer $random)
    {
    }

    public function response(int $depth = 3): string
    {
        [$this->bound, $this->slots] = [[], 0];

        return $this->parts($depth);
    }

    /** What can stand behind “when”. */
    public function condition(): string
    {
        $this->bound = [];

        return $this->both(2).($this->maybe() ? ' or '.$this->both(1) : '');
    }

    private function parts(int $depth): string
    {
        $parts = '';
        for ($count = $this->random->getInt(1, 4); $count > 0 && $this->slots < 30; $count--) {
            $parts .= match ($this->random->getInt(0, 5)) {
                0, 1 => $this->of(self::TEXTS),
                2 => $depth > 0 ? $this->choice($depth - 1) : 'x',
                default => $this->slot(),
            };
        }

        return $parts;
    }

    private function choice(int $depth): string
    {
        $this->slots += 3;
        $given = $this->bound;
        $choice = '[when '.$this->both(2).']'.$this->parts($depth);
        if ($this->maybe()) {
            $choice .= '[else when '.$this->both(2).']'.$this->parts($depth);
        }
        if ($this->maybe()) {
            $choice .= '[else]'.$this->parts($depth);
        }
        $this->bound = array_values(array_unique([...$given, ...$this->bound]));

        return "{$choice}[end]";
    }

    private function slot(): string
    {
        $this->slots++;
        if ($this->random->getInt(0, 6) === 0) {
            return $this->of([
                '[add 1 to counter.planks]',
                '[take word 1 or 1 from caller.pebbles | quiet]',
                '[set caller.boat to (words | cut 9)]',
                '[clear occasion.leak]',
                '[add 2 to goods.rope]',
                '[set occasion.launch to "2027-01-01"]',
                '[add 1 to counter.visits for target]',
            ]);
        }
        $slot = '['.($this->maybe() ? $this->sum(2) : $this->both(2).' or '.$this->sum(1));
        // “or” after a filter is a mistake, so filters come last.
        for ($filters = $this->random->getInt(0, 2); $filters > 0; $filters--) {
            $slot .= ' | '.$this->of(self::FILTERS);
        }
        if ($this->random->getInt(0, 5) === 0) {
            $name = 'n'.count($this->bound).'_'.$this->slots;
            $slot .= " as $name";
            $this->bound[] = $name;
        }

        return "$slot]";
    }

    private function both(int $depth): string
    {
        $one = ($this->random->getInt(0, 4) === 0 ? 'not ' : '').$this->relation($depth);

        return $depth > 0 && $this->random->getInt(0, 3) === 0 ? "$one and ".$this->relation($depth - 1) : $one;
    }

    private function relation(int $depth): string
    {
        $left = $this->sum($depth);

        return match ($this->random->getInt(0, 7)) {
            0 => "$left is ".$this->sum($depth),
            1 => "$left is not nothing",
            2 => "$left is one of \"a\", \"Planking\" or ".$this->operand(),
            3 => "$left ".$this->of(['<', '<=', '>', '>=']).' '.$this->sum($depth),
            4 => "$left ".$this->of(['contains', 'starts with', 'ends with']).' '.$this->operand(),
            5 => 'caller.level '
                .$this->of(['is', 'is not', '<', '>='])
                .' '
                .$this->of(['"moderator"', '"vip"', 'target.level']),
            default => "($left)",
        };
    }

    private function sum(int $depth): string
    {
        if ($depth === 0 || $this->random->getInt(0, 2) > 0) {
            return $this->primary($depth);
        }

        return $this->primary($depth - 1).' '.$this->of(['+', '-', '*', '/', '%']).' '.$this->primary($depth - 1);
    }

    private function primary(int $depth): string
    {
        return match ($this->random->getInt(0, 7)) {
            0 => 'roll '.$this->of(['6', '1 to 6', '-3 to 3', 'counter.planks', '6 to 1']),
            // In parentheses: without them an “or” behind it would be a comma.
            1 => '(either '.$this->operand().', '.$this->operand().')',
            2 => $this->of(['since', 'until'])
                .' '
                .$this->of(['occasion.leak', 'occasion.launch', '"2026-12-24"', 'now']),
            3 => $this->of(self::CALLS),
            4 => $depth > 0 ? '('.$this->both($depth - 1).' | '.$this->of(self::FILTERS).')' : $this->operand(),
            5 => '-'.$this->operand(),
            default => $this->operand(),
        };
    }

    private function operand(): string
    {
        return match ($this->random->getInt(0, 6)) {
            0 => $this->of(['0', '1', '2.5', '007', '999999999999999']),
            1 => $this->of(['"a"', '"[caller]"', '“port”', '""', '"moderator"', '"say ""ahoy"""']),
            2 => $this->of(['yes', 'no', 'nothing']),
            3 => $this->of(['word 1', 'words', 'words 2', 'words 2 to 3']),
            4 => $this->bound !== [] ? $this->of($this->bound) : 'caller',
            default => $this->of(self::PATHS),
        };
    }

    /** @param  non-empty-list<string>  $options */
    private function of(array $options): string
    {
        return $options[$this->random->getInt(0, count($options) - 1)];
    }

    private function maybe(): bool
    {
        return $this->random->getInt(0, 1) === 1;
    }
}
