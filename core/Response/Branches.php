<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Source\Span;

/** A response as it would be if one branch of a choice were taken, for each branch there is. */
final class Branches
{
    private const MOST = 40;

    /** @var list<array{string, bool}> as written, and whether it is a slot */
    private readonly array $pieces;

    private int $at = 0;

    private function __construct(string $text)
    {
        $this->pieces = Segments::of($text);
    }

    /**
     * @return list<array{string, string}> what must hold, outer before inner: "when target", and the response without
     *     that choice; other choices in it stand as they are
     */
    public static function of(string $text): array
    {
        $reader = new self($text);
        $branches = [];
        foreach (self::taken($reader->sequence()) as $branch) {
            $branches[] = $branch;
            if (count($branches) === self::MOST) {
                break;
            }
        }

        return $branches;
    }

    /**
     * Where the plain [else] of a choice stands.
     *
     * @param  int  $from  characters up to behind its last condition
     * @return Span|null null where it has none
     */
    public static function elseBehind(string $text, int $from): ?Span
    {
        $at = $deep = 0;
        foreach (Segments::of($text) as [$written, $isSlot]) {
            $begins = $at;
            $at += mb_strlen($written);
            $head = $isSlot && $begins >= $from ? self::head($written) : '';
            if ($deep === 0 && ($head === 'end' || $head === 'else')) {
                return $head === 'else' ? new Span($begins, $at) : null;
            }
            $deep += match ($head) {
                'when' => 1,
                'end' => -1,
                default => 0,
            };
        }

        return null;
    }

    /**
     * Up to the next [else] or [end] of a choice around, or to the end of the text.
     *
     * @return list<string|list<array{string, mixed}>> text as it stands, and choices: what must hold, and what stands
     *     behind it
     */
    private function sequence(): array
    {
        $sequence = [];
        while (isset($this->pieces[$this->at])) {
            [$written, $isSlot] = $this->pieces[$this->at];
            $head = $isSlot ? self::head($written) : '';
            if ($head === 'else' || $head === 'end') {
                break;
            }
            $this->at++;
            $sequence[] = $head === 'when' ? $this->choice($written) : $written;
        }

        return $sequence;
    }

    /** @return list<array{string, mixed}> */
    private function choice(string $first): array
    {
        $branches = [[self::inside($first), $this->sequence()]];
        $hasElse = false;
        while (isset($this->pieces[$this->at]) && self::head($this->pieces[$this->at][0]) === 'else') {
            $label = self::inside($this->pieces[$this->at++][0]);
            $hasElse = $hasElse || preg_match('/^else\s*$/Di', $label) === 1;
            $branches[] = [$label, $this->sequence()];
        }
        if (isset($this->pieces[$this->at])) {
            $this->at++;
        }

        return $hasElse ? $branches : [...$branches, ['else', []]];
    }

    /**
     * @param  list<string|list<array{string, mixed}>>  $sequence
     * @return iterable<array{string, string}>
     */
    private static function taken(array $sequence): iterable
    {
        foreach ($sequence as $place => $choice) {
            if (is_string($choice)) {
                continue;
            }
            $before = self::written(array_slice($sequence, 0, $place));
            $after = self::written(array_slice($sequence, $place + 1));
            foreach ($choice as [$label, $inside]) {
                /** @var list<string|list<array{string, mixed}>> $inside */
                yield [$label, $before.self::written($inside).$after];
                foreach (self::taken($inside) as [$inner, $text]) {
                    yield ["$label, $inner", "$before$text$after"];
                }
            }
        }
    }

    /** @param  list<string|list<array{string, mixed}>>  $sequence */
    private static function written(array $sequence): string
    {
        $written = '';
        foreach ($sequence as $one) {
            if (is_string($one)) {
                $written .= $one;

                continue;
            }
            foreach ($one as [$label, $inside]) {
                /** @var list<string|list<array{string, mixed}>> $inside */
                $written .= "[$label]".self::written($inside);
            }
            $written .= '[end]';
        }

        return $written;
    }

    private static function head(string $slot): string
    {
        return preg_match('/^\[\s*(when|else|end)(?![\p{L}\p{N}_.])/iu', $slot, $found) === 1
            ? strtolower($found[1])
            : '';
    }

    private static function inside(string $slot): string
    {
        return trim($slot, "[] \n\t");
    }
}
